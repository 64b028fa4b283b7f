'use client';

import { figure } from '@/core/figure';
import styled from 'styled-components';
import { massWords } from '@/core/units';
import type { Programme } from '@/core/programme/step';
import { useUnits } from './person';
import { ProgrammeCurve } from './programme/ProgrammeCurve';
import { readingText } from './type';

/** The recipe in force, set like a stamped enamel plate. */
export interface PlateRecipe {
  readonly doseG: number;
  readonly yieldG: number;
  readonly temperatureC: number;
  /** What the machine's display is set to, where it differs from the group. */
  readonly displayC?: number | null;
  /** Mass at which the pump stops, where the cup gains more after it. */
  readonly stopAtG?: number | undefined;
  /** Seconds of water through the group before the portafilter goes in. */
  readonly flushS?: number | undefined;
  readonly timeS: readonly [number, number];
  readonly clockWords: string;
  readonly programme: string;
  readonly steps?: Programme | undefined;
  /** What of the programme this machine cannot make. */
  readonly reachWords?: string;
  readonly restDays: readonly [number, number];
  readonly tolerance: { readonly doseG: number; readonly yieldG: number };
  readonly holdsYieldG?: number | undefined;
  readonly holdsTemperatureC?: number | undefined;
  readonly holdsTimeS?: number | undefined;
  readonly costPoints?: number | undefined;
}

/** A figure and its unit are not torn apart. */
const NBSP = '\u00a0';

const Sheet = styled.section`
  padding: 4px;
  border-radius: 5px;
  background: var(--plate);
  color: var(--plate-ink);
`;

const Inner = styled.div`
  display: grid;
  gap: 10px;
  padding: 12px 14px 13px;
  border: 1.5px solid var(--plate-rule);
  border-radius: 3px;
`;

const State = styled.p`
  display: flex;
  justify-content: space-between;
  gap: 8px;
  font-stretch: var(--narrow);
  font-size: 14px;
  color: var(--plate-soft);

  strong {
    color: var(--plate-ink);
    font-weight: 640;
  }
`;

const Masses = styled.p`
  ${readingText}
  font-size: 25px;
  line-height: 1.1;
  white-space: nowrap;

  small {
    font-size: 15px;
    font-stretch: var(--normal);
    font-weight: 500;
    color: var(--plate-soft);
  }
`;

const Lines = styled.dl`
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 3px 12px;
  font-size: 14.5px;

  dt {
    font-stretch: var(--narrow);
    color: var(--plate-soft);
  }

  dd {
    font-weight: 540;
    text-align: right;
  }
`;

const Curve = styled.dd`
  --curve-ink: var(--plate-ink);
  --curve-soft: var(--plate-soft);
  grid-column: 1 / -1;
`;

const Short = styled.small`
  display: block;
  font-weight: 500;
  color: var(--plate-soft);
`;

export function Plate({
  state,
  note,
  recipe,
}: {
  state: string;
  note?: string;
  recipe: PlateRecipe;
}) {
  const ratio = recipe.yieldG / recipe.doseG;
  const { massFigure, temperature } = useUnits();
  const { displayC = null, tolerance, stopAtG, flushS, steps = [], reachWords = '' } = recipe;
  return (
    <Sheet aria-label="Recipe in force">
      <Inner>
        <State>
          <strong>{state}</strong>
          {note && <span>{note}</span>}
        </State>
        <Masses>
          {massFigure(recipe.doseG)} → {massFigure(recipe.yieldG)} <small>g</small>
        </Masses>
        <Lines>
          <dt>Ratio</dt>
          <dd>1:{figure(ratio, 2)}</dd>
          <dt>Time</dt>
          <dd>
            {recipe.timeS[0]}-{recipe.timeS[1]} s {recipe.clockWords}
          </dd>
          <dt>Temperature</dt>
          <dd>
            {temperature(recipe.temperatureC)}{' '}
            {displayC === null ? 'at the machine' : `at the group, set ${temperature(displayC)}`}
          </dd>
          <dt>Water</dt>
          <dd>
            {recipe.programme}
            {reachWords !== '' && <Short>{reachWords}</Short>}
          </dd>
          {steps.length > 1 && (
            <Curve>
              <ProgrammeCurve programme={steps} size="small" />
            </Curve>
          )}
          {stopAtG !== undefined && (
            <>
              <dt>Stop the pump</dt>
              <dd>at {massWords(stopAtG)}</dd>
            </>
          )}
          {flushS !== undefined && flushS > 0 && (
            <>
              <dt>Flush before</dt>
              <dd>{flushS} s, hands clear</dd>
            </>
          )}
          <dt>Tolerance</dt>
          <dd>
            dose{NBSP}±{NBSP}
            {toleranceWords(tolerance.doseG)}, yield{NBSP}±{NBSP}
            {toleranceWords(tolerance.yieldG)}
          </dd>
          <Holds recipe={recipe} />
          <dt>Rest</dt>
          <dd>
            day {recipe.restDays[0]}-{recipe.restDays[1]}
          </dd>
        </Lines>
      </Inner>
    </Sheet>
  );
}

/** How far off a cup may be before it tastes clearly worse, and what cafés lose; of a recipe that was found by a trial. */
function Holds({
  recipe: { holdsYieldG, holdsTemperatureC, holdsTimeS, costPoints },
}: {
  recipe: PlateRecipe;
}) {
  const { temperatureStep } = useUnits();
  if (holdsYieldG === undefined || holdsTemperatureC === undefined || holdsTimeS === undefined)
    return null;
  return (
    <>
      <dt>Taste holds</dt>
      <dd>
        ±{NBSP}
        {toleranceWords(holdsYieldG)}, ±{NBSP}
        {temperatureStep(holdsTemperatureC)}, ±{NBSP}
        {figure(holdsTimeS, 1)}
        {NBSP}s
        {costPoints !== undefined && (
          <Short>cafés usually lose {figure(costPoints, 1)} points of 10</Short>
        )}
      </dd>
    </>
  );
}

/** "0.2 g": as it was entered. */
function toleranceWords(g: number): string {
  return `${g}${NBSP}g`;
}
