/** The promise of the starting recipe, on a few seeded houses; `npm run bench -- start` has the whole. */
import { learn } from '@/core/start/fit';
import { proposeFrom } from '@/core/start/propose';
import { JUDGED, RIVALS, type Judged } from './rivals';
import { KINDS, simulateHouse, type HouseKind } from './simulatedHouse';

/** Of each kind. */
const HOUSES = 12;
const ASKED = 12;

/** Root mean square errors by output of the model and of last coffee's recipe, and hits of the band. */
function judge(kinds: readonly HouseKind[], releases: number) {
  const squares = { model: { lnRatio: 0, temperatureC: 0 }, last: { lnRatio: 0, temperatureC: 0 } };
  let inside = 0;
  const houses = kinds.flatMap((kind) =>
    Array.from({ length: HOUSES }, (_, house) => simulateHouse(kind, 5000 + house)),
  );
  for (const { next } of houses) {
    const history = Array.from({ length: releases }, next);
    const model = learn(history, 'both');
    for (let i = 0; i < ASKED; i++) {
      const coffee = next();
      const { mean, halfWidth80 } = proposeFrom(model, coffee);
      for (const output of JUDGED) {
        const truth =
          output === 'lnRatio' ? Math.log(coffee.recipe.ratio) : coffee.recipe.temperatureC!;
        squares.model[output] += (mean[output] - truth) ** 2;
        squares.last[output] += (RIVALS['last coffee']!(history, coffee, output) - truth) ** 2;
        if (Math.abs(mean[output] - truth) <= halfWidth80[output]) inside++;
      }
    }
  }
  const rms = (who: 'model' | 'last', output: Judged) =>
    Math.sqrt(squares[who][output] / (houses.length * ASKED));
  return { rms, coverage: inside / (2 * houses.length * ASKED) };
}

describe('the starting recipe after twenty releases, over all kinds of house', () => {
  const { rms, coverage } = judge(KINDS, 20);

  it.each(JUDGED)('is at most half as far off as last coffee’s recipe: %s', (output) => {
    expect(rms('model', output)).toBeLessThan(0.5 * rms('last', output));
  });

  it('holds the truth in its 80 % band about four times in five', () => {
    expect(coverage).toBeGreaterThan(0.76);
    expect(coverage).toBeLessThan(0.88);
  });
});

describe('a simulated house', () => {
  it('is the same for the same seed, and another for another', () => {
    const first = simulateHouse('wide', 3).next();
    expect(simulateHouse('wide', 3).next()).toEqual(first);
    expect(simulateHouse('wide', 4).next()).not.toEqual(first);
  });

  it('publishes around its own truth, with the noise the model assumes', () => {
    const { next, truth } = simulateHouse('rules', 9);
    const off = Array.from({ length: 400 }, () => {
      const { release, style, recipe } = next();
      return recipe.temperatureC! - truth(release, style).temperatureC;
    });
    const mean = off.reduce((sum, value) => sum + value, 0) / off.length;
    const sd = Math.sqrt(off.reduce((sum, value) => sum + (value - mean) ** 2, 0) / off.length);
    expect(Math.abs(mean)).toBeLessThan(0.12);
    expect(sd).toBeGreaterThan(0.62);
    expect(sd).toBeLessThan(0.78);
  });

  it('turns every rule round in an opposite house, but not its base', () => {
    const light = { roastLevel: -2, process: 'washed', varietyClass: 'ordinary' } as const;
    const medium = { ...light, roastLevel: 0 };
    const step = (kind: HouseKind) =>
      Array.from({ length: 30 }, (_, seed) => {
        const { truth } = simulateHouse(kind, seed);
        return truth(light, 'classic').temperatureC - truth(medium, 'classic').temperatureC;
      }).reduce((sum, value) => sum + value, 0) / 30;
    expect(step('rules')).toBeGreaterThan(3);
    expect(step('opposite')).toBeLessThan(-3);
  });
});
