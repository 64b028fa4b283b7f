'use client';

import { Link } from '@/ui/Link';
import { useSearchParams } from 'next/navigation';
import { useState } from 'react';
import styled from 'styled-components';
import { OUTPUTS, type Output } from '@/core/start/priors';
import { Choice } from '@/ui/choices';
import { Columns, Page } from '@/ui/Page';
import { usePerson } from '@/ui/person';
import { SectionTitle, Small, StageTitle } from '@/ui/type';
import { useQuestion } from '@/ui/useQuestion';
import { Costs } from './Costs';
import { Cups } from './Cups';
import { EffectChart } from './EffectChart';
import { FiltersBar } from './FiltersBar';
import { findingWords, scaleOf } from './findings';
import type { PatternsView } from '@/views/patterns';
import { Proposals } from './Proposals';
import { Notes } from './Notes';
import { Tongue } from './Tongue';

const Findings = styled.ul`
  display: grid;
  gap: 6px;
  margin: 8px 0 12px;
  padding-left: 18px;
  list-style: square;
`;

/** Findings in words, and beside them the figures they come from. */
const Beside = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 7fr);
  gap: 12px 36px;
  align-items: start;

  @media (max-width: 1000px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

/** Under this many releases of its own the house has shown no pattern yet. House heuristic. */
const ENOUGH = 5;

/** What years of recipes, shots and cups say: for the lead who wants to know rather than remember. */
export function PatternsPage({
  view,
  setups,
}: {
  view: PatternsView;
  setups: readonly { readonly id: string; readonly name: string }[];
}) {
  const { choose, isChoosing } = useQuestion();
  const search = useSearchParams();
  const exportOf = (what: string) => `/api/exports/${what}?${search}`;
  return (
    <Page aria-busy={isChoosing}>
      <StageTitle as="h1">Patterns</StageTitle>
      <FiltersBar filters={view.filters} setups={setups} onChange={choose} />
      <Effects view={view} exportHref={exportOf('effects')} />
      <Columns>
        <Proposals {...view.proposals} exportHref={exportOf('proposals')} />
        <Costs {...view.dialIns} exportHref={exportOf('dial-ins')} />
      </Columns>
      <Tongue rows={view.tongue} exportHref={exportOf('tongue')} />
      <Notes rows={view.notes} exportHref={exportOf('notes')} />
      <Cups groups={view.cups} exportHref={exportOf('cups')} />
    </Page>
  );
}

function Effects({ view, exportHref }: { view: PatternsView; exportHref: string }) {
  const { units } = usePerson();
  const [open, setOpen] = useState<Output>('lnRatio');
  const { releases } = view;
  const all = view.effects[open];
  const [base, ...effects] = all;
  const seen = effects.filter((effect) => effect.releases > 0);
  const different = OUTPUTS.flatMap((output) =>
    view.effects[output]
      .filter(({ name, isDifferent }) => isDifferent && name !== 'base')
      .map((effect) => ({ output, effect })),
  );
  return (
    <section>
      <SectionTitle as="h2">
        What each fact does to a recipe: the trade’s rule and your {releases} releases
      </SectionTitle>
      <Beside>
        <div>
          {releases < ENOUGH ? (
            <p>
              {releases === 0 ? 'No published release' : `Only ${releases}`} yet, so this is the
              rules alone. From five releases on, your own recipes begin to move them.
            </p>
          ) : (
            <Findings aria-label="Where your recipes differ from the rules">
              {different.length === 0 && (
                <li>Nowhere do your recipes clearly differ from the trade’s rules so far.</li>
              )}
              {different.map(({ output, effect }) => (
                <li key={`${output} ${effect.name}`}>
                  <strong>{scaleOf(output, units).label}.</strong>{' '}
                  {findingWords(effect, output, units)}
                </li>
              ))}
            </Findings>
          )}
        </div>
        <div>
          <Choice
            label="Show effects on"
            value={open}
            onChange={setOpen}
            options={OUTPUTS.map((value) => ({ value, label: scaleOf(value, units).label }))}
          />
          <div style={{ margin: '10px 0' }}>
            {seen.length > 0 && <EffectChart effects={seen} output={open} />}
          </div>
          <Small>
            {base!.releases > 0 && seen.length < effects.length
              ? `${effects.length - seen.length} facts no release shows stay at the rule. `
              : ''}
            A band that leaves the rule out is drawn in copper. With this many bands one or two
            leave it out by chance: look at the releases before you believe one.{' '}
            <Link href="/house/rules">The rules themselves</Link>.{' '}
            <a href={exportHref}>Export CSV</a>
          </Small>
        </div>
      </Beside>
    </section>
  );
}
