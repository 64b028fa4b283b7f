import { Matrix } from 'ml-matrix';
import { houseSigns, signMessageOf } from './signs';
import { fitSurface, likingAt, USUAL_SIGNS, type Cup } from './surface';
import { usualPrior } from '../start/usualPrior';

const H = new Matrix([
  [0.7, 0.1, 0],
  [0.1, 0.5, 0],
  [0, 0, 0.6],
]);
const curvatures = [{ H, weight: 1, a: 1 }];
const PLACES = [
  [0, 0, 0],
  [1, 0, 0],
  [-1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
] as const;
/** Liked best at the proposal, and called so much under there. */
const cupsWith = (zero: number): Cup[] =>
  PLACES.map((x) => ({
    x,
    taster: 'one',
    liking: 7 - 0.5 * (0.7 * x[0] ** 2 + 0.5 * x[1] ** 2 + 0.6 * x[2] ** 2),
    u: zero - (0.6 * x[0] + 0.45 * x[1] + 0.66 * x[2]),
  }));
const surfaceOf = (zero: number, signOffset = USUAL_SIGNS) =>
  fitSurface({ cups: cupsWith(zero), prior: usualPrior(), curvatures, misfit: false, signOffset });

it('a message says the same whatever had been expected', () => {
  const usual = signMessageOf(surfaceOf(1.5))!;
  const wide = { mean: 0.4, sd: 2 };
  const other = signMessageOf(surfaceOf(1.5, wide), wide)!;
  expect(other.precision).toBeCloseTo(usual.precision, 6);
  expect(other.weighted).toBeCloseTo(usual.weighted, 6);
  expect(signMessageOf({ signOffset: USUAL_SIGNS })).toBeNull();
});

it('before any release a house stands where houses usually do, and each release moves it less', () => {
  const start = houseSigns([]);
  expect(start.mean).toBe(0);
  expect(start.sd).toBeCloseTo(USUAL_SIGNS.sd, 9);
  const message = signMessageOf(surfaceOf(1.5))!;
  const means = [1, 5, 40].map((n) => houseSigns(Array<typeof message>(n).fill(message)));
  expect(means.map(({ mean }) => mean)).toEqual(
    [...means.map(({ mean }) => mean)].sort((a, b) => a - b),
  );
  expect(means[2]!.mean).toBeGreaterThan(1.2);
  expect(means[2]!.sd).toBeLessThan(means[0]!.sd);
  // The releases of one house still differ.
  expect(means[2]!.sd).toBeGreaterThan(0.4);
});

it('a house that calls its best cups under is not sent longer for it', () => {
  const learnt = houseSigns(Array(20).fill(signMessageOf(surfaceOf(1.5))!));
  const [before, after] = [surfaceOf(1.5), surfaceOf(1.5, learnt)];
  const off = (x: readonly number[]) => Math.hypot(...x);
  expect(off(after.optimum)).toBeLessThan(off(before.optimum));
});

it('a liking at a place is what cups there would be liked at', () => {
  const surface = fitSurface({ cups: cupsWith(0), prior: usualPrior(), curvatures, misfit: false });
  const at = likingAt(surface, surface.optimum);
  const off = likingAt(surface, [2, 0, 0]);
  expect(at.mean).toBeGreaterThan(off.mean + 0.8);
  expect(at.mean).toBeGreaterThan(6.4);
  expect(at.mean).toBeLessThan(7.2);
  expect(off.sd).toBeGreaterThan(at.sd);
});
