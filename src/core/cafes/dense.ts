/**
 * Small dense matrices as flat arrays, row by row: sums over a thousand cafés are too slow through an object's get and
 * set. What is not a sum is the linear-algebra package's.
 */
import { inverse, Matrix, solve } from 'ml-matrix';

export interface Dense {
  readonly rows: number;
  readonly columns: number;
  readonly values: Float64Array;
}

export function zeros(rows: number, columns: number): Dense {
  return { rows, columns, values: new Float64Array(rows * columns) };
}

export function copyOf({ rows, columns, values }: Dense): Dense {
  return { rows, columns, values: values.slice() };
}

export function inverseOf({ rows, columns, values }: Dense): Dense {
  const solved = inverse(Matrix.from1DArray(rows, columns, values));
  return { rows, columns, values: Float64Array.from(solved.to1DArray()) };
}

/** x of Mx = side. */
export function solved({ rows, columns, values }: Dense, side: ArrayLike<number>): Float64Array {
  const x = solve(Matrix.from1DArray(rows, columns, values), Matrix.columnVector(Array.from(side)));
  return Float64Array.from(x.to1DArray());
}

export function at({ columns, values }: Dense, i: number, j: number): number {
  return values[i * columns + j]!;
}

export function timesVector(M: Dense, x: ArrayLike<number>): Float64Array {
  const { rows, columns, values } = M;
  const out = new Float64Array(rows);
  for (let i = 0; i < rows; i++) {
    let sum = 0;
    for (let j = 0, k = i * columns; j < columns; j++, k++) sum += values[k]! * x[j]!;
    out[i] = sum;
  }
  return out;
}

/** A·B. */
export function times(A: Dense, B: Dense): Dense {
  const out = zeros(A.rows, B.columns);
  for (let i = 0; i < A.rows; i++)
    for (let k = 0; k < A.columns; k++) {
      const a = A.values[i * A.columns + k]!;
      if (a !== 0) addRow(out, i, B, k, a);
    }
  return out;
}

/** Aᵀ·B. */
export function transposedTimes(A: Dense, B: Dense): Dense {
  const out = zeros(A.columns, B.columns);
  for (let k = 0; k < A.rows; k++)
    for (let i = 0; i < A.columns; i++) {
      const a = A.values[k * A.columns + i]!;
      if (a !== 0) addRow(out, i, B, k, a);
    }
  return out;
}

function addRow(into: Dense, i: number, from: Dense, k: number, factor: number): void {
  const { columns } = from;
  for (let j = 0; j < columns; j++)
    into.values[i * columns + j]! += factor * from.values[k * columns + j]!;
}

/** xᵀMx of a symmetric M; only its lower half is read. */
export function quadraticForm({ rows, values }: Dense, x: ArrayLike<number>): number {
  let sum = 0;
  for (let i = 0; i < rows; i++) {
    const xi = x[i]!;
    if (xi === 0) continue;
    const start = i * rows;
    let row = 0.5 * values[start + i]! * xi;
    for (let j = 0; j < i; j++) row += values[start + j]! * x[j]!;
    sum += xi * row;
  }
  return 2 * sum;
}
