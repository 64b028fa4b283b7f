'use client';

import type { AdviceStatus } from '@/core/advice/types';
import { doseInForce } from '@/core/advice/setting';
import { reachOf } from '@/core/programme/reach';
import { programmeOf } from '@/core/programme/styles';
import { displayTemperatureC, stopAtG } from '@/core/start/setupLimits';
import { CLOCK_LABELS } from '@/core/vocabulary';
import styled from 'styled-components';
import { useUnits } from '@/ui/person';
import { Plate } from '@/ui/Plate';
import { labelText, readingText } from '@/ui/type';
import type { ReleaseView } from '@/views/release';
import { headOf } from '@/words/adviceWords';
import { publicWords } from '@/words/publicWords';
import { reachWords } from '@/words/reachWords';
import { NextMove } from './NextMove';

/** Where a stage has a plate of its own the recipe in force is said in one line. */
const InForce = styled.p`
  ${labelText}
  margin-bottom: 10px;

  strong {
    color: var(--ink);
  }

  @media (max-width: 1000px) {
    display: none;
  }
`;

const WidePlate = styled.div`
  @media screen and (max-width: 1000px) {
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

  strong {
    display: none;
  }

  @media (max-width: 640px) {
    strong {
      display: block;
      font-size: 17px;
    }
  }
`;

export function RecipeInForce({ view, isElsewhere }: { view: ReleaseView; isElsewhere: boolean }) {
  const { massFigure, mass, temperature, units } = useUnits();
  const { draft, advice } = view.bench!;
  const { doseG, yieldG, timeS, clock, temperatureC } = draft.recipe;
  return (
    <InForce>
      {isElsewhere && 'On the bench: '}
      <strong>
        {PLATE_STATES[advice.status] ?? (isElsewhere ? 'trying' : 'On the bench')}
      </strong>: {massFigure(doseG)} → {mass(yieldG)} in {timeS.join('-')} s {CLOCK_LABELS[clock]},{' '}
      {temperature(temperatureC)}, {draft.drink === 'milk' && 'for milk drinks, '}
      {publicWords(view.published, units)}
    </InForce>
  );
}

/** The recipe in one line where there is no room for its plate; at the bench with what to do now. */
export function Bar({
  view,
  saysNext,
  isElsewhere,
}: {
  view: ReleaseView;
  saysNext: boolean;
  /** The page below is of another batch. */
  isElsewhere: boolean;
}) {
  const { massFigure, mass, temperature, units } = useUnits();
  const { draft, shots, advice } = view.bench!;
  const last = shots.at(-1);
  const { yieldG, timeS, clock, temperatureC } = draft.recipe;
  const doseG = doseInForce(last?.draftId === draft.id ? last : undefined, draft.recipe);
  return (
    <PlateBar className="screen-only">
      {isElsewhere && 'On the bench: '}
      {massFigure(doseG)} → {mass(yieldG)} in {timeS.join('-')} s {CLOCK_LABELS[clock]},{' '}
      {temperature(temperatureC)}
      {draft.drink === 'milk' && ', for milk drinks'}
      {saysNext && !isElsewhere && last && <strong>{headOf(advice, units)}</strong>}
    </PlateBar>
  );
}

export function BenchSide({ view, hasNext }: { view: ReleaseView; hasNext: boolean }) {
  const { units } = useUnits();
  const { bench } = view;
  if (!bench) return null;
  const { draft, setup, advice, shots, target } = bench;
  // A revision states its dose anew; the trim of an older shot is already in it.
  const last = shots.at(-1);
  const { recipe } = draft;
  const doseG = doseInForce(last?.draftId === draft.id ? last : undefined, recipe);
  const clockWords = CLOCK_LABELS[recipe.clock];
  return (
    <>
      <WidePlate>
        <Plate
          state={`${PLATE_STATES[advice.status] ?? 'On the bench'}${draft.drink === 'milk' ? ', for milk drinks' : ''}`}
          note={publicWords(view.published, units)}
          recipe={{
            ...recipe,
            doseG,
            clockWords,
            reachWords: reachWords(reachOf(programmeOf(draft), setup.machine)),
            displayC: displayTemperatureC(recipe.temperatureC, setup.machine),
            stopAtG: stopAtG(recipe.yieldG, setup.machine),
            flushS: setup.machine.flushS,
            tolerance: { doseG: target.doseToleranceG, yieldG: target.yieldToleranceG },
          }}
        />
      </WidePlate>
      {hasNext && (
        <>
          <NextMove bench={bench} releaseId={view.release.id} />
          <SetupLine>{setup.name}</SetupLine>
        </>
      )}
    </>
  );
}

const PLATE_STATES: Partial<Record<AdviceStatus, string>> = {
  approved: 'Approved',
  onTarget: 'On target, not tasted',
  nearest: 'Nearest this grinder comes',
};

const SetupLine = styled.p`
  ${labelText}
`;
