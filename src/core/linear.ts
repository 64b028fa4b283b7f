/** Two small products the regressions share; all else is the linear-algebra package's. */
import type { Matrix } from 'ml-matrix';

/** xᵀy of two rows of equal length. */
export function dot(a: readonly number[], b: readonly number[]): number {
  return a.reduce((sum, value, i) => sum + value * b[i]!, 0);
}

/** xᵀMx for a square M; zeros of x, frequent in design rows, cost nothing. */
export function quadratic(M: Matrix, x: readonly number[]): number {
  const used = x.flatMap((value, i) => (value === 0 ? [] : [i]));
  let sum = 0;
  for (const i of used) for (const j of used) sum += x[i]! * M.get(i, j) * x[j]!;
  return sum;
}
