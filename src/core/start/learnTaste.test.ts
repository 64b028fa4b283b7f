import { Matrix, solve } from 'ml-matrix';
import { STEP } from '../trials/coding';
import type { ScoredCup } from '../trials/bestRecipe';
import type { ReleaseFacts } from '../coffee/features';
import { learn, type PastRelease } from './fit';
import { expectedWithout, learnTaste, learnWithCups, siteOfCups } from './learnTaste';
import { proposeFrom } from './propose';

const facts = (id: string): ReleaseFacts => ({
  id,
  roastLevel: 0,
  process: 'washed',
  varietyClass: 'ordinary',
});
const RECIPE: PastRelease['recipe'] = {
  doseG: 18,
  yieldG: 36,
  ratio: 2,
  temperatureC: 92,
  timeS: [26, 30],
  clock: 'pump',
};

/** A past release whose cups like a longer, hotter cup than its recipe. */
const likedAt = { ratio: 2.4, temperatureC: 93.5, timeS: 28 };
const OFFSETS = [
  [0, 0, 0],
  [1, 0, 0],
  [-1, 0, 0],
  [0, 1, 0],
  [0, -1, 0],
  [0, 0, 1],
  [0, 0, -1],
  [1, 1, 0],
  [1, 0, 1],
] as const;

const cupsAround = (liking: (x: readonly number[]) => number): ScoredCup[] =>
  OFFSETS.flatMap((x) =>
    ['first', 'second'].map((taster) => ({
      ratio: likedAt.ratio * Math.exp(STEP.lnRatio * x[0]),
      temperatureC: likedAt.temperatureC + STEP.temperatureC * x[1],
      timeS: likedAt.timeS * Math.exp(STEP.lnTimeS * x[2]),
      taster,
      liking: liking(x),
    })),
  );
const PEAKED = cupsAround((x) => 8 - 0.5 * x.reduce((sum, value) => sum + 0.7 * value ** 2, 0));

const past = (id: string, cups?: readonly ScoredCup[]): PastRelease => ({
  release: facts(id),
  style: 'classic',
  recipe: RECIPE,
  ratedG: 18,
  cups,
});

const question = { release: facts('new'), style: 'classic' } as const;
const others = [past('a'), past('b'), past('c')];

it('what the cups of one coffee liked moves the proposal of the next, and is a bar of its own', () => {
  const without = proposeFrom(learnWithCups([...others, past('d')], 'both'), question);
  const tasted = proposeFrom(learnWithCups([...others, past('d', PEAKED)], 'both'), question);
  expect(without.cups).toBe(0);
  expect(tasted.cups).toBe(PEAKED.length);
  expect(tasted.mean.lnRatio).toBeGreaterThan(without.mean.lnRatio + 0.02);
  expect(tasted.mean.temperatureC).toBeGreaterThan(without.mean.temperatureC + 0.1);
  for (const variable of ['ratio', 'temperatureC', 'timeS'] as const) {
    const bars = tasted.contributions[variable];
    expect(bars.some(({ factor }) => factor === 'cups')).toBe(true);
    const shown = variable === 'timeS' ? (27 + 31) / 2 : 0;
    const sum = bars.reduce((total, { rule, learned }) => total + rule + learned, 0);
    const proposed = { ratio: tasted.recipe.ratio, temperatureC: tasted.recipe.temperatureC };
    if (variable === 'timeS') expect(Math.abs(sum - shown)).toBeLessThan(3);
    else expect(sum).toBeCloseTo(proposed[variable], 8);
  }
  // Grind and dose are as they were.
  expect(tasted.mean.grindSteps).toBe(without.mean.grindSteps);
  expect(tasted.mean.lnDose).toBe(without.mean.lnDose);
});

it('a release whose cups say nothing changes no proposal', () => {
  const before = proposeFrom(learn([...others, past('d')], 'both'), question);
  const indifferent = cupsAround(() => 6.5);
  const once = PEAKED.slice(0, 2);
  for (const cups of [[], once, indifferent.slice(0, 4)])
    expect(proposeFrom(learnWithCups([...others, past('d', cups)], 'both'), question).mean).toEqual(
      before.mean,
    );
});

