/**
 * The dial: which settings exist, which way is finer, what one step should do to the time.
 */
import type { Grinder } from '../schema/setup';

/** Change of ln time per step finer: .10 ± .04. House heuristic (model.md §3). */
export const LN_TIME_PER_STEP_DEFAULT = { mean: 0.1, sd: 0.04 };
/** −5.3 % time per +10 µm, with the same relative doubt (model.md §7, its table of checks). */
export const LN_TIME_PER_UM = -Math.log(1 - 0.053) / 10;

/** Shot time at which people say what a step does in seconds: the trade's usual middle. */
const USUAL_TIME_S = 28;

/** Normal quantile at .9: half of an 80 % interval is this many sd. */
export const Z_80 = 1.2815515655446004;

/** However well two shots agree, another coffee's slope differs by about this much. House heuristic. */
const LEAST_DOUBT = 0.1;

/** Farthest move considered, in steps: beyond it the straight line is not believed. */
const FARTHEST_STEPS = 40;

/** −1 when finer means a lower number, +1 when it means a higher one. */
export function finerSign(grinder: Pick<Grinder, 'finerIs'>): 1 | -1 {
  return grinder.finerIs === 'lower' ? -1 : 1;
}

/** Prior of b: change of ln time per dial number, signed. */
export function slopePrior(grinder: Grinder): { mean: number; sd: number } {
  const perStep = perStepOf(grinder);
  const doubt = doubtOf(grinder);
  return {
    mean: (finerSign(grinder) * perStep) / grinder.stepSize,
    sd: (doubt * perStep) / grinder.stepSize,
  };
}

/** Change of ln time per step: as measured in seconds, else by burr travel, else the default. */
function perStepOf({ secondsPerStep, umPerStep }: Grinder): number {
  if (secondsPerStep !== undefined) return Math.log(1 + secondsPerStep / USUAL_TIME_S);
  return umPerStep === undefined ? LN_TIME_PER_STEP_DEFAULT.mean : LN_TIME_PER_UM * umPerStep;
}

/** Relative sd of the slope: as calibrated, at least a tenth, else the default's. House heuristic. */
function doubtOf({ secondsPerStep, secondsPerStepHalf80 }: Grinder): number {
  if (secondsPerStep === undefined || secondsPerStepHalf80 === undefined)
    return LN_TIME_PER_STEP_DEFAULT.sd / LN_TIME_PER_STEP_DEFAULT.mean;
  return Math.max(LEAST_DOUBT, secondsPerStepHalf80 / Z_80 / secondsPerStep);
}

/** The settings that may be used: the dial's range, less what is known to choke. */
export function settingLimits({ min, max, finerIs, chokesAt }: Grinder): {
  min: number;
  max: number;
} {
  if (chokesAt === undefined) return { min, max };
  return finerIs === 'lower'
    ? { min: Math.max(min, chokesAt), max }
    : { min, max: Math.min(max, chokesAt) };
}

/** Settings within reach of `from`, in whole steps, that the grinder has and does not choke on; `from` first. */
export function settingsAround(grinder: Grinder, from: number): number[] {
  const settings = [from];
  const { min, max } = settingLimits(grinder);
  for (let step = 1; step <= FARTHEST_STEPS; step++) {
    for (const dial of [from - step * grinder.stepSize, from + step * grinder.stepSize]) {
      if (dial >= min - 1e-9 && dial <= max + 1e-9) settings.push(roundDial(dial));
    }
  }
  return settings;
}

/** The setting the grinder has nearest the middle of its range: where to begin when nothing is known. */
export function middleSetting({ min, max, stepSize }: Grinder): number {
  return roundDial(min + Math.round((max - min) / 2 / stepSize) * stepSize);
}

/** Dial numbers carry no floating-point dust: 11.200000000000001 is 11.2. */
export function roundDial(dial: number): number {
  return Number(dial.toFixed(4));
}

/** "finer" or "coarser", for every sentence that names a dial move. */
export function grindWord(grinder: Grinder, from: number, to: number): 'finer' | 'coarser' {
  return (to - from) * finerSign(grinder) > 0 ? 'finer' : 'coarser';
}

/** Closer than this two settings of a dial are one. */
const SAME = 1e-9;

export function isSameDial(a: number, b: number): boolean {
  return Math.abs(a - b) < SAME;
}
