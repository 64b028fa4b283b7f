/**
 * A new batch on its coffee's last recipe: does the recipe carry over (model.md §5b)? The same shots as the
 * next setting of a dial-in sees, asked another question first. House heuristic.
 */
import { roundDial, settingLimits, slopePrior } from '../grinder/dial';
import { carryOver, REFERENCE_S, type CarryVerdict } from './carry';
import { ageOf } from '../rest/ageing';
import { correctedLnTime, type Judged } from './judge';
import type { Proof, Setting } from './types';

/** After so many shots the next setting of a dial-in takes over. */
const MOST_SHOTS = 8;
/** Dials looked at on either side of where the bench stands. */
const STEPS_AROUND = 12;

export interface CarriedOver {
  readonly verdict: CarryVerdict;
  /** Where the recipe holds best. */
  readonly setting: Setting;
  /** Of that setting, pulled or not. */
  readonly proof: Proof;
}

/** The verdict so far; null where no recipe came over, or the question is settled otherwise. */
export function carriedOver(judged: Judged): CarriedOver | null {
  const { input, marks, model, pumpWindowS, dial, aimDoseG, goal, offsetS } = judged;
  const { carry, shots, grinder, target } = input;
  if (!carry || judged.isRevised || shots.length > MOST_SHOTS) return null;
  const slope = slopeOf(judged);
  const ageSlope = model.coefficients[4];
  const moveLnOf = (at: number) => slope * (at - carry.dial);
  const counted = shots.flatMap((shot, i) => {
    const mark = marks[i]!;
    if (!mark.valid && !(mark.side === 'fast' || mark.side === 'slow')) return [];
    if (mark.unpurged || mark.otherBeans || mark.choked || mark.gushing) return [];
    const { lnTimeS } = correctedLnTime(shot, target, mark.timeOnTargetClockS);
    const ages = shot.restDays === undefined ? 0 : ageOf(carry.restDays) - ageOf(shot.restDays);
    const timeS = (Math.exp(lnTimeS) + offsetS) * Math.exp(ageSlope * ages);
    return [{ moveLn: moveLnOf(model.effectiveDials[i]!), timeS }];
  });
  const dials = dialsAround(dial, grinder);
  const { verdict, best, settled } = carryOver({
    prior: { mean: carry.mean - Math.log(REFERENCE_S), sd: carry.sd },
    window: pumpWindowS,
    noiseSd: model.noiseSd,
    shots: counted,
    moves: dials.map(moveLnOf),
    here: moveLnOf(dial),
    goal,
  });
  const to = dials.find((at) => Math.abs(moveLnOf(at) - best.moveLn) < 1e-9) ?? dial;
  const meanS = REFERENCE_S * Math.exp(settled.mean);
  return {
    // Without a sound shot nothing carries over, however sure the expectation is.
    verdict: verdict === 'carriesOver' && counted.length === 0 ? 'oneMore' : verdict,
    setting: { dial: to, doseG: aimDoseG },
    proof: { meanS: meanS - offsetS, sdS: meanS * settled.sd, inWindow: best.inWindow },
  };
}

/** Change of ln time per dial number: as the grinder's memory has it, else its profile. */
function slopeOf({ input: { memory, grinder } }: Judged): number {
  return memory?.mean[4] ?? slopePrior(grinder).mean;
}

function dialsAround(dial: number, grinder: Judged['input']['grinder']): number[] {
  const { min, max } = settingLimits(grinder);
  return Array.from({ length: 2 * STEPS_AROUND + 1 }, (_, i) =>
    roundDial(dial + (i - STEPS_AROUND) * grinder.stepSize),
  ).filter((at) => at >= min - 1e-9 && at <= max + 1e-9);
}
