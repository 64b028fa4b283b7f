import fc from 'fast-check';
import { Matrix } from 'ml-matrix';
import { STEP } from './coding';
import { reachOf, robustOptimum, spreadAt, toleranceAt } from './robust';
import { fitSurface, traceOf, type Surface } from './surface';

/** The curvature of the worked figures (7), whose first step is .3 of ratio; here it is .14 of ln ratio. */
const H = new Matrix([
  [0.7, -0.1, 0.15],
  [-0.1, 0.5, -0.05],
  [0.15, -0.05, 0.6],
]);
/** Its best point in ratio, °C and s, from the centre 1:2.2, 93 °C, 28 s. */
const BEST = {
  ratio: 2.2 + 0.3 * 0.5546,
  temperatureC: 93 + 1.5 * 0.4844,
  timeS: 28 * Math.exp(0.15 * -0.2649),
};

describe('worked figures (7)', () => {
  it('how far each variable may be off at the best point', () => {
    [0.9258, 1.095, 1].forEach((reach, j) => expect(reachOf(0, H.get(j, j))).toBeCloseTo(reach, 3));
  });

  it('what café variation costs there', () => {
    const rescaled = Matrix.diag([(BEST.ratio * STEP.lnRatio) / 0.3, 1, 1]);
    const cost = 0.5 * traceOf(rescaled.mmul(H).mmul(rescaled), spreadAt(BEST, 18));
    expect(cost).toBeCloseTo(0.2668, 3);
  });
});

const CENTRE = { ratio: 2.2, temperatureC: 93, timeS: 28 };

/** A surface that is known well: its best point is at `best`. */
function knownAt(best: readonly [number, number, number]): Surface {
  const at = (x: readonly number[]) => {
    const away = Matrix.columnVector(x.map((value, j) => value - best[j]!));
    return 8 - 0.5 * away.transpose().mmul(H).mmul(away).get(0, 0);
  };
  const places = [-1, 0, 1].flatMap((a) =>
    [-1, 0, 1].flatMap((b) => [-1, 0, 1].map((c): [number, number, number] => [a, b, c])),
  );
  return fitSurface({
    cups: Array.from({ length: 8 }, () => places)
      .flat()
      .map((x) => ({ x, taster: 'one', liking: at(x) })),
    prior: Matrix.diag([4, 4, 4]),
    curvatures: [{ H, a: 1, weight: 1 }],
    misfit: false,
  });
}

it('the robust optimum is liked better at cafés than the best point, and better than any place around it', () => {
  const surface = knownAt([0.5, 0.4, -0.3]);
  const atCafes = (x: readonly number[]) => {
    const away = Matrix.columnVector(x.map((value, j) => value - surface.optimum[j]!));
    const place = {
      ratio: CENTRE.ratio * Math.exp(STEP.lnRatio * x[0]!),
      temperatureC: CENTRE.temperatureC,
      timeS: CENTRE.timeS * Math.exp(STEP.lnTimeS * x[2]!),
    };
    const loss = 0.5 * away.transpose().mmul(H).mmul(away).get(0, 0);
    return -loss - 0.5 * traceOf(H, spreadAt(place, 18));
  };
  const { x, costPoints } = robustOptimum(surface, { centre: CENTRE, doseG: 18 });
  expect(costPoints).toBeGreaterThan(0.1);
  expect(atCafes(x)).toBeGreaterThan(atCafes(surface.optimum));
  // Slower cups vary less for the same seconds.
  expect(x[2]!).toBeGreaterThan(surface.optimum[2]!);
  const off = fc.double({ min: -0.5, max: 0.5, noNaN: true });
  fc.assert(
    fc.property(fc.tuple(off, off, off), (by) => {
      const other = x.map((value, j) => value + by[j]!);
      expect(atCafes(other)).toBeLessThanOrEqual(atCafes(x) + 1e-6);
    }),
  );
});

it('tolerance is what the curvature allows where all is known, and less where it is not', () => {
  const surface = knownAt([0, 0, 0]);
  const sure = toleranceAt(surface, surface.optimum);
  sure.forEach((reach, j) => {
    const most = reachOf(0, H.get(j, j));
    expect(reach).toBeLessThanOrEqual(most);
    expect(reach).toBeGreaterThan(0.6 * most);
  });
  const doubtful = fitSurface({ cups: [], prior: Matrix.diag([1, 1, 1]) });
  toleranceAt(doubtful, doubtful.optimum).forEach((reach, j) =>
    expect(reach).toBeLessThan(sure[j]!),
  );
});

it('tolerance is the reach that 15 in 100 of what the best point may be stay under', () => {
  // Three possible curvatures, each with its best point all but known: the sharpest allows least.
  const fits = [
    { share: 0.1, curvature: 2.4 },
    { share: 0.1, curvature: 1.2 },
    { share: 0.8, curvature: 0.6 },
  ].map(({ share, curvature }) => ({
    ...knownAt([0, 0, 0]).fits[0]!,
    share,
    H: Matrix.diag([curvature, curvature, curvature]),
    best: [0, 0, 0],
    covariance: Matrix.diag([1e-12, 1e-12, 1e-12]),
  }));
  const surface = { ...knownAt([0, 0, 0]), fits };
  // A tenth lies under √(.6/2.4) = .5, a fifth under √(.6/1.2) = .7071.
  toleranceAt(surface, [0, 0, 0]).forEach((reach) => expect(reach).toBeCloseTo(0.7071, 3));
});
