/** The cups and the curvature of the worked figures (8) and (14). */
import { Matrix } from 'ml-matrix';
import type { Coded } from '@/core/trials/coding';
import type { Cup } from '@/core/trials/surface';

const SCORES: readonly (readonly [x: Coded, first: number, second: number])[] = [
  [[0, 0, 0], 7, 6],
  [[1, 0, 0], 7.5, 6.8],
  [[0, 0, 1], 6.5, 5.2],
];

export const WORKED_CUPS: readonly Cup[] = SCORES.flatMap(([x, first, second]) => [
  { x, taster: 'first', liking: first },
  { x, taster: 'second', liking: second },
]);

export const WORKED_H = [
  [0.7, 0.1, 0],
  [0.1, 0.5, 0],
  [0, 0, 0.6],
];

/** A surface with that curvature known, V₀ diag(1, .9, .8), no misfit. */
export const WORKED = {
  cups: WORKED_CUPS,
  prior: Matrix.diag([1, 0.9, 0.8]),
  curvatures: [{ H: new Matrix(WORKED_H), a: 1, weight: 1 }],
  misfit: false,
};
