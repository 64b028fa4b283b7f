import fc from 'fast-check';
import { Matrix } from 'ml-matrix';
import type { Coded } from './coding';
import { WORKED } from '../../../tests/support/workedCups';
import { curvatureParticles } from './curvature';
import { gainAt, isEnough, nextCups } from './nextCups';
import { BOX, fitSurface } from './surface';

const PRIOR = Matrix.diag([1, 0.9, 0.8]);

it('the gain of a cup: worked figure (14)', () => {
  const surface = fitSurface(WORKED);
  const still = { ...surface, meanH: Matrix.zeros(3, 3) };
  expect(gainAt(still, [1.5, 1.5, 0])).toBeCloseTo(0.1351, 4);
});

it('particles of two releases differ, and each is a curvature', () => {
  const [first, second] = [curvatureParticles(0), curvatureParticles(1)];
  expect(first[0]!.H.get(0, 0)).not.toBe(second[0]!.H.get(0, 0));
  for (const { H } of [...first, ...second]) {
    for (const j of [0, 1, 2]) expect(H.get(j, j)).toBeGreaterThan(0);
    expect(H.get(0, 1)).toBe(H.get(1, 0));
  }
  const mean = (of: (h: Matrix) => number) =>
    first.reduce((sum, { H }) => sum + of(H), 0) / first.length;
  // ln h is centred on .7, .5, .6.
  expect(mean((H) => Math.log(H.get(0, 0)))).toBeCloseTo(Math.log(0.7), 1);
  expect(mean((H) => Math.log(H.get(1, 1)))).toBeCloseTo(Math.log(0.5), 1);
});

it('a flight stays within what the setup allows, and each cup is worth less than the one before', () => {
  const surface = fitSurface({ cups: [], prior: PRIOR });
  const limits = [
    [-0.5, 2],
    [0, 0],
    [-2, 2],
  ] as const;
  const flight = nextCups(surface, { limits });
  expect(flight).toHaveLength(3);
  for (const { x } of flight)
    x.forEach((value, j) => {
      expect(value).toBeGreaterThanOrEqual(limits[j]![0]);
      expect(value).toBeLessThanOrEqual(limits[j]![1]);
    });
  const gains = flight.map(({ gain }) => gain);
  expect(gains).toEqual([...gains].sort((a, b) => b - a));
  expect(new Set(flight.map(({ x }) => x.join(' '))).size).toBe(3);
});

it('cups take away what is left, wherever they are liked', () => {
  const liking = fc.double({ min: 3, max: 9, noNaN: true });
  fc.assert(
    fc.property(fc.array(liking, { minLength: 6, maxLength: 6 }), (likings) => {
      const before = fitSurface({ cups: [], prior: PRIOR });
      const flight = nextCups(before, { flight: 6, tasters: 1 });
      const cups = flight.map(({ x }, i) => ({ x, taster: 'one', liking: likings[i]! }));
      const after = fitSurface({ cups, prior: PRIOR, misfit: false });
      expect(after.expectedLeft).toBeGreaterThan(0);
      // Averaged over curvatures a surprising cup can leave more, never much more.
      expect(after.expectedLeft).toBeLessThan(1.3 * before.expectedLeft);
      expect(Object.keys(after.tasters)).toEqual(['one']);
    }),
    { numRuns: 15 },
  );
});

it('no rule for fewer than three recipes; twelve are enough; contradiction widens the noise and is said', () => {
  const surface = fitSurface({ cups: [], prior: PRIOR });
  expect(isEnough({ ...surface, expectedLeft: 0 }, 2)).toBe(false);
  expect(isEnough({ ...surface, expectedLeft: 0.14 }, 3)).toBe(true);
  expect(isEnough({ ...surface, expectedLeft: 2 }, 11)).toBe(false);
  expect(isEnough({ ...surface, expectedLeft: 2 }, 12)).toBe(true);
  const torn = Array.from({ length: 8 }, (_, i) => ({
    x: [0, 0, 0] as Coded,
    taster: 'one',
    liking: i % 2 === 0 ? 1 : 10,
  }));
  const contradictory = fitSurface({ cups: torn, prior: PRIOR });
  expect(contradictory.warnings).toContain('contradictory');
  expect(contradictory.noiseSd).toBeGreaterThan(0.8);
  const far = [-2, -1, 1, 2].map((by) => ({
    x: [by, 0, 0] as Coded,
    taster: 'one',
    liking: 5 + 2.4 * by,
  }));
  const edge = fitSurface({ cups: far, prior: Matrix.diag([16, 1, 1]) });
  expect(edge.optimum[0]!).toBeGreaterThan(BOX);
  expect(edge.warnings).toContain('edge');
});
