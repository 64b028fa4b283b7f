/**
 * One café of the field model: robust weights of its shots, its part of the normal equations with the visit effects
 * integrated out, and what is left of it once its own columns are solved (Schur complement; published linear algebra).
 */
import { inverseOf, times, transposedTimes, zeros, type Dense } from './dense';
import { CAFE_RULES } from './cafeRules';
import type { CafeRows, CafeRow } from './rows';

export interface SlopePrior {
  readonly mean: number;
  readonly sd: number;
}

/** What is believed of the noise now. */
export interface CafeNoise {
  readonly shotSd: number;
  readonly visitSd: number;
}

export interface RowWeight {
  /** Weight in the sums, 1 / variance. */
  readonly w: number;
  /** Probability that the shot is no odd one. */
  readonly good: number;
  readonly variance: number;
  /** Of a single shot, without what is unknown of the dial. */
  readonly shotVariance: number;
}

export interface CafeBlock {
  readonly weights: readonly (readonly RowWeight[])[];
  /** 1 / (1/τ² + Σw) of each visit. */
  readonly visitShare: readonly number[];
  readonly inverseLocal: Dense;
  /** Local × shared part of the normal equations. */
  readonly cross: Dense;
  readonly localSide: Float64Array;
  /** What the café says of the shared columns once its own are solved. */
  readonly schur: Dense;
  readonly schurSide: Float64Array;
}

/** Probability that a residual of this usual variance is of a sound shot and no odd one. */
export function soundShare(residual: number, usual: number): number {
  const { rate, sd } = CAFE_RULES.odd;
  const wide = usual + sd ** 2;
  const lnOdds =
    0.5 * Math.log(usual / wide) + residual ** 2 / (2 * usual) - residual ** 2 / (2 * wide);
  // Past e⁵⁰ the share is 0 to any digit.
  return 1 / (1 + (rate / (1 - rate)) * Math.exp(Math.min(50, lnOdds)));
}

/** @param residual y less what is fitted; null where nothing is fitted yet. */
export function rowWeight(
  row: CafeRow,
  residual: number | null,
  noise: CafeNoise,
  slope: number,
): RowWeight {
  const shotVariance = noise.shotSd ** 2;
  const variance = shotVariance / row.check.shots + slope ** 2 * row.dialVarianceSteps2;
  if (residual === null) return { w: 1 / variance, good: 1, variance, shotVariance };
  const usual = variance + noise.visitSd ** 2;
  const good = soundShare(residual, usual);
  return {
    w: (good + ((1 - good) * variance) / (variance + CAFE_RULES.odd.sd ** 2)) / variance,
    good,
    variance,
    shotVariance,
  };
}

export function cafeBlock(
  rows: CafeRows,
  weights: CafeBlock['weights'],
  noise: CafeNoise,
  slope: SlopePrior,
): CafeBlock {
  const { localSize, slopeAt, sharedKeys } = rows;
  const shared = sharedKeys.length;
  const sums: Sums = {
    local: zeros(localSize, localSize),
    cross: zeros(localSize, shared),
    shared: zeros(shared, shared),
    localSide: new Float64Array(localSize),
    sharedSide: new Float64Array(shared),
  };
  const ofVisit = new Float64Array(localSize + shared);
  const isTouched = new Uint8Array(localSize + shared);
  const visitShare = rows.visits.map((visit, v) => {
    let weight = 0;
    let sumY = 0;
    const touched: number[] = [];
    visit.forEach(({ columns, values, y }, i) => {
      const { w } = weights[v]![i]!;
      weight += w;
      sumY += w * y;
      addTo(sums, columns, values, w, y);
      columns.forEach((at, k) => {
        if (isTouched[at] === 0) touched.push(at);
        isTouched[at] = 1;
        ofVisit[at]! += w * values[k]!;
      });
    });
    const share = noise.visitSd > 0 ? 1 / (1 / noise.visitSd ** 2 + weight) : 0;
    const values = touched.map((at) => ofVisit[at]!);
    addTo(sums, touched, values, -share, sumY);
    for (const at of touched) ofVisit[at] = isTouched[at] = 0;
    return share;
  });
  mirror(sums.local);
  mirror(sums.shared);
  addLocalPrior(sums, slopeAt, slope);
  const { local, cross, localSide } = sums;
  const inverseLocal = inverseOf(local);
  const solved = times(inverseLocal, cross);
  const schur = sums.shared;
  const taken = transposedTimes(cross, solved);
  for (let i = 0; i < schur.values.length; i++) schur.values[i]! -= taken.values[i]!;
  const schurSide = sums.sharedSide;
  for (let i = 0; i < localSize; i++)
    for (let j = 0; j < shared; j++)
      schurSide[j]! -= solved.values[i * shared + j]! * localSide[i]!;
  return { weights, visitShare, inverseLocal, cross, localSide, schur, schurSide };
}

interface Sums {
  readonly local: Dense;
  readonly cross: Dense;
  readonly shared: Dense;
  readonly localSide: Float64Array;
  readonly sharedSide: Float64Array;
}

/** Adds weight·xxᵀ and weight·x·y; columns past the local ones are shared. Only lower halves are filled. */
function addTo(
  { local, cross, shared, localSide, sharedSide }: Sums,
  columns: readonly number[],
  values: readonly number[],
  weight: number,
  y: number,
): void {
  const size = local.rows;
  const width = shared.columns;
  for (let a = 0; a < columns.length; a++) {
    const i = columns[a]!;
    const wx = weight * values[a]!;
    if (i < size) localSide[i]! += wx * y;
    else sharedSide[i - size]! += wx * y;
    for (let b = 0; b <= a; b++) {
      const j = columns[b]!;
      const product = wx * values[b]!;
      const high = i > j ? i : j;
      const low = i > j ? j : i;
      if (high < size) local.values[high * size + low]! += product;
      else if (low < size) cross.values[low * width + high - size]! += product;
      else shared.values[(high - size) * width + low - size]! += product;
    }
  }
}

/** Writes the lower half into the upper one. */
function mirror({ rows, values }: Dense): void {
  for (let i = 0; i < rows; i++)
    for (let j = 0; j < i; j++) values[j * rows + i] = values[i * rows + j]!;
}

function addLocalPrior({ local, localSide }: Sums, slopeAt: number, slope: SlopePrior): void {
  const size = local.rows;
  for (let i = 0; i < size; i++) {
    const sd = i < slopeAt ? CAFE_RULES.levelSd : i === slopeAt ? slope.sd : CAFE_RULES.stepSd;
    local.values[i * size + i]! += 1 / sd ** 2;
    if (i === slopeAt) localSide[i]! += slope.mean / sd ** 2;
  }
}
