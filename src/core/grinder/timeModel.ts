/**
 * Shot time as one dial-in teaches it (model.md §3, §3b): the posterior of a, b, c, d, e by conjugate
 * updating, each shot weighted by how probably it is not an odd one. The prior comes from the grinder's
 * memory, or from its profile. Valid while shots flow: a choke enters only as "far too slow".
 */
import { inverse, Matrix } from 'ml-matrix';
import { assert } from '../errors';
import { dot, quadratic } from '../linear';
import { effectiveDial, type Passage } from './retention';
import { weightOf, type TimePrior } from './timePrior';
import {
  designOf,
  mixingVariance,
  rowsOf,
  type Reference,
  type TimedShot,
  type TimeRow,
} from './timeRows';

export interface TimeModelInput {
  readonly shots: readonly TimedShot[];
  readonly reference: Reference;
  readonly prior: TimePrior;
  readonly retentionG: number;
}

/** Two shots are the least that can disagree. */
const ROBUST_FROM_SHOTS = 2;
const MAX_ITERATIONS = 200;
const WEIGHT_TOLERANCE = 1e-8;
const DAMPING = 0.5;

/** A slope under this share of what was expected is not believed. House heuristic. */
const LEAST_SLOPE_SHARE = 0.15;
const HELD_SHARE = 0.1;

/** Below this weight a shot is the odd one out. */
export const ODD_WEIGHT = 0.35;

export interface Observation {
  readonly lnTimeS: number;
  readonly variance: number;
}

export interface TimeModel {
  /** a, b, c, d, e. */
  readonly coefficients: readonly [number, number, number, number, number];
  readonly covariance: Matrix;
  /** sd of ln time between like shots of whoever pulls now. */
  readonly noiseSd: number;
  /** Weight per shot, aligned with the input; null where the time was not used. */
  readonly weights: readonly (number | null)[];
  readonly effectiveDials: readonly number[];
  /** Mean setting of the grounds that stand in the grinder now. */
  readonly chamberDial: number;
  /** ln time of the next shot: mean and variance of one observation. */
  readonly predict: (next: NextShot) => Observation;
  /** ln time a setting holds once the grinder has settled on it: mean, and variance without noise. */
  readonly settled: (setting: Omit<NextShot, 'purgeG'>) => Observation;
}

export interface NextShot {
  readonly dial: number;
  readonly doseG: number;
  readonly yieldG: number;
  /** Null where it is not known: as of the reference's age. */
  readonly restDays: number | null;
  readonly purgeG: number;
}

/** Fits the model to the shots of one dial-in, in the order they were pulled. */
export function fitTimeModel({ shots, reference, prior, retentionG }: TimeModelInput): TimeModel {
  const slope = prior.mean[1]!;
  const { rows, effectiveDials, chamberDial } = rowsOf({
    shots,
    reference,
    retentionG,
    slope,
    expectedLnTimeS: prior.mean[0]!,
  });
  const variances = rows.map(
    ({ fixedVariance, extraVariance, noiseShare }) =>
      fixedVariance ?? (prior.noiseSd * noiseShare) ** 2 + extraVariance,
  );
  const free = robust(rows, variances, prior);
  // Shots far from where the start was meant to be must not turn finer into coarser.
  const isTurned = free.fit.mean[1]! / slope < LEAST_SLOPE_SHARE;
  const { fit, rowWeights } = isTurned ? robust(rows, variances, withSlopeHeld(prior)) : free;
  const weights: (number | null)[] = shots.map(() => null);
  rows.forEach((row, i) => {
    if (row.fixedVariance === null) weights[row.shotIndex] = rowWeights[i]!;
  });
  const [a, b, c, d, e] = fit.mean;
  // The next shot is taken to be pulled by whoever pulled the last.
  const noiseSd = prior.noiseSd * (shots.at(-1)?.noiseShare ?? 1);
  assert([a, b, c, d, e].every(Number.isFinite), 'the time model has a finite solution');
  return {
    coefficients: [a!, b!, c!, d!, e!],
    covariance: fit.covariance,
    noiseSd,
    weights,
    effectiveDials,
    chamberDial,
    predict: (next) => {
      const passage: Passage = { retentionG, doseG: next.doseG, purgeG: next.purgeG };
      const dial = effectiveDial(next.dial, chamberDial, passage);
      const x = designOf({ ...next, dial }, reference);
      const mixing = mixingVariance(slope, next.dial - chamberDial, passage);
      return {
        lnTimeS: dot(x, fit.mean),
        variance: noiseSd ** 2 + mixing + quadratic(fit.covariance, x),
      };
    },
    settled: (setting) => {
      const x = designOf(setting, reference);
      return { lnTimeS: dot(x, fit.mean), variance: quadratic(fit.covariance, x) };
    },
  };
}

/** The prior with its slope all but certain. */
function withSlopeHeld(prior: TimePrior): TimePrior {
  const covariance = prior.covariance.clone();
  covariance.mulRow(1, HELD_SHARE).mulColumn(1, HELD_SHARE);
  return { ...prior, covariance };
}

/** Weights and conjugate posterior, each from the other, to a fixed point. */
function robust(rows: readonly TimeRow[], variances: readonly number[], prior: TimePrior) {
  const precision = inverse(prior.covariance);
  const right = precision.mmul(Matrix.columnVector([...prior.mean]));
  const solve = (weights: readonly number[]): Fit => {
    const [J, q] = [precision.clone(), right.clone()];
    rows.forEach((row, r) => addRow(J, q, row, weights[r]! / variances[r]!));
    const covariance = inverse(J);
    return { mean: covariance.mmul(q).to1DArray(), covariance };
  };
  let rowWeights = rows.map(() => 1);
  let fit = solve(rowWeights);
  if (rows.length < ROBUST_FROM_SHOTS) return { fit, rowWeights };
  let change = Infinity;
  for (let i = 0; i < MAX_ITERATIONS && change > WEIGHT_TOLERANCE; i++) {
    const next = rows.map((row, j) => {
      if (row.fixedVariance !== null) return 1;
      const squared = (row.lnTimeS - dot(row.x, fit.mean)) ** 2 + quadratic(fit.covariance, row.x);
      const wanted = weightOf(squared, variances[j]!, prior.oddRate).weight;
      return rowWeights[j]! + DAMPING * (wanted - rowWeights[j]!);
    });
    change = Math.max(...next.map((w, j) => Math.abs(w - rowWeights[j]!)));
    rowWeights = next;
    fit = solve(rowWeights);
  }
  return { fit, rowWeights };
}

interface Fit {
  readonly mean: readonly number[];
  readonly covariance: Matrix;
}

/** Adds w·xxᵀ and w·x·y of a row. */
export function addRow(J: Matrix, q: Matrix, { x, lnTimeS }: TimeRow, w: number): void {
  x.forEach((xi, i) => {
    if (xi === 0) return;
    q.set(i, 0, q.get(i, 0) + w * xi * lnTimeS);
    x.forEach((xj, j) => J.set(i, j, J.get(i, j) + w * xi * xj));
  });
}
