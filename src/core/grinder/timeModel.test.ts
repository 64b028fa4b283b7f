import fc from 'fast-check';
import { expectSignificant } from '../../../tests/support/significant';
import { pumpSeconds } from '../extraction/clock';
import {
  carriedShare,
  chamberAfter,
  effectiveDial,
  fullPurge,
  isSpoilt,
  purgeFor,
} from './retention';
import { fitTimeModel, ODD_WEIGHT, type TimeModelInput } from './timeModel';
import { plainPrior, weightOf } from './timePrior';
import type { TimedShot } from './timeRows';

function timed(dial: number, timeS: number, changes: Partial<TimedShot> = {}): TimedShot {
  return {
    dial,
    doseG: 18,
    yieldG: 36,
    timeS: pumpSeconds(timeS),
    purgeG: 0,
    restDays: null,
    choked: false,
    ...changes,
  };
}

const PRIOR = plainPrior(pumpSeconds(28), { mean: -0.1, sd: 0.04 });
/** Every shot is believed. */
const BELIEVING = { prior: { ...PRIOR, oddRate: 0 } };

function fit(shots: readonly TimedShot[], changes: Partial<TimeModelInput> = {}) {
  return fitTimeModel({
    shots,
    reference: { dial: 0, doseG: 18, yieldG: 36, restDays: 0 },
    prior: PRIOR,
    retentionG: 3,
    ...changes,
  });
}

const idealDial = (model: ReturnType<typeof fit>) =>
  (Math.log(28) - model.coefficients[0]) / model.coefficients[1];

it('a recipe of another ratio than what is counted from is as sure as one of the same', () => {
  const sdOf = (shots: readonly TimedShot[]) => fit(shots, BELIEVING).covariance.get(0, 0);
  const short = [timed(0, 28), timed(0, 28.2)];
  const long = short.map((one) => ({ ...one, yieldG: 54, aimYieldG: 54 }));
  const missed = short.map((one) => ({ ...one, yieldG: 54 }));
  // What a gram of yield does is not known to the last: it may cost a little, not what a miss costs.
  expect(sdOf(long)).toBeLessThan(sdOf(missed));
});

describe('worked (4): an unpurged move', () => {
  const shots = [timed(0, 21.5), timed(-3, 26)];

  it('carries .1663 of the dose over', () => {
    expectSignificant(carriedShare({ retentionG: 3, doseG: 18, purgeG: 0 }), 0.1663);
  });

  it('reads the slope through the mixture', () => {
    const model = fit(shots, BELIEVING);
    expectSignificant(model.coefficients[0], 3.067);
    expectSignificant(model.coefficients[1], -0.08076);
    expectSignificant(idealDial(model), -3.285);
  });

  it('would overshoot if it ignored retention', () => {
    expectSignificant(idealDial(fit(shots, { ...BELIEVING, retentionG: 0 })), -3.884);
  });
});

describe('worked (12): a shot that may be odd', () => {
  it.each([
    [0.12, 0.8369],
    [0.15, 0.427],
    [0.2, 0.032],
  ])('%f off weighs %f', (miss, weight) => {
    expectSignificant(weightOf(miss ** 2, 0.045 ** 2, 0.04).weight, weight);
  });

  it('.045 off is good with .9900', () => {
    expectSignificant(weightOf(0.045 ** 2, 0.045 ** 2, 0.04).good, 0.99);
  });

  it('among four, the others decide', () => {
    const model = fit([28.1, 27.6, 19, 28.4].map((timeS) => timed(0, timeS)));
    expect(model.weights.map((w) => w! < ODD_WEIGHT)).toEqual([false, false, true, false]);
    expect(Math.exp(model.coefficients[0])).toBeCloseTo(28, 0);
  });
});

