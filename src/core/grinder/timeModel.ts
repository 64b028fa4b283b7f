/**
 * Shot time as a function of dial, dose, yield and age (model.md §3):
 *   ln timeS = a + b·dial + c·ln(dose/dose₀) + d·ln(yield/yield₀) + e·(restDays − rest₀) + noise.
 * Time counts from the pump. The form is the trade's; the priors are a house heuristic.
 * Posterior by conjugate updating with Student-t weights against odd shots, iterated to a fixed point.
 * Valid while shots flow: choked shots enter only as "far too slow" with a wide sd.
 */
import { inverse, Matrix } from 'ml-matrix';
import { assert } from '../errors';
import type { PumpSeconds } from '../extraction/clock';
import { dot, quadratic } from '../linear';
import { carriedShare, chamberAfter, effectiveDial, type Passage } from './retention';

/** One shot as the model takes it. */
export interface TimedShot {
  readonly dial: number;
  readonly doseG: number;
  readonly yieldG: number;
  /** Null when the time cannot be used (clock unknown): the shot then only moves grounds. */
  readonly timeS: PumpSeconds | null;
  readonly purgeG: number;
  readonly restDays: number | null;
  readonly choked: boolean;
}

export interface TimeModelInput {
  readonly shots: readonly TimedShot[];
  /** Reference point: the target's dose and yield, the dial of the start, the rest day of the first shot. */
  readonly reference: {
    readonly dial: number;
    readonly doseG: number;
    readonly yieldG: number;
    readonly restDays: number;
  };
  /** Time expected at the reference, s from the pump. */
  readonly expectedTimeS: PumpSeconds;
  /** Change of ln time per dial number, signed by which way is finer. */
  readonly slope: { readonly mean: number; readonly sd: number };
  readonly retentionG: number;
}

/** sd of ln time between like shots of one person. House heuristic; to be learnt per grinder. */
export const NOISE_SD = 0.045;
/** Prior sd of a, and the priors of c, d and e. House heuristic (model.md §3). */
const EXPECTED_SD = 0.25;
const DOSE_EXPONENT = { mean: 1, sd: 0.4 };
const YIELD_EXPONENT = { mean: 1, sd: 0.2 };
const AGE_SLOPE = { mean: -0.008, sd: 0.006 };

/** Share of a carried-over move that counts as extra noise: the mixture is never even. */
const MIXING_NOISE = 0.3;

/** A choked shot stands for about 2.5 times the expected time, sd .2 in ln. House heuristic. */
const CHOKED_LN_EXCESS = Math.log(2.5);
const CHOKED_SD = 0.2;

/** Student-t with four degrees: w = 5/(4 + …). Two shots cannot tell which of them is odd. */
const STUDENT_DEGREES = 4;
const ROBUST_FROM_SHOTS = 3;
const MAX_ITERATIONS = 200;
const WEIGHT_TOLERANCE = 1e-8;

/** Below this weight a shot is shown as "does not fit: prep?". */
export const ODD_WEIGHT = 0.35;

export interface TimeModel {
  /** a, b, c, d, e. */
  readonly coefficients: readonly [number, number, number, number, number];
  readonly covariance: Matrix;
  /** Student-t weight per shot, aligned with the input; null where the time was not used. */
  readonly weights: readonly (number | null)[];
  readonly effectiveDials: readonly number[];
  /** Mean setting of the grounds that stand in the grinder now. */
  readonly chamberDial: number;
  /** ln time of a shot: mean and variance of the next observation. */
  readonly predict: (next: NextShot) => { readonly lnTimeS: number; readonly variance: number };
}

export interface NextShot {
  readonly dial: number;
  readonly doseG: number;
  readonly yieldG: number;
  readonly restDays: number;
  readonly purgeG: number;
}

interface Row {
  readonly x: readonly number[];
  readonly lnTimeS: number;
  readonly variance: number;
  readonly shotIndex: number;
  readonly choked: boolean;
}

