/** How sure the model is of a sum of its columns at one café. */
import type { CafeBlock } from './block';
import { quadraticForm, times, timesVector, zeros, type Dense } from './dense';
import type { CafeRow } from './rows';

/** Variance of xᵀ(own columns, shared columns) under the joint posterior. */
export function rowVariance(
  { columns, values }: Pick<CafeRow, 'columns' | 'values'>,
  { inverseLocal, cross }: Pick<CafeBlock, 'inverseLocal' | 'cross'>,
  covariance: Dense,
): number {
  const size = inverseLocal.rows;
  const x = new Float64Array(size + covariance.rows);
  columns.forEach((at, k) => (x[at]! += values[k]!));
  const own = x.subarray(0, size);
  const z = x.slice(size);
  const solved = timesVector(inverseLocal, own);
  for (let i = 0; i < size; i++)
    for (let j = 0, k = i * z.length; j < z.length; j++, k++)
      z[j]! -= cross.values[k]! * solved[i]!;
  const ofLocal = solved.reduce((sum, value, i) => sum + value * own[i]!, 0);
  return ofLocal + quadraticForm(covariance, z);
}

/** Joint covariance of a café's own columns and the shared ones; nothing is shared where null. */
export function jointCovariance(
  { inverseLocal, cross }: Pick<CafeBlock, 'inverseLocal' | 'cross'>,
  covariance: Dense | null,
): Dense {
  const own = inverseLocal.rows;
  const shared = cross.columns;
  const joint = zeros(own + shared, own + shared);
  const { values, columns } = joint;
  const V = covariance ?? zeros(shared, shared);
  // Own columns move against the shared ones by −A⁻¹B.
  const along = times(inverseLocal, cross);
  const carried = times(along, V);
  for (let i = 0; i < own; i++) {
    for (let j = 0; j < own; j++) {
      let sum = inverseLocal.values[i * own + j]!;
      for (let k = 0; k < shared; k++)
        sum += carried.values[i * shared + k]! * along.values[j * shared + k]!;
      values[i * columns + j] = sum;
    }
    for (let j = 0; j < shared; j++) {
      const value = -carried.values[i * shared + j]!;
      values[i * columns + own + j] = value;
      values[(own + j) * columns + i] = value;
    }
  }
  for (let i = 0; i < shared; i++)
    for (let j = 0; j < shared; j++)
      values[(own + i) * columns + own + j] = V.values[i * shared + j]!;
  return joint;
}
