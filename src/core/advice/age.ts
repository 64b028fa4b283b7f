/** How much of a miss the days since the shot before explain: named before the grind. */
import { ageOf } from '../rest/ageing';
import type { Judged } from './judge';
import type { CodedMessage } from '../message';
import { REASONS } from './reasons';

/** Less than this many seconds is not worth a word. */
const LEAST_S = 0.5;

/** A reason where the coffee aged since the last shot of another day; else none. */
export function ageShare({ input: { shots }, model, marks }: Judged): CodedMessage[] {
  const last = shots.at(-1);
  const before = shots.findLast(
    (shot) => shot.restDays !== undefined && shot.restDays !== last?.restDays,
  );
  if (last?.restDays === undefined || before?.restDays === undefined) return [];
  const change = model.coefficients[4] * (ageOf(last.restDays) - ageOf(before.restDays));
  const { timeOnTargetClockS: timeS } = marks.at(-1)!;
  // How much longer the shot ran for its age: an ageing coffee runs faster, so less than nothing.
  const seconds = timeS * (1 - Math.exp(-change));
  return Math.abs(seconds) < LEAST_S
    ? []
    : [REASONS.aged(last.restDays - before.restDays, seconds)];
}
