/**
 * When a setting is on target: its shots show that it holds the window as surely as the house asks (model.md §3b).
 * At least two good shots, three and a surer proof where one of them was an outlier, and the last one good. House
 * heuristic.
 */
import { isSameDial } from '../grinder/dial';
import type { Judged } from './judge';
import { between, LEAST_SHOTS } from './proofCost';
import { doseInForce } from './setting';
import type { Proof, Setting } from './types';

/** The window's ends in ln time, from the pump. */
export const lnWindow = ({ pumpWindowS: [low, high] }: Judged) =>
  [Math.log(low), Math.log(high)] as const;

/** What a setting holds by itself once the grinder has settled on it. */
export function settledAt({ model, input, restDays }: Judged, { dial, doseG }: Setting) {
  return model.settled({ dial, doseG, yieldG: input.target.yieldG, restDays });
}

/** The proof of the setting the bench stands at: its mean time and how surely it holds the window. */
export function proofOf(judged: Judged, setting: Setting): Proof {
  const { lnTimeS, variance } = settledAt(judged, setting);
  const [low, high] = lnWindow(judged);
  const sd = Math.sqrt(variance);
  const meanS = Math.exp(lnTimeS);
  return {
    meanS: meanS - judged.offsetS,
    sdS: meanS * sd,
    inWindow: between(lnTimeS, sd, low, high),
  };
}

/** Shots at a setting that count towards its proof, and how many of all there were outliers. */
export function shotsAt({ input, marks, temperatureC }: Judged, { dial, doseG }: Setting) {
  const { shots, target, targetFrom = 0 } = input;
  const here = shots.flatMap((shot, i) =>
    i >= targetFrom &&
    isSameDial(shot.dial, dial) &&
    Math.abs(doseInForce(shot, target) - doseG) < 1e-9 &&
    isSameTemperature(shot.temperatureC, temperatureC)
      ? [{ shot, mark: marks[i]! }]
      : [],
  );
  return {
    here,
    valid: here.filter(({ mark }) => mark.valid).length,
    outliers: here.filter(({ mark }) => mark.outlier).length,
  };
}

/** Closer than this the group was as warm. */
const SAME_TEMPERATURE_C = 0.25;

const isSameTemperature = (a: number | undefined, b: number | undefined) =>
  a === undefined || b === undefined || Math.abs(a - b) < SAME_TEMPERATURE_C;

/** One outlier among those of a setting asks for more of the others, and for a surer proof. */
const WITH_AN_OUTLIER = { shots: 3, surer: 0.03 };

/** Do the shots at the setting prove that it holds the window? */
export function isOnTarget(judged: Judged, setting: Setting): boolean {
  const { valid, outliers } = shotsAt(judged, setting);
  if (!judged.marks.at(-1)?.valid || outliers > 1) return false;
  const [least, goal] =
    outliers === 0
      ? [LEAST_SHOTS, judged.goal]
      : [WITH_AN_OUTLIER.shots, judged.goal + WITH_AN_OUTLIER.surer];
  return valid >= least && proofOf(judged, setting).inWindow >= goal;
}
