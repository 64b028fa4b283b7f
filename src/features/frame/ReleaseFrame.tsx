'use client';

import Link from 'next/link';
import { useRouter, useSelectedLayoutSegment } from 'next/navigation';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import { CLOCK_LABELS, PROCESS_LABELS, roastWord, VARIETY_LABELS } from '@/core/vocabulary';
import type { ReleaseView } from '@/data/releaseView';
import { dayWords } from '@/ui/dates';
import { Plate } from '@/ui/Plate';
import { RestStrip } from '@/ui/RestStrip';
import { labelText, readingText } from '@/ui/type';
import { useKeys } from '@/ui/useKeys';
import { NextMove } from './NextMove';
import { stripMarks } from './stripMarks';
import type { Stage } from './stages';
import { originWords } from './words';

const Head = styled.section`
  padding: 8px 18px 0;
  background: var(--enamel-raised);
  border-bottom: 1px solid var(--rule-strong);

  @media (max-width: 640px) {
    padding: 6px 10px 0;
  }
`;

const Stages = styled.nav`
  display: flex;
  gap: 2px;
  margin-top: 6px;
  overflow-x: auto;
`;

const StageLink = styled(Link)`
  display: flex;
  align-items: baseline;
  gap: 8px;
  padding: 7px 14px 8px;
  border-bottom: 4px solid transparent;
  text-decoration: none;
  white-space: nowrap;

  .key {
    ${labelText}
    font-size: 13px;
  }

  .verb {
    font-stretch: 108%;
    font-weight: 620;
  }

  .figure {
    ${labelText}
  }

  &[aria-current='page'] {
    border-bottom-color: var(--copper);
  }

  &[data-done='true'] .figure {
    color: var(--verdigris);
    font-weight: 640;
  }

  @media (max-width: 640px) {
    padding: 7px 9px 8px;

    .key,
    .figure {
      display: none;
    }
  }
`;

const Columns = styled.div`
  display: grid;
  grid-template-columns: 186px minmax(0, 1fr) 276px;
  gap: 22px;
  padding: 16px 18px 40px;

  @media (max-width: 1180px) {
    grid-template-columns: 150px minmax(0, 1fr) 248px;
    gap: 16px;
  }

  @media (max-width: 1000px) {
    grid-template-columns: minmax(0, 1fr);
    padding: 0 12px 32px;
  }
`;

const Facts = styled.aside`
  font-size: 14px;
  font-stretch: 86%;

  h1 {
    font-size: 22px;
    font-stretch: 92%;
    overflow-wrap: anywhere;
    margin-bottom: 4px;
  }

  dl {
    margin-top: 12px;
    display: grid;
    gap: 7px;
  }

  dt {
    ${labelText}
    font-size: 13px;
  }

  dd {
    font-weight: 520;
    overflow-wrap: anywhere;
  }

  @media (max-width: 1000px) {
    order: 3;

    dl {
      grid-template-columns: 1fr 1fr;
    }
  }
`;

const Side = styled.aside`
  display: grid;
  gap: 18px;
  align-content: start;

  @media (max-width: 1000px) {
    order: 1;
  }
`;

const Stage = styled.main`
  min-width: 0;

  @media (max-width: 1000px) {
    order: 2;
  }
`;

const WidePlate = styled.div`
  @media (max-width: 1000px) {
    display: none;
  }
`;

const PlateBar = styled.p`
  display: none;

  @media (max-width: 1000px) {
    ${readingText}
    display: block;
    position: sticky;
    top: 0;
    z-index: 2;
    margin: 0 -12px;
    padding: 8px 12px;
    background: var(--plate);
    color: var(--plate-ink);
    font-size: 15px;
    font-stretch: var(--normal);
  }
`;