it('the order of cups changes nothing', () => {
  const proposal = (cups: readonly ScoredCup[]) =>
    proposeFrom(learnWithCups([...others, past('d', cups)], 'both'), question).mean;
  const [forth, back] = [proposal(PEAKED), proposal([...PEAKED].reverse())];
  for (const output of ['lnRatio', 'temperatureC', 'lnTimeS'] as const)
    expect(back[output]).toBeCloseTo(forth[output], 8);
});

it('a release is fitted around what the others say of it, not around itself', () => {
  const history = [...others, { ...past('d'), recipe: { ...RECIPE, ratio: 4, yieldG: 72 } }];
  const taste = learnTaste(history, 'both');
  const [own, same] = [history[3]!, history[0]!];
  expect(expectedWithout(taste, own).mean[0]! * STEP.lnRatio).toBeLessThan(Math.log(2.2));
  // The odd one weighs on what is expected of the others.
  expect(expectedWithout(taste, same).mean[0]! * STEP.lnRatio).toBeGreaterThan(Math.log(2.1));
});

describe('where cups leave a direction open', () => {
  const expected = expectedWithout(learnTaste(others, 'both'), others[0]!);
  const bestOf = ({ P, h }: { P: Matrix; h: readonly number[] }) =>
    solve(P, Matrix.columnVector([...h])).to1DArray();

  it('two recipes teach nothing, cups all around teach everything', () => {
    expect(siteOfCups(past('d'), PEAKED.slice(0, 4), expected)).toBeNull();
    const site = siteOfCups(past('d'), PEAKED, expected)!;
    expect(site.cups).toBe(PEAKED.length);
    const [lnRatio, temperatureC] = bestOf(site);
    // Longer and hotter than the recipe: with what was expected of it, that is where its cups were liked.
    expect(lnRatio! * STEP.lnRatio).toBeGreaterThan(Math.log(2.2));
    expect(temperatureC! * STEP.temperatureC).toBeGreaterThan(92.8);
    const inverse = solve(
      Matrix.add(site.P, solve(expected.covariance, Matrix.eye(3))),
      Matrix.eye(3),
    );
    const pulled = solve(expected.covariance, Matrix.columnVector([...expected.mean]));
    const both = inverse.mmul(Matrix.add(Matrix.columnVector([...site.h]), pulled)).to1DArray();
    expect(both[0]! * STEP.lnRatio).toBeGreaterThan(Math.log(2.15));
    expect(both[0]! * STEP.lnRatio).toBeLessThan(Math.log(2.5));
    expect(both[1]! * STEP.temperatureC).toBeGreaterThan(92.5);
    expect(both[1]! * STEP.temperatureC).toBeLessThan(94);
  });

  it('a ladder of yields teaches the ratio, and the recipe speaks for the temperature', () => {
    const ladder = [1.8, 2, 2.2, 2.4, 2.6, 2.8].flatMap((ratio) =>
      ['first', 'second', 'third'].map((taster) => ({
        ratio,
        temperatureC: RECIPE.temperatureC!,
        timeS: 28,
        taster,
        liking: 8 - 12 * Math.log(ratio / 2.5) ** 2,
      })),
    );
    const [lnRatio, temperatureC, lnTimeS] = bestOf(siteOfCups(past('d'), ladder, expected)!);
    expect(lnRatio! * STEP.lnRatio).toBeGreaterThan(Math.log(2.2));
    expect(temperatureC! * STEP.temperatureC).toBeCloseTo(RECIPE.temperatureC!, 0);
    expect(Math.exp(lnTimeS! * STEP.lnTimeS)).toBeGreaterThan(26);
    expect(Math.exp(lnTimeS! * STEP.lnTimeS)).toBeLessThan(30);
  });
});
