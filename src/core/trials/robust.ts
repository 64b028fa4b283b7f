/**
 * The recipe that forgives: cafés do not hit a recipe exactly, and what that costs depends on where it stands.
 * Σ(x) is the spread of what cafés really pull, coded; the robust optimum gives up a little of the best cup for
 * a flatter place. Tolerance is how far one variable may be off before a cup loses .3 points. Source: second-order
 * expansion (published, textbook); spreads and the .3 are house heuristics (model.md §4, §4b).
 */
import { CholeskyDecomposition, inverse, Matrix } from 'ml-matrix';
import { chanceFrom } from '../random';
import { placeAt, STEP, type TrialPoint } from './coding';
import { traceOf, WHOLE_BOX, type Limits, type Surface } from './surface';

/** How far cafés are off, as standard deviations. */
export interface CafeSpread {
  readonly doseG: number;
  readonly yieldG: number;
  readonly timeS: number;
  readonly temperatureC: number;
}

/** Until the field says better. House heuristic. */
export const USUAL_SPREAD: CafeSpread = { doseG: 0.3, yieldG: 1.5, timeS: 2.5, temperatureC: 1 };

/** Σ at a recipe: dose moves ratio and time against each other, yield moves both the same way. */
export function spreadAt(place: TrialPoint, doseG: number, spread = USUAL_SPREAD): Matrix {
  const yieldShare = spread.yieldG / (place.ratio * doseG);
  const doseShare = spread.doseG / doseG;
  const ratio = (yieldShare ** 2 + doseShare ** 2) / STEP.lnRatio ** 2;
  const time = (spread.timeS / place.timeS / STEP.lnTimeS) ** 2;
  const both = (yieldShare ** 2 - doseShare ** 2) / (STEP.lnRatio * STEP.lnTimeS);
  return new Matrix([
    [ratio, 0, both],
    [0, (spread.temperatureC / STEP.temperatureC) ** 2, 0],
    [both, 0, time],
  ]);
}

export interface RobustInput {
  readonly centre: TrialPoint;
  readonly doseG: number;
  readonly spread?: CafeSpread;
  /** Lowest and highest coded place of each variable; the box of a trial when absent. */
  readonly limits?: Limits;
}

export interface Robust {
  readonly x: readonly number[];
  /** Points an average café cup lies under a cup that hits the recipe. */
  readonly costPoints: number;
}

const STEPS = 60;
const TOLERANCE = 1e-7;
const NUDGE = 1e-4;

/** The place whose cups, as cafés pull them, are expected to be liked best; within its limits. */
export function robustOptimum(surface: Surface, input: RobustInput): Robust {
  const { limits = WHOLE_BOX } = input;
  const within = (value: number, j: number) =>
    Math.min(limits[j]![1], Math.max(limits[j]![0], value));
  const costAt = (x: readonly number[]) =>
    0.5 * traceOf(surface.meanH, spreadAt(placeAt(input.centre, x), input.doseG, input.spread));
  const worth = (x: readonly number[]) => -lossOf(surface, x) - costAt(x);
  let x = surface.optimum.map(within);
  // Newton's step of the quadratic with the slope of the cost, halved; the cost bends little.
  const newton = inverse(surface.meanH);
  for (let step = 0; step < STEPS; step++) {
    const slope = x.map((_, j) => {
      const [less, more] = [-NUDGE, NUDGE].map((by) => x.map((v, k) => (k === j ? v + by : v)));
      return (worth(more!) - worth(less!)) / (2 * NUDGE);
    });
    const move = newton.mmul(Matrix.columnVector(slope)).to1DArray();
    const next = x.map((value, j) => within(value + 0.5 * move[j]!, j));
    const moved = Math.max(...next.map((value, j) => Math.abs(value - x[j]!)));
    x = next;
    if (moved < TOLERANCE) break;
  }
  return { x, costPoints: costAt(x) };
}

/** ½(x − x_m)ᵀH̄(x − x_m): points under the best expected cup. */
function lossOf({ optimum, meanH }: Surface, x: readonly number[]): number {
  const away = Matrix.columnVector(x.map((value, j) => value - optimum[j]!));
  return 0.5 * away.transpose().mmul(meanH).mmul(away).get(0, 0);
}

/** A cup may lose so many points before it is out of tolerance. House heuristic. */
const ALLOWED_POINTS = 0.3;
const DRAWS = 12;
/** Plug-in figures are too kind: a low quantile over what the best point may be. House heuristic. */
const SAFE_QUANTILE = 0.15;

/**
 * How far each variable may be off, coded, the smaller of its two sides: δ± = [±g + √(g² + .6|H|)]/|H|
 * over draws of x*, at a low quantile.
 */
export function toleranceAt(surface: Surface, x: readonly number[], seed = 1): number[] {
  const chance = chanceFrom(seed);
  const seen: { share: number; reach: number[] }[] = [];
  for (const { H, best, covariance, share } of surface.fits) {
    const root = new CholeskyDecomposition(covariance).lowerTriangularMatrix;
    for (let draw = 0; draw < DRAWS; draw++) {
      const z = Matrix.columnVector(best.map(() => chance.normal()));
      const drawn = root.mmul(z).to1DArray();
      const point = best.map((value, j) => value + drawn[j]!);
      const slope = H.mmul(Matrix.columnVector(point.map((value, j) => value - x[j]!))).to1DArray();
      seen.push({ share: share / DRAWS, reach: slope.map((g, j) => reachOf(g, H.get(j, j))) });
    }
  }
  return x.map((_, j) => lowQuantile(seen.map(({ share, reach }) => [reach[j]!, share])));
}

/** The smaller side of what one variable may be off, given slope and curvature. */
export function reachOf(slope: number, curvature: number): number {
  const root = Math.sqrt(slope ** 2 + 2 * ALLOWED_POINTS * curvature);
  return (root - Math.abs(slope)) / curvature;
}

function lowQuantile(weighted: readonly (readonly [number, number])[]): number {
  let passed = 0;
  for (const [value, share] of [...weighted].sort(([a], [b]) => a - b)) {
    passed += share;
    if (passed >= SAFE_QUANTILE) return value;
  }
  return weighted.at(-1)![0];
}
