/** How sure the model is of a sum of its columns at one café. */
import type { CafeBlock } from './block';
import { quadraticForm, timesVector, type Dense } from './dense';
import type { FieldRow } from './rows';

/** Variance of xᵀ(own columns, shared columns) under the joint posterior. */
export function rowVariance(
  { columns, values }: Pick<FieldRow, 'columns' | 'values'>,
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
