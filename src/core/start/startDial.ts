/**
 * From the model's grind to a dial and back. G counts reference steps finer than the house's reference
 * coffee, one step being .10 in ln time (model.md §2); the grinder's calibration says at which dial
 * that coffee runs and what one dial number does. House heuristic where the calibration is a guess.
 */
import type { ReleaseFacts } from '../coffee/features';
import { roundDial, settingLimits, slopePrior } from '../grinder/dial';
import { dot } from '../linear';
import type { Grinder } from '../schema/setup';
import type { BrewStyle } from '../vocabulary';
import { averageMean, questionRow, type HouseModel } from './fit';

/** One reference step finer lengthens the shot by this much in ln time (model.md §2). */
export const LN_TIME_PER_STEP = 0.1;

export interface StartDial {
  readonly dial: number;
  /** 80 % of where the right dial lies, as far as the grinder's range goes. */
  readonly interval80: readonly [number, number];
  /** Why the dial is not where the model wants it. */
  readonly heldBy: 'range' | 'choke' | null;
}

/** The setting to start at, or null while nobody has calibrated this grinder. */
export function startDialOf(
  grinder: Grinder,
  grindSteps: number,
  halfWidthSteps: number,
): StartDial | null {
  const { referenceDial, stepSize, chokesAt } = grinder;
  if (referenceDial === undefined) return null;
  const perDial = slopePrior(grinder).mean;
  const at = (steps: number) => referenceDial + (LN_TIME_PER_STEP * steps) / perDial;
  const wanted = at(grindSteps);
  const { min, max } = settingLimits(grinder);
  const onGrid = roundDial(grinder.min + Math.round((wanted - grinder.min) / stepSize) * stepSize);
  const dial = Math.min(max, Math.max(min, onGrid));
  const ends = [at(grindSteps - halfWidthSteps), at(grindSteps + halfWidthSteps)].map((end) =>
    Math.min(grinder.max, Math.max(grinder.min, end)),
  );
  const isHeld = Math.abs(dial - wanted) > stepSize / 2 + 1e-9;
  const byChoke = chokesAt !== undefined && wanted >= grinder.min && wanted <= grinder.max;
  return {
    dial,
    interval80: [Math.min(...ends), Math.max(...ends)],
    heldBy: isHeld ? (byChoke ? 'choke' : 'range') : null,
  };
}

/** Reference steps finer than the reference coffee of a dial; null on a grinder without calibration. */
export function grindStepsOf(grinder: Grinder, dial: number): number | null {
  if (grinder.referenceDial === undefined) return null;
  return (slopePrior(grinder).mean * (dial - grinder.referenceDial)) / LN_TIME_PER_STEP;
}

/**
 * The reference dial past recipes point to: the mean of where each would have the reference coffee run,
 * were the rules right. House heuristic, for a grinder nobody calibrated; null without past recipes.
 */
export function inferredReference(
  grinder: Grinder,
  past: readonly { facts: ReleaseFacts; style: BrewStyle; dial: number }[],
  rules: HouseModel,
): number | null {
  if (past.length === 0) return null;
  const perDial = slopePrior(grinder).mean;
  const mean = averageMean(rules.fits.grindSteps);
  const implied = past.map(({ facts, style, dial }) => {
    const [, row] = questionRow(facts, style);
    return dial - (LN_TIME_PER_STEP * dot(row, mean)) / perDial;
  });
  return implied.reduce((sum, dial) => sum + dial, 0) / implied.length;
}
