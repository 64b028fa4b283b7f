import { bestRecipe, firstCupPoints } from './bestRecipe';
import { placeAt } from './coding';
import { usualPrior } from '../start/usualPrior';

const CENTRE = { ratio: 2, temperatureC: 93, timeS: 28 };
/** Two tasters, the second a point lower, who like it longer than proposed. */
const cupsAt = (ratio: number, liking: number) =>
  [0, 1].map((lower) => ({
    ...CENTRE,
    ratio,
    taster: `taster ${lower}`,
    liking: liking - lower,
  }));
const input = {
  centre: CENTRE,
  prior: usualPrior(),
  doseG: 18,
  cups: [...cupsAt(1.8, 5.5), ...cupsAt(2, 6.5), ...cupsAt(2.3, 7.5), ...cupsAt(2.6, 7.2)],
};

it('finds that a longer cup is liked, whoever scores low, and says how surely', () => {
  const { optimum, interval80, cups, recipes, tasters, expectedLeft } = bestRecipe(input);
  expect(optimum.ratio).toBeGreaterThan(2.15);
  expect(optimum.ratio).toBeLessThan(2.7);
  expect(interval80.ratio[0]).toBeLessThan(optimum.ratio);
  expect(interval80.ratio[1]).toBeGreaterThan(optimum.ratio);
  expect([cups, recipes, tasters]).toEqual([8, 4, 2]);
  expect(expectedLeft).toBeLessThan(firstCupPoints(input.prior));
});

it('shots that are alike to the gram of a bench are one recipe', () => {
  const near = { ...CENTRE, ratio: 2.02, timeS: 28.4, taster: 'one', liking: 7 };
  expect(bestRecipe({ ...input, cups: [...cupsAt(2, 7), near] }).recipes).toBe(1);
});

it('a machine whose temperature cannot be set is asked for no other', () => {
  const { next, robust } = bestRecipe({ ...input, fixedTemperatureC: 92 });
  for (const { temperatureC } of [...next, robust]) expect(temperatureC).toBeCloseTo(92, 9);
});

it('asks for nothing that is never proposed, however hot or long the coffee is liked', () => {
  const hot = { ratio: 3.6, temperatureC: 96.5, timeS: 28 };
  const cups = [3.2, 3.6, 4].map((ratio, i) => ({ ...hot, ratio, taster: 'one', liking: 5 + i }));
  const { next, robust } = bestRecipe({ ...input, centre: hot, cups });
  for (const { ratio, temperatureC } of [...next, robust]) {
    expect(temperatureC).toBeLessThanOrEqual(97 + 1e-9);
    expect(ratio).toBeLessThanOrEqual(4 + 1e-9);
  }
});

it('without cups it is the proposal, and its doubt is what a first cup may miss', () => {
  const none = bestRecipe({ ...input, cups: [] });
  expect(none.optimum).toEqual(placeAt(CENTRE, [0, 0, 0]));
  expect(none.expectedLeft).toBeCloseTo(firstCupPoints(input.prior), 1);
  expect(none.isEnough).toBe(false);
});

it('plans and ends inside what the trial may change', () => {
  const bounds = {
    ratio: [1.9, 2.2],
    temperatureC: [93, 93],
    timeS: [undefined, 29],
  } as const;
  const { next, robust } = bestRecipe({ ...input, bounds });
  for (const { ratio, temperatureC, timeS } of [...next, robust]) {
    expect(ratio).toBeGreaterThanOrEqual(1.9 - 1e-9);
    expect(ratio).toBeLessThanOrEqual(2.2 + 1e-9);
    expect(temperatureC).toBeCloseTo(93, 9);
    expect(timeS).toBeLessThanOrEqual(29 + 1e-9);
  }
  // Ends outside what is ever pulled bind no less than those.
  const wild = bestRecipe({ ...input, bounds: { temperatureC: [60, undefined] } });
  for (const { temperatureC } of wild.next) expect(temperatureC).toBeGreaterThanOrEqual(80);
});
