import fc from 'fast-check';
import { comingFrom } from './comingFrom';
import { effectsOf } from './effects';
import { evidenceOf } from './evidence';
import { learn, questionRow, type PastRelease } from './fit';
import { priorFor, tradeRule } from './priors';
import { propose, proposeFrom } from './propose';
import { recencyWeight } from './recency';
import { similarTo } from './similar';
import type { Process } from '../vocabulary';

const reference = { varietyClass: 'ordinary', densityGPerL: 700, restDays: 14 } as const;

function past(
  id: string,
  roastLevel: number,
  ratio: number,
  {
    process = 'washed' as Process,
    temperatureC = 93,
    ...changes
  }: Record<string, unknown> & {
    process?: Process;
    temperatureC?: number;
  } = {},
): PastRelease {
  return {
    release: { ...reference, id, roastLevel, process },
    style: 'classic',
    recipe: {
      doseG: 18,
      yieldG: 18 * ratio,
      ratio,
      temperatureC,
      timeS: [26, 30],
      clock: 'pump',
      restDays: [8, 21],
    },
    ...changes,
  };
}

const anyPast = fc
  .record({
    roastLevel: fc.constantFrom(-2, -1, -0.5, 0, 0.5, 1),
    ratio: fc.double({ min: 1, max: 3.5, noNaN: true }),
    process: fc.constantFrom<Process>('washed', 'honey', 'natural', 'infused'),
    weight: fc.double({ min: 0.05, max: 1, noNaN: true }),
    densityGPerL: fc.double({ min: 600, max: 800, noNaN: true }),
  })
  .map(({ roastLevel, ratio, process, weight, densityGPerL }) => {
    const known = past('x', roastLevel, ratio, { process, weight });
    return { ...known, release: { ...known.release, densityGPerL } };
  });
const anyHistory = fc
  .array(anyPast, { minLength: 1, maxLength: 12 })
  .map((all) => all.map((item, i) => ({ ...item, release: { ...item.release, id: `r${i}` } })));

const natural = { ...reference, roastLevel: -1, process: 'natural' } as const;
const ask = (history: readonly PastRelease[]) =>
  propose({ release: natural, style: 'classic', temperatureSchool: 'both', history });

describe('the house model: properties', () => {
  it('does not depend on the order of past releases, weights and trust included', () => {
    fc.assert(
      fc.property(anyHistory, fc.infiniteStream(fc.nat()), (history, stream) => {
        const shuffled = history
          .map((item) => ({ item, key: stream.next().value as number }))
          .sort((a, b) => a.key - b.key)
          .map(({ item }) => item);
        const [one, other] = [ask(history), ask(shuffled)];
        expect(other.mean.lnRatio).toBeCloseTo(one.mean.lnRatio, 9);
        expect(other.halfWidth80.temperatureC).toBeCloseTo(one.halfWidth80.temperatureC, 9);
      }),
    );
  });

  it('is not moved at all by a release of weight 0', () => {
    fc.assert(
      fc.property(anyHistory, anyPast, fc.nat(12), (history, extra, at) => {
        const mute = { ...extra, weight: 0 };
        const mixed = [...history.slice(0, at), mute, ...history.slice(at)];
        expect(ask(mixed).mean).toEqual(ask(history).mean);
        expect(ask(mixed).halfWidth80).toEqual(ask(history).halfWidth80);
        expect(ask(mixed).rulesOnly).toBe(ask(history).rulesOnly);
      }),
    );
  });

  it('narrows as releases come that do as the model says', () => {
    let history: PastRelease[] = [];
    const widths = [ask(history).halfWidth80.lnRatio];
    for (let i = 0; i < 8; i++) {
      const ratio = Math.exp(ask(history).mean.lnRatio);
      history = [...history, past(`r${i}`, -1, ratio, { process: 'natural' })];
      widths.push(ask(history).halfWidth80.lnRatio);
    }
    widths.slice(1).forEach((width, i) => expect(width).toBeLessThan(widths[i]!));
  });

  it('counts a release of weight one half less than a whole one', () => {
    const half = ask([past('a', -1, 3.2, { process: 'natural', weight: 0.5 })]);
    const whole = ask([past('a', -1, 3.2, { process: 'natural' })]);
    const none = ask([]);
    expect(half.mean.lnRatio).toBeGreaterThan(none.mean.lnRatio);
    expect(whole.mean.lnRatio).toBeGreaterThan(half.mean.lnRatio);
    expect(whole.halfWidth80.lnRatio).not.toBe(half.halfWidth80.lnRatio);
  });

  it('halves a release every fifty, or never', () => {
    expect([0, 50, 100].map((ago) => recencyWeight(ago, 50))).toEqual([1, 0.5, 0.25]);
    expect(recencyWeight(400, null)).toBe(1);
  });
});

describe('evidence', () => {
  it('says how far the proposal moves when a release is dropped (κ = 1, exactly)', () => {
    const history = [
      past('a', 0, 2.1),
      past('b', -1, 2.6, { process: 'natural' }),
      past('c', 1, 1.5),
    ];
    const model = learn(history, 'both');
    const [, row] = questionRow(natural, 'classic');
    for (const { id, effect } of evidenceOf(history, row, model.fits.lnRatio)) {
      const without = ask(history.filter(({ release }) => release.id !== id));
      expect(
        proposeFrom(model, { release: natural, style: 'classic' }).mean.lnRatio -
          without.mean.lnRatio,
      ).toBeCloseTo(effect, 9);
    }
  });

  it('names the right release where some lack the output', () => {
    const lacking = past('lacking', 0, 2);
    const history = [
      { ...lacking, recipe: { doseG: 18, ratio: 2 } },
      past('cool', -1, 2.5, { process: 'natural', temperatureC: 89 }),
    ];
    const model = learn(history, 'both');
    const [, row] = questionRow(natural, 'classic');
    expect(evidenceOf(history, row, model.fits.temperatureC).map(({ id }) => id)).toEqual(['cool']);
    expect(evidenceOf(history, row, model.fits.lnRatio)).toHaveLength(2);
  });
});

