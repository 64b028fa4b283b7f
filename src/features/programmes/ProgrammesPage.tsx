'use client';

import { useState, type ReactNode } from 'react';
import styled from 'styled-components';
import { reachOf } from '@/core/programme/reach';
import { STYLE_STEPS } from '@/core/programme/styles';
import type { Programme } from '@/core/programme/step';
import { programmeWords } from '@/core/programme/words';
import { STYLE_LABELS, STYLES, type BrewStyle } from '@/core/vocabulary';
import type { StoredProgramme } from '@/data/programmes';
import type { StoredSetup } from '@/data/setups';
import { QuietButton } from '@/ui/Button';
import { Faults } from '@/ui/Faults';
import { Page } from '@/ui/Page';
import { useMay } from '@/ui/person';
import { ProgrammeCurve } from '@/ui/programme/ProgrammeCurve';
import { SectionTitle, Small, StageTitle } from '@/ui/type';
import { offerUndo } from '@/ui/undo';
import { useCommand } from '@/ui/useCommand';
import type { Aims } from './aims';
import { ProgrammeForm } from './ProgrammeForm';

const Rows = styled.ul`
  display: grid;
`;

const Row = styled.li`
  display: grid;
  grid-template-columns: 200px minmax(0, 1fr) minmax(150px, 250px) auto;
  gap: 6px 18px;
  align-items: center;
  padding: 8px 0;
  border-bottom: 1px solid var(--rule);

  > div {
    display: grid;
    gap: 2px;
    overflow-wrap: anywhere;
  }

  @media (max-width: 800px) {
    grid-template-columns: minmax(0, 1fr);

    svg {
      max-width: 220px;
    }
  }
`;

/** What is being written: a programme of the house, or a new one that begins like another. */
type Open = { readonly stored: StoredProgramme } | { readonly like: Like };

interface Like {
  readonly style: BrewStyle;
  readonly steps: Programme;
}

/** What machines are asked to do during a shot: the styles' starting programmes and the house's own. */
export function ProgrammesPage({
  programmes,
  setups,
  aims,
}: {
  programmes: readonly StoredProgramme[];
  setups: readonly StoredSetup[];
  aims: Aims;
}) {
  const isLead = useMay('lead');
  const [open, setOpen] = useState<Open | null>(null);
  const remove = useCommand();
  const onRemove = async ({ id, name }: StoredProgramme) => {
    const input = { what: 'programme', id };
    const answer = await remove.submit('remove', input);
    if (answer.ok) offerUndo({ words: `${name} was deleted.`, kind: 'restore', input });
  };
  const stored =
    open && 'stored' in open ? programmes.find(({ id }) => id === open.stored.id) : null;
  const form = open && (
    <ProgrammeForm
      key={'stored' in open ? open.stored.id : open.like.style}
      stored={stored ?? null}
      like={'like' in open ? open.like : open.stored}
      setups={setups}
      aims={aims}
      onDone={() => setOpen(null)}
    />
  );
  const firstOf = (style: BrewStyle) =>
    programmes.find((own) => own.isFirst && own.style === style);
  return (
    <Page $isNarrow>
      <StageTitle as="h1">Programmes</StageTitle>
      <p>
        What the machine does while a shot runs: pressure or flow, step by step, from the pump.
        Start begins each brew style with one of these; a recipe may change its own steps.
      </p>
      <section>
        <SectionTitle as="h2">Of this house</SectionTitle>
        {programmes.length === 0 && (
          <p>
            <Small>
              None yet. Begin one from a brew style below, or keep the steps you write at Start.
            </Small>
          </p>
        )}
        <Rows>
          {programmes.map((own) => (
            <Entry
              key={own.id}
              title={own.name}
              words={`${STYLE_LABELS[own.style]}${own.isFirst ? '; Start begins with it' : ''}. ${programmeWords(own.steps)}.`}
              steps={own.steps}
              setups={setups}
            >
              {isLead && (
                <span>
                  <QuietButton
                    onPress={() => setOpen({ stored: own })}
                    aria-label={`Change ${own.name}`}
                  >
                    change
                  </QuietButton>
                  <QuietButton onPress={() => void onRemove(own)} aria-label={`Delete ${own.name}`}>
                    delete
                  </QuietButton>
                </span>
              )}
            </Entry>
          ))}
        </Rows>
        <Faults faults={remove.faults} />
        {form}
      </section>
      <section>
        <SectionTitle as="h2">Of the brew styles</SectionTitle>
        <Small>What the trade means by their names; the figures are a rule of thumb.</Small>
        <Rows>
          {STYLES.map((style) => {
            const first = firstOf(style);
            return (
              <Entry
                key={style}
                title={STYLE_LABELS[style]}
                words={`${programmeWords(STYLE_STEPS[style])}.${first ? ` Start begins with ${first.name} instead.` : ''}`}
                steps={STYLE_STEPS[style]}
                setups={setups}
              >
                {isLead && (
                  <QuietButton
                    onPress={() => setOpen({ like: { style, steps: STYLE_STEPS[style] } })}
                    aria-label={`Begin one from ${STYLE_LABELS[style]}`}
                  >
                    begin from this
                  </QuietButton>
                )}
              </Entry>
            );
          })}
        </Rows>
      </section>
      <Small>
        A programme never makes a machine safer than its maker’s manual: pressure and water work is
        a licensed technician’s. A soaked or paused puck holds pressure; wait for it to vent.
      </Small>
    </Page>
  );
}

function Entry({
  title,
  words,
  steps,
  setups,
  children,
}: {
  title: string;
  words: string;
  steps: Programme;
  setups: readonly StoredSetup[];
  children: ReactNode;
}) {
  return (
    <Row>
      <ProgrammeCurve programme={steps} size="small" />
      <div>
        <strong>{title}</strong>
        <span>{words}</span>
      </div>
      <div>
        {setups.map(({ id, name, machine }) => (
          <Small
            key={id}
          >{`${name}: ${reachOf(steps, machine).isWhole ? 'makes it' : 'out of reach'}`}</Small>
        ))}
      </div>
      {children}
    </Row>
  );
}
