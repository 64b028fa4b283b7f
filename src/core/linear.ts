/** What the regressions share; all else is the linear-algebra package's. */
import { Matrix } from 'ml-matrix';

/** xᵀy of two rows of equal length. */
export function dot(a: readonly number[], b: readonly number[]): number {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += a[i]! * b[i]!;
  return sum;
}

/** xᵀMx for a square M; zeros of x, frequent in design rows, cost nothing. */
export function quadratic(M: Matrix, x: readonly number[]): number {
  const used = x.flatMap((value, i) => (value === 0 ? [] : [i]));
  let sum = 0;
  for (const i of used) for (const j of used) sum += x[i]! * M.get(i, j) * x[j]!;
  return sum;
}

/** A matrix that is symmetric but for rounding, made so. */
export function symmetric(M: Matrix): Matrix {
  return Matrix.add(M, M.transpose()).mul(0.5);
}