/** Fits the model to the shots of one dial-in, in the order they were pulled. */
export function fitTimeModel(input: TimeModelInput): TimeModel {
  const { reference, slope, retentionG, shots } = input;
  const priorMean = [
    Math.log(input.expectedTimeS),
    slope.mean,
    DOSE_EXPONENT.mean,
    YIELD_EXPONENT.mean,
    AGE_SLOPE.mean,
  ];
  const priorSd = [EXPECTED_SD, slope.sd, DOSE_EXPONENT.sd, YIELD_EXPONENT.sd, AGE_SLOPE.sd];
  const { rows, effectiveDials, chamberDial } = rowsOf(input);

  let rowWeights = rows.map(() => 1);
  let fit = solve(rows, rowWeights, priorMean, priorSd);
  if (rows.length >= ROBUST_FROM_SHOTS) {
    let change = Infinity;
    for (let i = 0; i < MAX_ITERATIONS && change > WEIGHT_TOLERANCE; i++) {
      const next = rows.map((row) => studentWeight(row, fit));
      change = Math.max(...next.map((w, j) => Math.abs(w - rowWeights[j]!)));
      rowWeights = next;
      fit = solve(rows, rowWeights, priorMean, priorSd);
    }
  }

  const weights: (number | null)[] = shots.map(() => null);
  rows.forEach((row, i) => {
    if (!row.choked) weights[row.shotIndex] = rowWeights[i]!;
  });
  const [a, b, c, d, e] = fit.mean;
  assert([a, b, c, d, e].every(Number.isFinite), 'the time model has a finite solution');
  return {
    coefficients: [a!, b!, c!, d!, e!],
    covariance: fit.covariance,
    weights,
    effectiveDials,
    chamberDial,
    predict: (next) => {
      const passage: Passage = { retentionG, doseG: next.doseG, purgeG: next.purgeG };
      const x = designOf(
        { ...next, dial: effectiveDial(next.dial, chamberDial, passage) },
        reference,
      );
      const mixing = mixingVariance(slope.mean, next.dial - chamberDial, passage);
      return {
        lnTimeS: dot(x, fit.mean),
        variance: NOISE_SD ** 2 + mixing + quadratic(fit.covariance, x),
      };
    },
  };
}

function designOf(
  shot: { dial: number; doseG: number; yieldG: number; restDays: number | null },
  reference: TimeModelInput['reference'],
): number[] {
  return [
    1,
    shot.dial - reference.dial,
    Math.log(shot.doseG / reference.doseG),
    Math.log(shot.yieldG / reference.yieldG),
    shot.restDays === null ? 0 : shot.restDays - reference.restDays,
  ];
}

function mixingVariance(slope: number, dialChange: number, passage: Passage): number {
  return (MIXING_NOISE * slope * dialChange * carriedShare(passage)) ** 2;
}

/** Observations of the shots in order, following the grounds left in the chamber. */
function rowsOf({ shots, reference, slope, retentionG, expectedTimeS }: TimeModelInput) {
  const rows: Row[] = [];
  const effectiveDials: number[] = [];
  // Nobody knows what stood in the grinder before the first shot: it is taken as that shot's own.
  let chamberDial = shots[0]?.dial ?? reference.dial;
  shots.forEach((shot, shotIndex) => {
    const passage = { retentionG, doseG: shot.doseG, purgeG: shot.purgeG };
    const dial = effectiveDial(shot.dial, chamberDial, passage);
    const mixing = mixingVariance(slope.mean, shot.dial - chamberDial, passage);
    effectiveDials.push(dial);
    chamberDial = chamberAfter(shot.dial, chamberDial, passage);
    if (shot.choked) {
      rows.push({
        x: designOf({ ...shot, dial, yieldG: reference.yieldG }, reference),
        lnTimeS: Math.log(expectedTimeS) + CHOKED_LN_EXCESS,
        variance: CHOKED_SD ** 2,
        shotIndex,
        choked: true,
      });
    } else if (shot.timeS !== null && isNearYield(shot.yieldG, reference.yieldG)) {
      rows.push({
        x: designOf({ ...shot, dial }, reference),
        lnTimeS: Math.log(shot.timeS),
        variance: NOISE_SD ** 2 + mixing,
        shotIndex,
        choked: false,
      });
    }
  });
  return { rows, effectiveDials, chamberDial };
}

/** A shot far from its yield tells nothing about time: only from half to twice is it used. */
function isNearYield(yieldG: number, targetG: number): boolean {
  return yieldG >= targetG / 2 && yieldG <= targetG * 2;
}

interface Fit {
  readonly mean: readonly number[];
  readonly covariance: Matrix;
}

/** Conjugate posterior with known (weighted) variances. */
function solve(
  rows: readonly Row[],
  weights: readonly number[],
  priorMean: readonly number[],
  priorSd: readonly number[],
): Fit {
  const precision = Matrix.diag(priorSd.map((sd) => 1 / sd ** 2));
  const right = Matrix.columnVector(priorMean.map((m, i) => m / priorSd[i]! ** 2));
  rows.forEach((row, r) => {
    const w = weights[r]! / row.variance;
    row.x.forEach((xi, i) => {
      right.set(i, 0, right.get(i, 0) + w * xi * row.lnTimeS);
      row.x.forEach((xj, j) => precision.set(i, j, precision.get(i, j) + w * xi * xj));
    });
  });
  const covariance = inverse(precision);
  return { mean: covariance.mmul(right).to1DArray(), covariance };
}

function studentWeight(row: Row, fit: Fit): number {
  const squared = (row.lnTimeS - dot(row.x, fit.mean)) ** 2 + quadratic(fit.covariance, row.x);
  return (STUDENT_DEGREES + 1) / (STUDENT_DEGREES + squared / row.variance);
}
