/**
 * The dial: which settings exist, which way is finer, what one step should do to the time.
 */
import type { Grinder } from '../schema/setup';

/** Change of ln time per step finer: .10 ± .04. House heuristic (model.md §3). */
const LN_TIME_PER_STEP = { mean: 0.1, sd: 0.04 };
/** −5.3 % time per +10 µm, with the same relative doubt (model.md §7, its table of checks). */
const LN_TIME_PER_UM = -Math.log(1 - 0.053) / 10;

/** Shot time at which people say what a step does in seconds: the trade's usual middle. */
const USUAL_TIME_S = 28;

/** Farthest move considered, in steps: beyond it the straight line is not believed. */
const FARTHEST_STEPS = 40;

/** −1 when finer means a lower number, +1 when it means a higher one. */
export function finerSign(grinder: Grinder): 1 | -1 {
  return grinder.finerIs === 'lower' ? -1 : 1;
}

/** Prior of b: change of ln time per dial number, signed. */
export function slopePrior(grinder: Grinder): { mean: number; sd: number } {
  const perStep = perStepOf(grinder);
  const doubt = LN_TIME_PER_STEP.sd / LN_TIME_PER_STEP.mean;
  return {
    mean: (finerSign(grinder) * perStep) / grinder.stepSize,
    sd: (doubt * perStep) / grinder.stepSize,
  };
}

/** Change of ln time per step: as measured in seconds, else by burr travel, else the default. */
function perStepOf({ secondsPerStep, umPerStep }: Grinder): number {
  if (secondsPerStep !== undefined) return Math.log(1 + secondsPerStep / USUAL_TIME_S);
  return umPerStep === undefined ? LN_TIME_PER_STEP.mean : LN_TIME_PER_UM * umPerStep;
}

/** Settings within reach of `from`, in whole steps, inside the grinder's range; `from` first. */
export function settingsAround(grinder: Grinder, from: number): number[] {
  const settings = [from];
  for (let step = 1; step <= FARTHEST_STEPS; step++) {
    for (const dial of [from - step * grinder.stepSize, from + step * grinder.stepSize]) {
      if (dial >= grinder.min - 1e-9 && dial <= grinder.max + 1e-9) settings.push(roundDial(dial));
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