describe('time model', () => {
  it('narrows the prediction at the pulled setting with every like shot', () => {
    const next = { dial: 0, doseG: 18, yieldG: 36, restDays: 0, purgeG: 0 };
    const variances = [1, 2, 4, 8].map(
      (n) => fit(Array.from({ length: n }, () => timed(0, 27))).predict(next).variance,
    );
    expect(variances).toEqual([...variances].sort((a, b) => b - a));
    expect(variances[3]).toBeGreaterThan(0.045 ** 2);
  });

  it('takes a choked shot as far too slow without pretending to have timed it', () => {
    const model = fit([timed(0, 30, { yieldG: 0.5, choked: true })]);
    const next = { dial: 0, doseG: 18, yieldG: 36, restDays: 0, purgeG: 0 };
    expect(model.weights).toEqual([null]);
    expect(Math.exp(model.predict(next).lnTimeS)).toBeGreaterThan(40);
  });

  it('recovers a known grinder from clean shots', () => {
    const truth = (dial: number) => Math.exp(3.2 - 0.07 * dial);
    const shots = [0, -4, 3, -2, 1, -3].map((dial) => timed(dial, truth(dial), { purgeG: 60 }));
    const [a, b] = fit(shots).coefficients;
    expect(a).toBeCloseTo(3.2, 1);
    expect(b).toBeCloseTo(-0.07, 2);
  });

  it('stays finite for anything a bench can produce', () => {
    const anyShot = fc.record({
      dial: fc.double({ min: -50, max: 50, noNaN: true }),
      timeS: fc.double({ min: 1, max: 180, noNaN: true }),
      doseG: fc.double({ min: 3, max: 40, noNaN: true }),
      yieldG: fc.double({ min: 0, max: 200, noNaN: true }),
      purgeG: fc.double({ min: 0, max: 40, noNaN: true }),
      choked: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(anyShot, { maxLength: 20 }), (records) => {
        const model = fit(records.map(({ dial, timeS, ...rest }) => timed(dial, timeS, rest)));
        const { lnTimeS, variance } = model.predict({
          dial: 2,
          doseG: 18,
          yieldG: 36,
          restDays: 5,
          purgeG: 6,
        });
        expect(Number.isFinite(lnTimeS)).toBe(true);
        expect(variance).toBeGreaterThan(0);
      }),
    );
  });
});

describe('retention', () => {
  it('carries nothing in a grinder that keeps nothing', () => {
    expect(carriedShare({ retentionG: 0, doseG: 18, purgeG: 0 })).toBe(0);
    expect(fullPurge(0)).toBe(0);
    expect(purgeFor({ retentionG: 0, doseG: 18, lnTimeChange: 1 })).toBe(0);
  });

  it('asks for as much purge as the move needs, and never more than a full one', () => {
    expect(fullPurge(3)).toBe(6);
    const purge = (lnTimeChange: number) => purgeFor({ retentionG: 3, doseG: 18, lnTimeChange });
    expect(purge(0.1)).toBe(0);
    expect(purge(-3)).toBe(6);
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 8, noNaN: true }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        (retentionG, lnTimeChange) => {
          const purgeG = purgeFor({ retentionG, doseG: 18, lnTimeChange });
          expect(purgeG).toBeLessThanOrEqual(fullPurge(retentionG));
          const left = lnTimeChange * carriedShare({ retentionG, doseG: 18, purgeG });
          // What is left over never spoils the shot, unless even a full purge leaves too much.
          expect(isSpoilt(left) && purgeG < fullPurge(retentionG)).toBe(false);
        },
      ),
    );
  });

  it('lies between the old and the new setting, nearer the new the more is purged', () => {
    const at = (purgeG: number) => effectiveDial(-3, 0, { retentionG: 3, doseG: 18, purgeG });
    expect(at(0)).toBeGreaterThan(-3);
    expect(at(6)).toBeLessThan(at(0));
    expect(chamberAfter(-3, 0, { retentionG: 3, doseG: 18, purgeG: 0 })).toBeCloseTo(-3, 1);
  });
});
