import fc from 'fast-check';
import { expectSignificant } from '../../../tests/support/significant';
import { learnGrinder, priorFromMemory, type GrindFeatures, type PastDialIn } from './memory';
import { taughtBy } from './taught';
import type { TimeRow } from '../grinder/timeRows';

const PLAIN: GrindFeatures = { light: 0, dark: 0, intensity: 0 };
const SLOPE = { mean: -0.1, sd: 0.04 };

const row = (dial: number, timeS: number): TimeRow => ({
  x: [1, dial, 0, 0, 0],
  lnTimeS: Math.log(timeS),
  extraVariance: 0,
  fixedVariance: null,
  shotIndex: 0,
  noiseShare: 1,
});
const dialIn = (features: GrindFeatures, ...shots: [number, number][]): PastDialIn => ({
  features,
  rows: shots.map(([dial, timeS]) => row(dial, timeS)),
});
const sd = (covariance: readonly (readonly number[])[], k: number) => Math.sqrt(covariance[k]![k]!);

describe('worked (13): a memory of two', () => {
  const memory = learnGrinder(
    [
      dialIn(PLAIN, [0, 34], [2, 28.5], [2, 27.8]),
      dialIn({ ...PLAIN, light: 1 }, [0, 26], [-1, 28.2], [-1, 29]),
    ],
    SLOPE,
    0,
  );

  it('learns the grinder', () => {
    expectSignificant(memory.mean[0]!, 3.464, 4);
    expectSignificant(memory.mean[4]!, -0.09221);
    expect(sd(memory.covariance, 4)).toBeCloseTo(0.01975, 4);
    expectSignificant(memory.noiseSd, 0.04056);
    expectSignificant(memory.oddRate, 0.03342);
  });

  it('is the prior of a dark washed coffee', () => {
    const prior = priorFromMemory(memory, { ...PLAIN, dark: 1 });
    expectSignificant(prior.mean[0]!, 3.564, 4);
    expectSignificant(Math.sqrt(prior.covariance.get(0, 0)), 0.1456);
    expectSignificant(Math.sqrt(prior.covariance.get(1, 1)), 0.02176);
    expectSignificant(prior.covariance.get(0, 1), -0.0001675);
    const centre = Math.log(Math.sqrt(26.5 * 29.5));
    expectSignificant((centre - prior.mean[0]!) / prior.mean[1]!, 2.527);
  });

  it('is said in seconds and dials', () => {
    const taught = taughtBy(memory, { stepSize: 1 })!;
    expect(taught.dialIns).toBe(2);
    // 28·(e^.0922 − 1), and its band for a coffee to come: sd .0218 a step.
    expect(taught.stepS).toBeCloseTo(2.7, 1);
    expect(taught.stepHalf80S).toBeCloseTo(28 * Math.exp(0.0922) * 1.2816 * 0.0218, 1);
    expect(taught.scatterPct).toBeCloseTo(4.06, 1);
    // (3.4638 − ln 28) / .0922 = 1.4 for a medium one; light runs faster, so finer, dark the other way.
    expect(taught.usualDials).toEqual({ light: 0, medium: 1, dark: 3 });
    expect(taughtBy(learnGrinder([], SLOPE, 0), { stepSize: 1 })).toBeNull();
  });

  it('is found again by a warm start', () => {
    const again = learnGrinder([dialIn(PLAIN, [0, 34], [2, 28.5], [2, 27.8])], SLOPE, 0, memory);
    expect(again.dialIns).toBe(1);
    expect(Math.abs(again.mean[0]! - memory.mean[0]!)).toBeLessThan(0.1);
  });
});

describe('a memory', () => {
  it('of nothing is the rules', () => {
    const { dialIns, mean } = learnGrinder([], SLOPE, 12);
    expect(dialIns).toBe(0);
    expect(mean[0]).toBeCloseTo(Math.log(28), 9);
    expect(mean[4]).toBeCloseTo(SLOPE.mean, 9);
  });

  it('finds the slope and the level of the grinder its shots come from, and grows surer', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -0.18, max: -0.05, noNaN: true }),
        fc.double({ min: 3.1, max: 3.5, noNaN: true }),
        (slope, level) => {
          const shots = [0, 2, -2, 1, 3].map((dial): [number, number] => [
            dial,
            Math.exp(level + slope * dial),
          ]);
          const few = learnGrinder([dialIn(PLAIN, ...shots)], SLOPE, 0);
          const many = learnGrinder(Array(8).fill(dialIn(PLAIN, ...shots)), SLOPE, 0);
          expect(Math.abs(many.mean[4]! - slope)).toBeLessThan(0.012);
          expect(Math.abs(many.mean[0]! - level)).toBeLessThan(0.03);
          expect(sd(many.covariance, 4)).toBeLessThan(sd(few.covariance, 4));
          expect(many.noiseSd).toBeLessThan(0.045);
        },
      ),
      { numRuns: 20 },
    );
  });

  it('is not turned by one shot in ten that lied', () => {
    const good: [number, number][] = [
      [0, 28],
      [1, 25.3],
      [-1, 31],
      [0, 28.3],
    ];
    const clean = learnGrinder(Array(5).fill(dialIn(PLAIN, ...good)), SLOPE, 0);
    const lied = learnGrinder(
      [...Array(4).fill(dialIn(PLAIN, ...good)), dialIn(PLAIN, ...good, [0, 14])],
      SLOPE,
      0,
    );
    expect(Math.abs(lied.mean[0]! - clean.mean[0]!)).toBeLessThan(0.02);
    expect(lied.oddRate).toBeGreaterThan(clean.oddRate);
  });

  it('keeps the newest hundred', () => {
    const old = Array(60).fill(dialIn(PLAIN, [0, 40], [1, 36]));
    const fresh = Array(100).fill(dialIn(PLAIN, [0, 26], [1, 23.5]));
    const { dialIns, mean } = learnGrinder([...old, ...fresh], SLOPE, 0);
    expect(dialIns).toBe(100);
    expect(mean[0]).toBeCloseTo(Math.log(26), 1);
  });
});