export function ReleaseFrame({
  view,
  stages,
  children,
}: {
  view: ReleaseView;
  stages: readonly Stage[];
  children: ReactNode;
}) {
  const { release, rest, span, bench } = view;
  const router = useRouter();
  const current = useSelectedLayoutSegment();
  const base = `/releases/${release.id}`;
  useKeys(
    Object.fromEntries(
      stages.map(({ path }, i) => [String(i + 1), () => router.push(`${base}/${path}`)]),
    ),
  );
  return (
    <>
      <Head aria-label="Rest and stages">
        <RestStrip
          restDays={rest.restDays}
          state={rest.state}
          span={span}
          marks={stripMarks(view)}
          isTall
        />
        <Stages aria-label="Stages">
          {stages.map(({ path, verb, figure, isDone }, i) => (
            <StageLink
              key={path}
              href={`${base}/${path}`}
              aria-current={path === current ? 'page' : undefined}
              data-done={isDone}
            >
              <span className="key">{i + 1}</span>
              <span className="verb">{verb}</span>
              <span className="figure">{figure}</span>
            </StageLink>
          ))}
        </Stages>
      </Head>
      <Columns>
        <FactsColumn view={view} />
        <Stage>{children}</Stage>
        <Side>
          {bench ? (
            <BenchSide view={view} />
          ) : (
            <EmptyPlate>No recipe on the bench yet: Start proposes one.</EmptyPlate>
          )}
        </Side>
      </Columns>
    </>
  );
}

function BenchSide({ view }: { view: ReleaseView }) {
  const { bench, versions } = view;
  if (!bench) return null;
  const { draft, setup, advice, shots, target } = bench;
  // A revision states its dose anew; the trim of an older shot is already in it.
  const last = shots.at(-1);
  const doseG = (last?.draftId === draft.id ? last.aimDoseG : undefined) ?? draft.doseG;
  const clockWords = CLOCK_LABELS[draft.clock];
  const version = versions[0] ? `version ${versions[0].number} is public` : 'not published';
  return (
    <>
      <PlateBar>
        {doseG.toFixed(1)} → {draft.yieldG.toFixed(1)} g in {draft.timeLowS}-{draft.timeHighS} s{' '}
        {clockWords}, {draft.temperatureC.toFixed(1)} °C
      </PlateBar>
      <WidePlate>
        <Plate
          state={advice.status === 'confirmed' ? 'Confirmed' : 'On the bench'}
          note={version}
          recipe={{
            doseG,
            yieldG: draft.yieldG,
            temperatureC: draft.temperatureC,
            timeS: [draft.timeLowS, draft.timeHighS],
            clockWords,
            programme: draft.programme,
            restDays: [draft.restFrom, draft.restTo],
            tolerance: { doseG: target.doseToleranceG, yieldG: target.yieldToleranceG },
          }}
        />
      </WidePlate>
      <NextMove bench={bench} releaseId={view.release.id} />
      <SetupLine>{setup.name}</SetupLine>
    </>
  );
}

const EmptyPlate = styled.p`
  padding: 18px 16px;
  border: 2px dashed var(--rule-strong);
  border-radius: 5px;
  color: var(--ink-soft);
`;

const SetupLine = styled.p`
  ${labelText}
`;

function FactsColumn({ view }: { view: ReleaseView }) {
  const { release, component, batch, rest } = view;
  const facts: [string, string][] = [
    [
      'Variety',
      component.variety || (component.varietyClass ? VARIETY_LABELS[component.varietyClass] : ''),
    ],
    ['Process', component.process ? PROCESS_LABELS[component.process] : ''],
    [
      'Roast',
      batch.roastLevel === undefined
        ? 'not known; the rest span is that of a medium roast'
        : roastWord(batch.roastLevel),
    ],
    ['Grown at', component.altitudeM === undefined ? '' : `${component.altitudeM} m`],
    ['Green density', component.densityGPerL === undefined ? '' : `${component.densityGPerL} g/L`],
    ['Roasted', `${dayWords(batch.roastDate)}, rested ${rest.restDays} days`],
    ['Promised', release.promisedNotes.join(', ')],
  ];
  return (
    <Facts aria-label="Coffee">
      <h1>{release.name}</h1>
      <p>{originWords(component)}</p>
      <dl>
        {facts
          .filter(([, value]) => value !== '')
          .map(([name, value]) => (
            <div key={name}>
              <dt>{name}</dt>
              <dd>{value}</dd>
            </div>
          ))}
      </dl>
    </Facts>
  );
}
