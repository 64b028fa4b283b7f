/** The commands about cups, as an outsider calls them. */
import { WORKED, WORKED_CUPS, WORKED_H } from '../tests/support/workedCups';
import { compute } from './compute';

function kb(name: string, input: unknown) {
  const { status, stdout, stderr } = compute(name, [], () => JSON.stringify(input));
  return { status, stderr, answer: () => JSON.parse(stdout) as Record<string, never> };
}

const centre = { ratio: 2, temperatureC: 93, timeS: 28 };
const covCoded = WORKED.prior.to2DArray();
const cups = WORKED_CUPS;
const asked = {
  centre,
  prior: { covCoded },
  cups,
  curvatures: [{ H: WORKED_H, weight: 1 }],
  misfit: false,
};

it('surface: worked figures (14) in the words of a recipe', () => {
  const { optimum, tasters, site, expectedLeft, robustOptimum, tolerance } = kb(
    'surface',
    asked,
  ).answer() as unknown as Record<string, Record<string, number> & { coded: number[] }>;
  expect(optimum!.coded[0]).toBeCloseTo(0.7684, 4);
  expect(optimum!.ratio).toBeCloseTo(2 * Math.exp(0.14 * 0.7684), 3);
  expect(optimum!.temperatureC).toBeCloseTo(93 + 1.5 * 0.0988, 3);
  expect(tasters!.second).toBeCloseTo(-0.3384, 4);
  expect(expectedLeft).toBeCloseTo(0.5529, 4);
  expect(site!.h).toHaveLength(3);
  expect(robustOptimum!.costPoints).toBeGreaterThan(0);
  expect(tolerance!.temperatureC).toBeGreaterThan(0);
});

it('surface: cups given as recipes are those given coded', () => {
  const asRecipes = cups.map(({ x, ...cup }) => ({
    ...cup,
    ratio: 2 * Math.exp(0.14 * x[0]),
    temperatureC: 93 + 1.5 * x[1],
    timeS: 28 * Math.exp(0.15 * x[2]),
  }));
  const left = (input: object) => Number(kb('surface', input).answer().expectedLeft);
  expect(left({ ...asked, cups: asRecipes })).toBeCloseTo(left(asked), 8);
});

it('surface: sides that cafés told move the best point along them, and leave less to find', () => {
  const ratioOf = (input: object) => {
    const { optimum, expectedLeft } = kb('surface', input).answer() as unknown as {
      optimum: { ratio: number };
      expectedLeft: number;
    };
    return [optimum.ratio, expectedLeft] as const;
  };
  const [alone, left] = ratioOf(asked);
  const [sour, leftToo] = ratioOf({ ...asked, told: [{ x: [0, 0, 0], u: 3, sd: 0.8 }] });
  expect(sour).toBeGreaterThan(alone);
  expect(leftToo).toBeLessThan(left);
  const bad = kb('surface', { ...asked, told: [{ x: [0, 0, 0], u: 3, sd: 0 }] });
  expect(bad.status).toBe(2);
  expect(bad.stderr).toMatch(/^told\.0\.sd: /);
});

it('trial: plans within the limits, and says when to stop', () => {
  const { plan, stop } = kb('trial', {
    centre,
    cups,
    limits: { temperatureC: [92, 94] },
  }).answer() as unknown as { plan: { temperatureC: number; gain: number }[]; stop: boolean };
  expect(plan).toHaveLength(3);
  for (const { temperatureC, gain } of plan) {
    expect(temperatureC).toBeGreaterThanOrEqual(92 - 1e-9);
    expect(temperatureC).toBeLessThanOrEqual(94 + 1e-9);
    expect(gain).toBeGreaterThan(0);
  }
  expect(stop).toBe(false);
});

it('panel: paired, triangle and ranking', () => {
  expect(kb('panel', { test: 'paired', n: 12, preferA: 10 }).answer()).toMatchObject({
    decision: 'difference',
    minimumCorrect: 10,
  });
  expect(kb('panel', { test: 'triangle', n: 12, correct: 7 }).answer()).toMatchObject({
    decision: 'noneFound',
    minimumCorrect: 8,
  });
  const ranks = Array.from({ length: 6 }, () => [1, 2, 3]);
  expect(kb('panel', { test: 'rank', ranks }).answer()).toMatchObject({ statistic: 12 });
});

it('names the key of what is wrong', () => {
  const wrong: [string, object, RegExp][] = [
    [
      'surface',
      {
        ...asked,
        prior: {
          covCoded: [
            [1, 2, 0],
            [2, 1, 0],
            [0, 0, 1],
          ],
        },
      },
      /^curvatures|^prior/,
    ],
    [
      'surface',
      {
        centre,
        cups,
        prior: {
          covCoded: [
            [1, 2, 0],
            [2, 1, 0],
            [0, 0, 1],
          ],
        },
      },
      /^prior: Not a covariance/,
    ],
    ['surface', { ...asked, cups: [{ x: [0, 0, 0], taster: 'a', liking: 11 }] }, /^cups/],
    ['surface', { ...asked, spare: 1 }, /spare/],
    ['panel', { test: 'triangle', n: 6, correct: 7 }, /^correct: 7 is more/],
    ['panel', { test: 'rank', ranks: [[1, 1, 3]] }, /^ranks: Taster 1/],
  ];
  for (const [name, input, line] of wrong) {
    const { status, stderr } = kb(name, input);
    expect([name, status]).toEqual([name, 2]);
    expect(stderr).toMatch(line);
  }
});
