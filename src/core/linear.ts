/** Two small products the regressions share; all else is the linear-algebra package's. */
import type { Matrix } from 'ml-matrix';

/** xᵀy of two rows of equal length. */
export function dot(a: readonly number[], b: readonly number[]): number {
  return a.reduce((sum, value, i) => sum + value * b[i]!, 0);
}

/** xᵀMx for a square M; zeros of x, frequent in design rows, cost nothing. */
export function quadratic(M: Matrix, x: readonly number[]): number {
  let sum = 0;
  for (let i = 0; i < x.length; i++) {
    if (x[i] === 0) continue;
    for (let j = 0; j < x.length; j++) sum += x[i]! * M.get(i, j) * x[j]!;
  }
  return sum;
}
