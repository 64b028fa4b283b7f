/**
 * A surface as lines of equal liking over two variables, the third held: ellipses, since liking is a quadratic.
 * All places coded (coding.ts). Source: published, textbook.
 */
import type { Coded } from './coding';

type Square = readonly (readonly number[])[];
type Pair = readonly [number, number];

export interface Quadratic {
  /** Where expected liking is highest. */
  readonly optimum: readonly number[];
  /** ΣwH, 3 × 3. */
  readonly meanH: Square;
}

/** Which variables are drawn across and up, by their places in a coded point. */
export type Axes = readonly [across: 0 | 1 | 2, up: 0 | 1 | 2];

const POINTS = 72;
/** Radius of an ellipse that holds 8 in 10 of two normal variables: √χ²₂(.8). */
const HOLDS_80 = 1.7941;

/** The variable that is not drawn. */
export function heldOf([across, up]: Axes): 0 | 1 | 2 {
  return (3 - across - up) as 0 | 1 | 2;
}

/** Points under the best at a place: ½(x − x_m)ᵀH̄(x − x_m). */
export function lossAt({ optimum, meanH }: Quadratic, x: Coded): number {
  const d = x.map((value, j) => value - optimum[j]!);
  return (
    0.5 * d.reduce((sum, a, i) => sum + a * d.reduce((s, b, j) => s + meanH[i]![j]! * b, 0), 0)
  );
}

/** The line where a cup lies `points` under the best, as pairs across and up; empty where none does. */
export function contour(
  quadratic: Quadratic,
  axes: Axes,
  { held, points }: { readonly held: number; readonly points: number },
): Pair[] {
  const { optimum, meanH } = quadratic;
  const [a, b] = axes;
  const c = heldOf(axes);
  const off = held - optimum[c]!;
  const [haa, hab, hbb] = [meanH[a]![a]!, meanH[a]![b]!, meanH[b]![b]!];
  const determinant = haa * hbb - hab * hab;
  // Where the best of the plane lies once the third variable is held off its own best.
  const [pullA, pullB] = [meanH[a]![c]! * off, meanH[b]![c]! * off];
  const middle: Pair = [
    optimum[a]! - (hbb * pullA - hab * pullB) / determinant,
    optimum[b]! - (haa * pullB - hab * pullA) / determinant,
  ];
  const least = lossAt(quadratic, placed(axes, middle, held));
  if (points <= least) return [];
  // H = LLᵀ; the circle of radius √(2·points) seen through L⁻ᵀ.
  const l11 = Math.sqrt(haa);
  const l21 = hab / l11;
  const l22 = Math.sqrt(hbb - l21 * l21);
  const radius = Math.sqrt(2 * (points - least));
  return circle((u, v) => {
    const y = (radius * v) / l22;
    return [middle[0] + (radius * u - l21 * y) / l11, middle[1] + y];
  });
}

/** The region that holds the best point 8 times in 10, over two variables. */
export function likelyRegion(mean: readonly number[], covariance: Square, [a, b]: Axes): Pair[] {
  const l11 = Math.sqrt(covariance[a]![a]!);
  const l21 = covariance[a]![b]! / l11;
  const l22 = Math.sqrt(covariance[b]![b]! - l21 * l21);
  return circle((u, v) => [
    mean[a]! + HOLDS_80 * l11 * u,
    mean[b]! + HOLDS_80 * (l21 * u + l22 * v),
  ]);
}

function circle(placeOf: (u: number, v: number) => Pair): Pair[] {
  return Array.from({ length: POINTS + 1 }, (_, i) => {
    const angle = (2 * Math.PI * i) / POINTS;
    return placeOf(Math.cos(angle), Math.sin(angle));
  });
}

/** A pair and what is held, as a coded place. */
export function placed([a, b]: Axes, [across, up]: Pair, held: number): Coded {
  return [0, 1, 2].map((j) => (j === a ? across : j === b ? up : held)) as unknown as Coded;
}
