/**
 * The shared columns of the field model. Weather belongs to a region and is eliminated region by region, so that a
 * check at one café costs its own region and the columns of the whole field, however many cafés there are.
 */
import type { CafeBlock } from './block';
import { at, inverseOf, times, timesVector, transposedTimes, zeros, type Dense } from './dense';
import { FIELD } from './fieldRules';
import type { SharedKey } from './rows';

/** A café's block with the columns it speaks of. */
export interface SharedPart {
  readonly keys: readonly SharedKey[];
  readonly block: Pick<CafeBlock, 'schur' | 'schurSide'>;
}

/** Columns of the whole field, in a fixed order. */
export interface GlobalColumns {
  readonly keys: readonly SharedKey[];
  readonly at: ReadonlyMap<string, number>;
}

export interface RegionFit {
  readonly firstDay: number;
  readonly days: number;
  /** Inverse of the region's own part. */
  readonly inverseDays: Dense;
  /** inverseDays · (days × globals). */
  readonly cross: Dense;
  readonly daySide: Float64Array;
  /** What is left for the columns of the whole field. */
  readonly schur: Dense;
  readonly schurSide: Float64Array;
}

export function globalColumns(parts: Iterable<readonly SharedKey[]>): GlobalColumns {
  const at = new Map<string, number>();
  const keys: SharedKey[] = [];
  for (const part of parts)
    for (const key of part)
      if (key.day === null && !at.has(key.name)) at.set(key.name, keys.push(key) - 1);
  return { keys, at };
}

export function fitRegion(parts: readonly SharedPart[], columns: GlobalColumns): RegionFit {
  const days = parts.flatMap(({ keys }) => keys.flatMap(({ day }) => day ?? []));
  const firstDay = Math.min(...days);
  const dayCount = Math.max(...days) - firstDay + 1;
  const globals = columns.keys.length;
  const own = weatherPrecision(dayCount);
  const cross = zeros(dayCount, globals);
  const schur = zeros(globals, globals);
  const daySide = new Float64Array(dayCount);
  const schurSide = new Float64Array(globals);
  for (const { keys, block } of parts) {
    const places = keys.map(({ day, name }) =>
      day === null ? columns.at.get(name)! : day - firstDay,
    );
    const size = keys.length;
    for (let i = 0; i < size; i++) {
      const isDay = keys[i]!.day !== null;
      const row = places[i]!;
      if (isDay) daySide[row]! += block.schurSide[i]!;
      else schurSide[row]! += block.schurSide[i]!;
      for (let j = 0; j < size; j++) {
        const value = block.schur.values[i * size + j]!;
        if (!isDay) {
          if (keys[j]!.day === null) schur.values[row * globals + places[j]!]! += value;
        } else if (keys[j]!.day === null) cross.values[row * globals + places[j]!]! += value;
        else own.values[row * dayCount + places[j]!]! += value;
      }
    }
  }
  const inverseDays = inverseOf(own);
  const solved = times(inverseDays, cross);
  const taken = transposedTimes(cross, solved);
  for (let i = 0; i < schur.values.length; i++) schur.values[i]! -= taken.values[i]!;
  for (let d = 0; d < dayCount; d++)
    for (let g = 0; g < globals; g++)
      schurSide[g]! -= solved.values[d * globals + g]! * daySide[d]!;
  return { firstDay, days: dayCount, inverseDays, cross: solved, daySide, schur, schurSide };
}

export interface GlobalFit {
  readonly mean: Float64Array;
  readonly covariance: Dense;
}

export function fitGlobals(
  columns: GlobalColumns,
  regions: Iterable<Pick<RegionFit, 'schur' | 'schurSide'>>,
): GlobalFit {
  const globals = columns.keys.length;
  const Q = zeros(globals, globals);
  const side = new Float64Array(globals);
  columns.keys.forEach(({ isBatch }, i) => {
    Q.values[i * globals + i] = 1 / (isBatch ? FIELD.batchSd : FIELD.ageSd) ** 2;
  });
  // A region that was fitted before a column came has not heard of it: columns are only added at the end.
  for (const { schur, schurSide } of regions)
    for (let i = 0; i < schur.rows; i++) {
      side[i]! += schurSide[i]!;
      for (let j = 0; j < schur.rows; j++) Q.values[i * globals + j]! += at(schur, i, j);
    }
  const covariance = inverseOf(Q);
  return { mean: timesVector(covariance, side), covariance };
}

/** Weather of a region by day, from its first day on. */
export function weatherOf(region: RegionFit, globals: GlobalFit): Float64Array {
  const days = timesVector(region.inverseDays, region.daySide);
  const taken = timesVector(region.cross, globals.mean);
  return days.map((value, i) => value - taken[i]!);
}

/** Joint covariance of some shared columns, as one café sees them. */
export function sharedCovariance(
  keys: readonly SharedKey[],
  columns: GlobalColumns,
  region: RegionFit,
  { covariance }: GlobalFit,
): Dense {
  // V = D + L·S·Lᵀ: a day carries −cross in L, a column of the whole field its unit vector.
  const globals = columns.keys.length;
  const places = keys.map(({ day, name }) =>
    day === null ? columns.at.get(name)! : day - region.firstDay,
  );
  const L = zeros(keys.length, globals);
  keys.forEach(({ day }, i) => {
    if (day === null) L.values[i * globals + places[i]!] = 1;
    else
      for (let g = 0; g < globals; g++)
        L.values[i * globals + g] = -at(region.cross, places[i]!, g);
  });
  const V = timesTransposed(times(L, covariance), L);
  keys.forEach((a, i) => {
    if (a.day === null) return;
    keys.forEach((b, j) => {
      if (b.day === null) return;
      V.values[i * keys.length + j]! += at(region.inverseDays, places[i]!, places[j]!);
    });
  });
  return V;
}

/** A·Bᵀ. */
function timesTransposed(A: Dense, B: Dense): Dense {
  const out = zeros(A.rows, B.rows);
  for (let i = 0; i < A.rows; i++)
    for (let j = 0; j < B.rows; j++) {
      let sum = 0;
      for (let k = 0; k < A.columns; k++) sum += at(A, i, k) * at(B, j, k);
      out.values[i * B.rows + j] = sum;
    }
  return out;
}

/** Precision of the weather of so many days in a row: first-order autoregression (published). */
function weatherPrecision(days: number): Dense {
  const { carry, sd } = FIELD.weather;
  const precision = zeros(days, days);
  const fresh = 1 / (sd ** 2 * (1 - carry ** 2));
  for (let i = 0; i < days; i++) {
    const ends = Number(i === 0) + Number(i === days - 1);
    // A day between two others is tied to both, the first and the last to one, a single day to none.
    precision.values[i * days + i] = fresh * (1 + (1 - ends) * carry ** 2);
    if (i === 0) continue;
    precision.values[i * days + i - 1] = -carry * fresh;
    precision.values[(i - 1) * days + i] = -carry * fresh;
  }
  return precision;
}
