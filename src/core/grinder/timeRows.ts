/**
 * Shots as evidence of time (model.md §3): what the model of one dial-in and the grinder's memory both take.
 *   ln timeS = a + b·(dial − D) + c·ln(dose/dose₀) + d·ln(yield/yield₀) + e·(ψ − ψ₀) + noise.
 * Time counts from the pump; the dial is the effective one, with the grounds of the old setting in it.
 */
import type { PumpSeconds } from '../extraction/clock';
import { ageOf, freshVariance } from '../rest/ageing';
import { carriedShare, chamberAfter, effectiveDial, type Passage } from './retention';

/** sd of ln time between like shots of one person, until a grinder's memory knows better. House heuristic. */
export const NOISE_SD = 0.045;
/** Exponents of dose and yield, change of ln time per day at day 14. House heuristic (model.md §3). */
export const DOSE_EXPONENT = { mean: 1.4, sd: 0.5 };
export const YIELD_EXPONENT = { mean: 1, sd: 0.2 };
export const AGE_SLOPE = { mean: -0.008, sd: 0.006 };

/** Share of a carried-over move that counts as extra noise: the mixture is never even. */
const MIXING_NOISE = 0.3;
/** A choked shot stands for about 2.5 times the expected time, sd .2 in ln. House heuristic. */
const CHOKED_LN_EXCESS = Math.log(2.5);
const CHOKED_VARIANCE = 0.04;
/** Under this much in the cup nothing was timed. */
export const LEAST_TIMED_G = 3;
/** sd of ln time for each ln of yield a shot is away from the target: the flow is not even. */
export const YIELD_DOUBT = 0.25;

/** One shot as the model takes it. */
export interface TimedShot {
  readonly dial: number;
  readonly doseG: number;
  readonly yieldG: number;
  /** Of the recipe it was pulled for; the reference's when absent. */
  readonly aimYieldG?: number | undefined;
  /** Null when the time cannot be used: the shot then only moves grounds. */
  readonly timeS: PumpSeconds | null;
  /** sd of ln time beside the noise of like shots: a converted clock, a yield read by eye. */
  readonly lnSd?: number | undefined;
  readonly purgeG: number;
  readonly restDays: number | null;
  readonly choked: boolean;
  /** Noise of who pulled it, as a share of the grinder's; 1 where nothing is known of them. */
  readonly noiseShare?: number | undefined;
}

/** What rows are counted from: a target's dose and yield, a dial, a rest day. */
export interface Reference {
  readonly dial: number;
  readonly doseG: number;
  readonly yieldG: number;
  readonly restDays: number;
}

/** One shot as evidence. */
export interface TimeRow {
  /** 1, dial from the reference, ln dose and ln yield against it, age. */
  readonly x: readonly number[];
  readonly lnTimeS: number;
  /** Variance beside the noise of like shots. */
  readonly extraVariance: number;
  /** The whole variance of a shot that was not timed as such, a choke; null for others. */
  readonly fixedVariance: number | null;
  readonly shotIndex: number;
  /** Noise of who pulled it, as a share of the grinder's. */
  readonly noiseShare: number;
}

export interface RowsInput {
  readonly shots: readonly TimedShot[];
  readonly reference: Reference;
  readonly retentionG: number;
  /** Change of ln time per dial number, for the noise of mixed grounds. */
  readonly slope: number;
  /** ln time expected at the reference: what a choke is slower than. */
  readonly expectedLnTimeS: number;
}

/** Observations of the shots in order, following the grounds left in the chamber. */
export function rowsOf({ shots, reference, retentionG, slope, expectedLnTimeS }: RowsInput) {
  const rows: TimeRow[] = [];
  const effectiveDials: number[] = [];
  // Nobody knows what stood in the grinder before the first shot: it is taken as that shot's own.
  let chamberDial = shots[0]?.dial ?? reference.dial;
  shots.forEach((shot, shotIndex) => {
    const passage = { retentionG, doseG: shot.doseG, purgeG: shot.purgeG };
    const dial = effectiveDial(shot.dial, chamberDial, passage);
    const mixing = mixingVariance(slope, shot.dial - chamberDial, passage);
    effectiveDials.push(dial);
    chamberDial = chamberAfter(shot.dial, chamberDial, passage);
    // A recipe of another ratio than the reference is no miss.
    const { aimYieldG = reference.yieldG } = shot;
    if (shot.choked && shot.yieldG < LEAST_TIMED_G) {
      rows.push({
        x: designOf({ ...shot, dial, yieldG: aimYieldG }, reference),
        lnTimeS: expectedLnTimeS + CHOKED_LN_EXCESS,
        extraVariance: 0,
        fixedVariance: CHOKED_VARIANCE,
        shotIndex,
        noiseShare: 1,
      });
    } else if (shot.timeS !== null && isTimed(shot.yieldG, aimYieldG)) {
      const yields = YIELD_DOUBT * Math.log(shot.yieldG / aimYieldG);
      const fresh = shot.restDays === null ? 0 : freshVariance(shot.restDays);
      rows.push({
        x: designOf({ ...shot, dial }, reference),
        lnTimeS: Math.log(shot.timeS),
        extraVariance: mixing + (shot.lnSd ?? 0) ** 2 + yields ** 2 + fresh,
        fixedVariance: null,
        shotIndex,
        noiseShare: shot.noiseShare ?? 1,
      });
    }
  });
  return { rows, effectiveDials, chamberDial };
}

/** 1, dial, ln dose, ln yield and age of a shot, counted from a reference. */
export function designOf(
  shot: { dial: number; doseG: number; yieldG: number; restDays: number | null },
  reference: Reference,
): number[] {
  return [
    1,
    shot.dial - reference.dial,
    Math.log(shot.doseG / reference.doseG),
    Math.log(shot.yieldG / reference.yieldG),
    shot.restDays === null ? 0 : ageOf(shot.restDays) - ageOf(reference.restDays),
  ];
}

export function mixingVariance(slope: number, dialChange: number, passage: Passage): number {
  return (MIXING_NOISE * slope * dialChange * carriedShare(passage)) ** 2;
}

/** From a sip to twice the target: what ran on far beyond it was not stopped on purpose. */
function isTimed(yieldG: number, targetG: number): boolean {
  return yieldG >= LEAST_TIMED_G && yieldG <= targetG * 2;
}
