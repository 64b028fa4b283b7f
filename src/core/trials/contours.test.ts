import fc from 'fast-check';
import { contour, heldOf, likelyRegion, lossAt, placed, type Axes } from './contours';

const QUADRATIC = {
  optimum: [0.5, -0.3, 0.2],
  meanH: [
    [0.7, 0.1, -0.15],
    [0.1, 0.5, 0.05],
    [-0.15, 0.05, 0.6],
  ],
};
const AXES: readonly Axes[] = [
  [0, 1],
  [0, 2],
  [1, 2],
];

it('every point of a line lies as far under the best as the line says', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...AXES),
      fc.double({ min: -1.5, max: 1.5, noNaN: true }),
      fc.double({ min: 0.05, max: 3, noNaN: true }),
      (axes, held, points) => {
        for (const pair of contour(QUADRATIC, axes, { held, points }))
          expect(lossAt(QUADRATIC, placed(axes, pair, held))).toBeCloseTo(points, 8);
      },
    ),
  );
});

it('draws no line that the held variable puts out of reach, and all lines at its own best', () => {
  const held = QUADRATIC.optimum[2]!;
  expect(contour(QUADRATIC, [0, 1], { held, points: 0.01 })).not.toEqual([]);
  expect(contour(QUADRATIC, [0, 1], { held: held + 2, points: 0.1 })).toEqual([]);
  expect(heldOf([0, 2])).toBe(1);
});

it('the likely region lies around the mean, wider where less is known', () => {
  const region = likelyRegion(
    [1, 0, 0],
    [
      [0.25, 0.05, 0],
      [0.05, 0.04, 0],
      [0, 0, 1],
    ],
    [0, 1],
  );
  const span = (j: 0 | 1) =>
    Math.max(...region.map((pair) => pair[j])) - Math.min(...region.map((pair) => pair[j]));
  expect(span(0)).toBeCloseTo(2 * 1.7941 * 0.5, 2);
  expect(span(1)).toBeCloseTo(2 * 1.7941 * 0.2, 2);
});
