/** A café's own columns once the shared ones are known, and what is left of each row. */
import type { CafeBlock } from './block';
import { timesVector } from './dense';
import type { CafeRows, CafeRow } from './rows';

export interface CafeFit {
  /** Local columns, then the shared ones the café speaks of. */
  readonly effects: Float64Array;
  readonly residuals: readonly (readonly number[])[];
}

export function fitCafe(
  rows: CafeRows,
  { inverseLocal, cross, localSide }: CafeBlock,
  shared: ArrayLike<number>,
): CafeFit {
  const taken = timesVector(cross, shared);
  const local = timesVector(
    inverseLocal,
    localSide.map((h, i) => h - taken[i]!),
  );
  const effects = new Float64Array(local.length + shared.length);
  effects.set(local);
  effects.set(shared, local.length);
  return {
    effects,
    residuals: rows.visits.map((visit) => visit.map((row) => row.y - fitted(row, effects))),
  };
}

export function fitted(
  { columns, values }: Pick<CafeRow, 'columns' | 'values'>,
  effects: Float64Array,
): number {
  let sum = 0;
  for (let k = 0; k < columns.length; k++) sum += values[k]! * effects[columns[k]!]!;
  return sum;
}
