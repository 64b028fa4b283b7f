/**
 * Which cups to pull next, and when to stop. A cup is worth what it is expected to take off the loss that is
 * left, over all curvatures. Source: house heuristic (model.md §4b); for one cup at a time it is the expected
 * gain of a linear Gaussian model (published, textbook).
 */
import { dot } from '../linear';
import { VARIABLES, type Coded } from './coding';
import {
  misfitAt,
  PRIOR,
  SIGN_DIRECTION,
  WHOLE_BOX,
  type Fit,
  type Limits,
  type Surface,
} from './surface';

export interface NextCupsOptions {
  /** Cups of one flight. */
  readonly flight?: number;
  /** Who tastes each cup. */
  readonly tasters?: number;
  /** Do their cup sheets point under or over? */
  readonly useSigns?: boolean;
  /** Lowest and highest coded place of each variable that setup and coffee allow. */
  readonly limits?: Limits;
}

export interface NextCup {
  readonly x: Coded;
  /** Points of expected loss it takes away. */
  readonly gain: number;
}

/** Places looked at on each axis, within so many coded steps of the optimum. House heuristics. */
const GRID = [-1.5, -0.75, 0, 0.75, 1.5] as const;

/** The next flight, most useful cup first; the centre is not forced into it. */
export function nextCups(surface: Surface, options: NextCupsOptions = {}): NextCup[] {
  const { flight = 3, tasters = 2, useSigns = true, limits = WHOLE_BOX } = options;
  const candidates = candidatesAround(surface.optimum, limits);
  const known = surface.fits.map(knownOf);
  return Array.from({ length: flight }, () => {
    const best = candidates
      .map((x) => ({ x, gain: gainOf(known, x, { tasters, surface }) }))
      .reduce((most, one) => (one.gain > most.gain ? one : most));
    for (const one of known) learn(one, best.x, { tasters, surface, useSigns });
    return best;
  });
}

type Row = readonly [number, number, number];

/** f, x*, b_u. */
const SIZE = 2 + VARIABLES;

/** What is known under one curvature, as planned cups are counted in; plain rows, for speed. */
interface Known {
  readonly share: number;
  readonly a: number;
  readonly H: readonly (readonly number[])[];
  /** Covariance of (f, x*, b_u). */
  joint: readonly (readonly number[])[];
}

const knownOf = ({ share, a, H, joint }: Fit): Known => ({
  share,
  a,
  H: H.to2DArray(),
  joint: joint.to2DArray(),
});

function candidatesAround(optimum: readonly number[], limits: Limits): Coded[] {
  const along = optimum.map((middle, j) => {
    const [least, most] = limits[j]!;
    return [...new Set(GRID.map((off) => Math.min(most, Math.max(least, middle + off))))];
  });
  return along[0]!.flatMap((a) => along[1]!.flatMap((b) => along[2]!.map((c): Coded => [a, b, c])));
}

interface Counting {
  readonly tasters: number;
  readonly surface: Surface;
}

/** Σw·½νᵀHν/(rᵀVr + σ²/K + v/K), with ν the x* part of Vr. */
function gainOf(known: readonly Known[], x: Coded, { tasters, surface }: Counting): number {
  const noise = likingNoise(surface, x, tasters);
  let gain = 0;
  for (const { share, H, joint } of known) {
    const row = likingRow(H, x);
    const pulled = product(joint, row);
    const [, a, b, c] = pulled as [number, number, number, number];
    gain += (share * 0.5 * bentBy(H, a, b, c)) / (dot(row, pulled) + noise);
  }
  return gain;
}

/** (a, b, c)ᵀH(a, b, c) of a symmetric H. */
function bentBy(H: readonly (readonly number[])[], a: number, b: number, c: number): number {
  const [first, second, third] = H as readonly [Row, Row, Row];
  return (
    a * a * first[0] +
    b * b * second[1] +
    c * c * third[2] +
    2 * (a * b * first[1] + a * c * first[2] + b * c * second[2])
  );
}

/** The gain of one cup as things stand. */
export function gainAt(surface: Surface, x: Coded, tasters = 2): number {
  return gainOf(surface.fits.map(knownOf), x, { tasters, surface });
}

/** Of the mean of K tasters: their own noise, and the misfit they share. */
function likingNoise(surface: Surface, x: Coded, tasters: number): number {
  return surface.noiseSd ** 2 / tasters + misfitAt(surface, x);
}

/** In a plain loop: it runs for each place, curvature and cup of a plan. */
function product(M: readonly (readonly number[])[], x: readonly number[]): number[] {
  const pulled = new Array<number>(M.length);
  for (let i = 0; i < M.length; i++) pulled[i] = dot(M[i]!, x);
  return pulled;
}

const likingRow = ([a, b, c]: readonly (readonly number[])[], x: Coded): number[] => [
  1,
  dot(a!, x),
  dot(b!, x),
  dot(c!, x),
  0,
];

/** Counts a planned cup in: its liking and, where sheets point anywhere, its sign. */
function learn(
  known: Known,
  x: Coded,
  { tasters, surface, useSigns }: Counting & { useSigns: boolean },
): void {
  const { H, a } = known;
  known.joint = downdated(known.joint, likingRow(H, x), likingNoise(surface, x, tasters));
  if (!useSigns) return;
  const signRow = [0, ...SIGN_DIRECTION.map((d) => a * d), 1];
  known.joint = downdated(known.joint, signRow, PRIOR.signSd ** 2 / tasters);
}

function downdated(
  V: readonly (readonly number[])[],
  row: readonly number[],
  variance: number,
): number[][] {
  const pulled = product(V, row);
  const by = 1 / (dot(row, pulled) + variance);
  return Array.from({ length: SIZE }, (_, i) =>
    Array.from({ length: SIZE }, (_unused, j) => V[i]![j]! - by * pulled[i]! * pulled[j]!),
  );
}

/** A trial is over when about this little is left, in points; not before 3 recipes and at 12 at most. House heuristics. */
export const STOPS = { underPoints: 0.15, leastRecipes: 3, mostRecipes: 12 } as const;

/** Is it time to stop, after so many recipes were tasted? */
export function isEnough({ expectedLeft }: Surface, recipes: number): boolean {
  const { underPoints, leastRecipes, mostRecipes } = STOPS;
  return recipes >= mostRecipes || (recipes >= leastRecipes && expectedLeft < underPoints);
}