describe('rules of the house’s own', () => {
  it('take the place of the trade’s, before any temperature school', () => {
    const rules = [{ factor: 'light', output: 'temperatureC', mean: 0, sd: 0.5 } as const];
    const base = {
      release: { ...reference, roastLevel: -1 },
      style: 'classic',
      history: [],
    } as const;
    for (const temperatureSchool of ['both', 'wide'] as const) {
      const own = propose({ ...base, temperatureSchool, rules });
      const trade = propose({ ...base, temperatureSchool });
      const [light] = tradeRule('light', 'temperatureC', temperatureSchool);
      expect(trade.mean.temperatureC - own.mean.temperatureC).toBeCloseTo(light, 9);
    }
  });

  it('pass half their doubt on to what styles make of them', () => {
    const own = priorFor('temperatureC', 'both', [
      { factor: 'dark', output: 'temperatureC', mean: -3, sd: 0.8 },
    ]);
    expect(own.find(({ factor }) => factor === 'declining:dark')!.sd).toBe(0.4);
  });
});

describe('what is not known of a coffee', () => {
  it('widens the proposal: no roast most, a thumb’s reading less', () => {
    const width = (facts: object) =>
      propose({
        release: { ...reference, process: 'washed', ...facts },
        style: 'classic',
        temperatureSchool: 'both',
        history: [],
      }).halfWidth80.temperatureC;
    const [known, felt, unknown] = [{ roastLevel: 0 }, { roastLevel: 0, roastSd: 0.5 }, {}].map(
      width,
    );
    expect(felt).toBeGreaterThan(known!);
    expect(unknown).toBeGreaterThan(felt!);
  });
});

describe('effects', () => {
  const house = Array.from({ length: 12 }, (_, i) =>
    past(`r${i}`, i % 2 ? -1 : 0, 2 * 1.22 ** (i % 2), {
      process: i % 3 ? 'natural' : 'washed',
      temperatureC: 92 + 2 * (i % 2) + (i % 3 ? 1.2 : 0),
    }),
  );

  it('finds that naturals run hotter here than the rule says, and says so with its interval', () => {
    const found = effectsOf(learn(house, 'both'), 'temperatureC');
    const effect = found.find(({ name }) => name === 'natural')!;
    expect(effect.rule).toBeCloseTo(-0.8, 9);
    expect(effect.learned).toBeGreaterThan(0);
    expect(effect).toMatchObject({ releases: 8, isDifferent: true });
    expect(found.find(({ name }) => name === 'light')!.isDifferent).toBe(false);
  });

  it('shows the rules, and calls nothing different, while nothing was published', () => {
    for (const effect of effectsOf(learn([], 'both'), 'lnRatio')) {
      expect(effect.learned).toBeCloseTo(effect.rule, 12);
      expect(effect).toMatchObject({ releases: 0, isDifferent: false });
    }
  });
});

describe('nearest past releases', () => {
  it('puts the same coffee first, at no distance, and an opposite one last', () => {
    const history = [
      past('dark', 1, 1.6),
      past('same', -1, 2.6, { process: 'natural' }),
      past('near', -1, 2.5),
    ];
    const found = similarTo(history, natural, 'classic');
    expect(found.map(({ place }) => history[place]!.release.id)).toEqual(['same', 'near', 'dark']);
    expect(found[0]!.distance).toBe(0);
    expect(found[2]!.distance).toBeGreaterThan(2);
  });
});

describe('coming from another coffee', () => {
  const washed = past('washed', -1, 2.9);
  const known = { ...washed, recipe: { ...washed.recipe, yieldG: 52, ratio: 52 / 18 } } as never;
  const question = { release: natural, style: 'classic' } as const;

  it('carries over the part of the other coffee’s deviation that both share: the gain, for κ = 1', () => {
    const model = learn([], 'both');
    const { proposal } = comingFrom(model, known, question);
    const { posteriors } = model.fits.lnRatio;
    const [, x] = questionRow(natural, 'classic');
    const [, y] = questionRow(washed.release, 'classic');
    const V = posteriors[0]!.inverse;
    const cross = x.reduce((sum, value, j) => sum + value * V.get(j, j) * y[j]!, 0);
    const own = y.reduce((sum, value, j) => sum + value * V.get(j, j) * value, 0);
    const deviation =
      Math.log(52 / 18) -
      propose({ ...question, release: washed.release, temperatureSchool: 'both', history: [] }).mean
        .lnRatio;
    const before = ask([]).mean.lnRatio;
    expect(proposal.mean.lnRatio).toBeCloseTo(before + (cross / (1 + own)) * deviation, 9);
  });

  it('gives changes that lead from the one recipe to the other', () => {
    const { changes, proposal } = comingFrom(learn([], 'both'), known, question);
    expect(changes.ratio!.from + changes.ratio!.change).toBeCloseTo(proposal.recipe.ratio, 12);
    expect(changes.temperatureC!.change).toBeLessThan(0);
    expect(changes.grindSteps).toBeUndefined();
  });

  it('counts a coffee that is already in the history once', () => {
    const others = [past('a', 0, 2), past('b', 0.5, 1.8)];
    const told = comingFrom(learn([...others, known], 'both'), known, question);
    const untold = comingFrom(learn(others, 'both'), known, question);
    expect(told.changes).toEqual(untold.changes);
  });
});
