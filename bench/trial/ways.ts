/** How the best recipe of a made-up coffee is looked for: as the program plans it, and as it is done by hand. */
import { Z_80 } from '@/core/grinder/dial';
import { placeAt, type Coded } from '@/core/trials/coding';
import { nextCups } from '@/core/trials/nextCups';
import { robustOptimum, toleranceAt } from '@/core/trials/robust';
import { BOX, fitSurface, type Cup, type SignOffset, type Surface } from '@/core/trials/surface';
import type { JointPrediction } from '@/core/start/joint';
import { around, placed, TASTERS, type Coffee } from './coffee';

export const FLIGHT = 3;
/** Recipes after which it is looked how far the best is. */
export const LOOKS = [0, 3, 6, 9, 12] as const;

export interface Tried {
  /** Points under the best after each look. */
  readonly left: readonly number[];
  /** What was expected to be left. */
  readonly expected: readonly number[];
  /** Axes whose 80 % interval holds the best point, after each look. */
  readonly held: readonly number[];
  /** Axes on which the printed tolerance keeps a cup within .3 points, after each look. */
  readonly safe: readonly number[];
  /** The cups of the first nine recipes, absolute. */
  readonly cups: readonly (Omit<Cup, 'x'> & { readonly X: readonly number[] })[];
}

export interface Knowing extends JointPrediction {
  readonly signs?: SignOffset;
}

/** As the program plans it, up to so many recipes. */
export function byPlan(
  coffee: Coffee,
  { mean: centre, covariance: prior, signs }: Knowing,
  { release, recipes, isJudged }: { release: number; recipes: number; isJudged: boolean },
): Tried {
  const cups: Tried['cups'][number][] = [];
  const [left, expected, held, safe]: number[][] = [[], [], [], []];
  for (let nth = 0; ; nth += FLIGHT) {
    const surface = fitSurface({
      cups: cups.map(({ X, ...cup }) => ({ ...cup, x: around(X, centre) })),
      prior,
      release,
      signOffset: signs,
    });
    left!.push(coffee.lossAt(placed(surface.optimum.map(inBox), centre)));
    expected!.push(surface.expectedLeft);
    if (isJudged) {
      held!.push(heldBy(surface, around(coffee.best, centre)));
      safe!.push(safeBy(surface, coffee, centre));
    }
    if (nth >= recipes) return { left: left!, expected: expected!, held: held!, safe: safe!, cups };
    for (const [k, { x }] of nextCups(surface, {
      flight: FLIGHT,
      tasters: TASTERS.length,
    }).entries()) {
      const X = placed(x, centre);
      cups.push(...coffee.taste(X, nth + k).map((cup) => ({ ...cup, X })));
    }
  }
}

export const inBox = (value: number) => Math.min(BOX, Math.max(-BOX, value));

function heldBy({ mean, covariance }: Surface, best: readonly number[]): number {
  return mean.filter(
    (value, j) => Math.abs(best[j]! - value) < Z_80 * Math.sqrt(covariance.get(j, j)),
  ).length;
}

const ALLOWED_POINTS = 0.3;

function safeBy(surface: Surface, coffee: Coffee, centre: readonly number[]): number {
  const middle = placeAt({ ratio: 1, temperatureC: 0, timeS: 1 }, centre);
  const { x } = robustOptimum(surface, { centre: middle, doseG: 18 });
  const at = coffee.lossAt(placed(x, centre));
  return toleranceAt(surface, x).filter((reach, j) =>
    [-reach, reach].every((by) => {
      const off = x.map((value, k) => (k === j ? value + by : value));
      return coffee.lossAt(placed(off, centre)) - at <= ALLOWED_POINTS;
    }),
  ).length;
}

/** As it is done by hand: one variable up and down, stay at the best cup, the next variable. */
export function byLadders(coffee: Coffee, centre: readonly number[]): number[] {
  let x: Coded = [0, 0, 0];
  let nth = 0;
  const likingAt = (at: Coded) =>
    coffee
      .taste(placed(at, centre), nth++)
      .reduce((sum, { liking }) => sum + liking / TASTERS.length, 0);
  const left = [coffee.lossAt(centre)];
  for (let axis = 0; axis < 3; axis++) {
    const rungs = [-1, 0, 1].map(
      (by) => x.map((value, j) => (j === axis ? value + by : value)) as unknown as Coded,
    );
    const likings = rungs.map(likingAt);
    x = rungs[likings.indexOf(Math.max(...likings))]!;
    left.push(coffee.lossAt(placed(x, centre)));
  }
  return left;
}
