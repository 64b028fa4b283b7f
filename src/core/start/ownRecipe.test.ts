import fc from 'fast-check';
import { learn, type PastRelease } from './fit';
import { proposeFrom, propose, type Question } from './propose';
import { rulesInForce } from './priors';

const BLEND = { id: 'blend', roastLevel: 0, process: 'washed', restDays: 14 } as const;
const RECIPE = {
  doseG: 18,
  yieldG: 33.84,
  ratio: 1.88,
  temperatureC: 92,
  timeS: [26, 30],
} as const;
const KNOWN: PastRelease = {
  release: BLEND,
  style: 'classic',
  recipe: { ...RECIPE, timeS: [26, 30], clock: 'pump' },
  ratedG: 18,
  grindSteps: 2,
  setupId: 'bar',
};
const OTHERS: readonly PastRelease[] = Array.from({ length: 6 }, (_, i) => ({
  ...KNOWN,
  release: { ...BLEND, id: `other ${i}` },
  recipe: { ...KNOWN.recipe, ratio: 1.5 + i / 20 },
}));
const ask = (question: Partial<Question> = {}): Question => ({
  release: BLEND,
  style: 'classic',
  setupId: 'bar',
  ...question,
});

describe('the coffee’s own last recipe', () => {
  it('moves the proposal by nine tenths of what it deviated from the model', () => {
    const model = learn([...OTHERS, KNOWN], 'both');
    const withOwn = proposeFrom(model, ask());
    const asStranger = proposeFrom(model, ask({ release: { ...BLEND, id: 'new' } }));
    const deviation = Math.log(1.88) - asStranger.mean.lnRatio;
    expect(withOwn.mean.lnRatio).toBeCloseTo(asStranger.mean.lnRatio + 0.9 * deviation, 10);
    expect(withOwn.halfWidth80.lnRatio).toBeLessThan(asStranger.halfWidth80.lnRatio);
    expect(withOwn.ownRecipe).toMatchObject({ ratio: 1.88 });
    expect(asStranger.ownRecipe).toBeNull();
  });

  it('counts for less in another style or on another setup', () => {
    const model = learn([...OTHERS, KNOWN], 'both');
    const gain = (question: Partial<Question>) =>
      proposeFrom(model, ask(question)).mean.lnRatio -
      proposeFrom(model, ask({ ...question, release: { ...BLEND, id: 'new' } })).mean.lnRatio;
    expect(gain({ setupId: 'other' }) / gain({})).toBeCloseTo(7 / 9, 10);
    expect(gain({ style: 'soakFirst' }) / gain({})).toBeCloseTo(7 / 9, 10);
  });

  it('stands as a bar of its own, and the bars still sum to the proposal', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1.2, max: 3, noNaN: true }),
        fc.double({ min: 16, max: 21, noNaN: true }),
        fc.constantFrom('pump' as const, 'firstDrip' as const),
        (ratio, ratedG, clock) => {
          const known = { ...KNOWN, recipe: { ...KNOWN.recipe, ratio } };
          const setup = { basket: { diameterMm: 54, ratedG } };
          const answer = proposeFrom(learn([...OTHERS, known], 'both'), ask({ setup, clock }));
          const sumOf = (name: 'ratio' | 'timeS') =>
            answer.contributions[name].reduce((sum, { rule, learned }) => sum + rule + learned, 0);
          const [low, high] = answer.recipe.timeS;
          expect(answer.contributions.ratio.some(({ factor }) => factor === 'own')).toBe(true);
          expect(sumOf('ratio')).toBeCloseTo(answer.recipe.ratio, 9);
          expect(sumOf('timeS')).toBeCloseTo((low + high) / 2, 9);
        },
      ),
      { numRuns: 40 },
    );
  });
});

const plain = (question: Partial<Parameters<typeof propose>[0]>) =>
  propose({
    release: { roastLevel: 0, process: 'washed', restDays: 14 },
    style: 'classic',
    temperatureSchool: 'both',
    history: [],
    ...question,
  });

describe('what basket and clock do to a proposal', () => {
  it.each([
    [58, 18, 28],
    [54, 18, 29],
    [46, 16, 31],
  ])('expects a %d mm, %d g basket to take %d s', (diameterMm, ratedG, timeS) => {
    const { timeS: window } = plain({ setup: { basket: { diameterMm, ratedG } } }).recipe;
    expect((window[0] + window[1]) / 2).toBe(timeS);
  });

  it('shows band and window on the clock of the house, the band wider by what a drip leaves open', () => {
    const pump = plain({});
    const drip = plain({ clock: 'firstDrip' });
    const width = ([low, high]: readonly [number, number]) => high - low;
    expect(drip.interval80.timeS[0]).toBeLessThan(drip.recipe.timeS[0]);
    expect(drip.interval80.timeS[1]).toBeGreaterThan(drip.recipe.timeS[1]);
    expect(drip.interval80.timeS[1]).toBeLessThan(pump.interval80.timeS[1] - 5);
    expect(width(drip.interval80.timeS)).toBeGreaterThan(width(pump.interval80.timeS));
  });

  it('learns times of a house that counts from the first drip', () => {
    const history = Array.from({ length: 8 }, (_, i) => ({
      ...KNOWN,
      release: { ...BLEND, id: `drip ${i}` },
      recipe: { ...KNOWN.recipe, clock: 'firstDrip' as const, timeS: [28, 32] as [number, number] },
    }));
    const [low, high] = plain({ history, clock: 'firstDrip' }).recipe.timeS;
    expect((low + high) / 2).toBeGreaterThan(27);
  });
});

describe('how full a basket is proposed', () => {
  it.each([
    ['light', -2, 18.4],
    ['dark', 2, 17.6],
  ])('a %s roast of level %d: %d g in an 18 g basket', (_, roastLevel, doseG) => {
    expect(plain({ release: { roastLevel, process: 'washed' } }).recipe.doseG).toBe(doseG);
  });

  it('never more than half a gram over the rating, whatever the history says', () => {
    const history = Array.from({ length: 30 }, (_, i) => ({
      ...KNOWN,
      release: { ...BLEND, id: `full ${i}` },
      recipe: { ...KNOWN.recipe, doseG: 19.5 },
    }));
    expect(plain({ history }).recipe.doseG).toBe(18.5);
  });

  it('leaves room above the puck where the house does, unless it set the base itself', () => {
    expect(plain({ rules: rulesInForce([], 'roomAbove') }).recipe.doseG).toBe(17.1);
    const own = { factor: 'base', output: 'lnDose', mean: 0, sd: 0.01 } as const;
    expect(rulesInForce([own], 'roomAbove')).toEqual([own]);
  });
});
