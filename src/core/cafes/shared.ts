/**
 * The shared columns of the field model. Weather belongs to a region and is eliminated region by region, so that a
 * check at one café costs its own region and the columns of the whole field, however many cafés there are.
 */
import type { CafeBlock } from './block';
import {
  at,
  copyOf,
  inverseOf,
  solved,
  times,
  timesVector,
  transposedTimes,
  zeros,
  type Dense,
} from './dense';
import { CAFE_RULES } from './cafeRules';
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

/** What cafés of a region say together, its weather still in it. */
export interface RegionSums {
  readonly firstDay: number;
  readonly days: Dense;
  readonly cross: Dense;
  readonly daySide: Float64Array;
  readonly schur: Dense;
  readonly schurSide: Float64Array;
}

/** The first day and how many there are up to the last, of what all cafés of a region speak of. */
export interface DaySpan {
  readonly firstDay: number;
  readonly days: number;
}

export function daySpan(all: Iterable<readonly SharedKey[]>): DaySpan {
  let [firstDay, lastDay] = [Infinity, -Infinity];
  for (const keys of all)
    for (const { day } of keys)
      if (day !== null) {
        if (day < firstDay) firstDay = day;
        if (day > lastDay) lastDay = day;
      }
  return { firstDay, days: lastDay - firstDay + 1 };
}

export function emptyRegion({ firstDay, days }: DaySpan, columns: GlobalColumns): RegionSums {
  const globals = columns.keys.length;
  return {
    firstDay,
    days: weatherPrecision(days),
    cross: zeros(days, globals),
    daySide: new Float64Array(days),
    schur: zeros(globals, globals),
    schurSide: new Float64Array(globals),
  };
}

/** With one café more, or one less; the sums themselves stay as they are. */
export function withPart(
  sums: RegionSums,
  part: SharedPart,
  columns: GlobalColumns,
  sign: 1 | -1 = 1,
): RegionSums {
  const changed = {
    ...sums,
    days: copyOf(sums.days),
    cross: copyOf(sums.cross),
    daySide: sums.daySide.slice(),
    schur: copyOf(sums.schur),
    schurSide: sums.schurSide.slice(),
  };
  addPart(changed, part, columns, sign);
  return changed;
}

export function addPart(
  { firstDay, days, cross, daySide, schur, schurSide }: RegionSums,
  { keys, block }: SharedPart,
  columns: GlobalColumns,
  sign: 1 | -1 = 1,
): void {
  const isDay = keys.map(({ day }) => day !== null);
  const places = keys.map(({ day, name }) =>
    day === null ? columns.at.get(name)! : day - firstDay,
  );
  const size = keys.length;
  for (let i = 0; i < size; i++) {
    const row = places[i]!;
    (isDay[i] ? daySide : schurSide)[row]! += sign * block.schurSide[i]!;
    for (let j = 0; j < size; j++) {
      // What a column of the field says of a day is what the day says of it.
      if (!isDay[i] && isDay[j]) continue;
      const into = !isDay[i] ? schur : isDay[j] ? days : cross;
      into.values[row * into.columns + places[j]!]! += sign * block.schur.values[i * size + j]!;
    }
  }
}

export function fitRegion({
  firstDay,
  days,
  cross,
  daySide,
  schur: summed,
  schurSide: side,
}: RegionSums): RegionFit {
  const inverseDays = inverseOf(days);
  const byDay = times(inverseDays, cross);
  const taken = transposedTimes(cross, byDay);
  const schur = copyOf(summed);
  for (let i = 0; i < schur.values.length; i++) schur.values[i]! -= taken.values[i]!;
  const schurSide = side.slice();
  const globals = schur.rows;
  for (let d = 0; d < days.rows; d++)
    for (let g = 0; g < globals; g++) schurSide[g]! -= byDay.values[d * globals + g]! * daySide[d]!;
  return { firstDay, inverseDays, cross: byDay, daySide, schur, schurSide };
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
    Q.values[i * globals + i] = 1 / (isBatch ? CAFE_RULES.batchSd : CAFE_RULES.ageSd) ** 2;
  });
  // A region that was fitted before a column came has not heard of it: columns are only added at the end.
  for (const { schur, schurSide } of regions)
    for (let i = 0; i < schur.rows; i++) {
      side[i]! += schurSide[i]!;
      for (let j = 0; j < schur.rows; j++) Q.values[i * globals + j]! += at(schur, i, j);
    }
  let covariance: Dense | null = null;
  return {
    mean: solved(Q, side),
    // Four times the work of the mean, and not every fit is asked for it.
    get covariance() {
      return (covariance ??= inverseOf(Q));
    },
  };
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
  const size = keys.length;
  const globals = columns.keys.length;
  const places = keys.map(({ day, name }) =>
    day === null ? columns.at.get(name)! : day - region.firstDay,
  );
  const { cross, inverseDays } = region;
  const crossS = times(cross, covariance);
  const V = zeros(size, size);
  for (let i = 0; i < size; i++) {
    const isDay = keys[i]!.day !== null;
    const pulled = isDay ? crossS : covariance;
    const from = places[i]! * globals;
    const sign = isDay ? -1 : 1;
    for (let j = 0; j <= i; j++) {
      const to = places[j]!;
      let value = 0;
      if (keys[j]!.day === null) value = sign * pulled.values[from + to]!;
      else {
        // A region that was fitted before a column came has not heard of it.
        for (let g = 0, k = to * cross.columns; g < cross.columns; g++, k++)
          value -= sign * pulled.values[from + g]! * cross.values[k]!;
        if (isDay) value += at(inverseDays, places[i]!, to);
      }
      V.values[i * size + j] = value;
      V.values[j * size + i] = value;
    }
  }
  return V;
}

/** Precision of the weather of so many days in a row: first-order autoregression (published). */
function weatherPrecision(days: number): Dense {
  const { carry, sd } = CAFE_RULES.weather;
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
