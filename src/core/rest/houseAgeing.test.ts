import { expectSignificant } from '../../../tests/support/significant';
import {
  ageChange,
  batchSlope,
  expectedSlope,
  learnAgeing,
  levelOn,
  shrunkSlope,
  stepsFiner,
} from './houseAgeing';
import { ageOf } from './ageing';

const shotsOf = (shots: readonly (readonly [number, number])[]) =>
  shots.map(([restDays, timeS]) => ({ restDays, lnTimeS: Math.log(timeS) }));

describe('worked (17): a batch of two days, shrunk towards the house', () => {
  const batch = batchSlope(
    shotsOf([
      [8, 30.2],
      [8, 29.4],
      [15, 28.3],
      [15, 27.9],
    ]),
    0.045,
    0,
  );
  const slope = shrunkSlope(batch, { mean: -0.009, sd: 0.003 });
  const plain = { shapeShare: 0 };

  it('says little by itself', () => {
    expect(batch.J).toBeCloseTo(28783, 0);
    expect(batch.g / batch.J).toBeCloseTo(-0.007442, 6);
    expectSignificant(1 / Math.sqrt(batch.J), 0.005894);
  });

  it('moves the house’s slope a little', () => {
    expect(slope.mean).toBeCloseTo(-0.008679, 6);
    expectSignificant(slope.sd, 0.002674);
    expect(slope.isOwn).toBe(false);
  });

  it('foretells a week', () => {
    const change = ageChange(slope, 15, 22, plain);
    expectSignificant(change.mean, -0.0514, 3);
    expectSignificant(change.sd, 0.0187, 3);
    const { steps, interval80 } = stepsFiner(change, -0.1);
    expectSignificant(steps, 0.5142);
    expectSignificant(interval80[0], 0.2741, 3);
    expectSignificant(interval80[1], 0.7543, 3);
    const level = levelOn(batch, slope, 22, 1, plain);
    expectSignificant(Math.exp(level.mean), 26.57);
    expectSignificant(Math.exp(level.mean - 1.2816 * level.sd), 25.37);
    expectSignificant(Math.exp(level.mean + 1.2816 * level.sd), 27.83);
  });
});

describe('worked (10): a straight line over days, as arithmetic of the shrunk slope', () => {
  const days = [4, 6, 8, 10, 12, 15, 18, 21];
  const lns = [3.36, 3.33, 3.35, 3.3, 3.29, 3.28, 3.24, 3.25];
  const mean = (values: readonly number[]) =>
    values.reduce((sum, value) => sum + value, 0) / values.length;
  const [day, ln] = [mean(days), mean(lns)];
  const precision = 1 / 0.045 ** 2;
  const J = precision * days.reduce((sum, one) => sum + (one - day) ** 2, 0);
  const g = precision * days.reduce((sum, one, i) => sum + (one - day) * (lns[i]! - ln), 0);

  it('gives half a step a week', () => {
    const slope = shrunkSlope({ J, g }, { mean: -0.008, sd: 0.006 });
    expectSignificant(slope.mean, -0.007225);
    expectSignificant(slope.sd, 0.002591);
    const { steps } = stepsFiner({ mean: 7 * slope.mean, sd: 7 * slope.sd }, -0.1);
    expectSignificant(steps, 0.5057);
  });
});

describe('the house’s slope', () => {
  const truthOf = (slope: number) =>
    [7, 10, 14, 20, 27].map((restDays) => ({
      restDays,
      lnTimeS: Math.log(28) + slope * ageOf(restDays),
    }));

  it('is the prior where no batch spans two ages', () => {
    const single = batchSlope(
      shotsOf([
        [9, 28],
        [9, 29],
      ]),
      0.045,
    );
    const ageing = learnAgeing([{ ...single, roastLevel: 0 }]);
    expect(ageing.batches).toBe(0);
    expect(expectedSlope(ageing, 0).mean).toBeCloseTo(-0.008, 12);
  });

  it('follows many batches, and tells roasts apart', () => {
    const batches = Array.from({ length: 60 }, (_, i) => {
      const roastLevel = i % 2 === 0 ? -1 : 1;
      return { ...batchSlope(truthOf(roastLevel < 0 ? -0.006 : -0.012), 0.045), roastLevel };
    });
    const ageing = learnAgeing(batches);
    expect(expectedSlope(ageing, -1).mean).toBeCloseTo(-0.006, 3);
    expect(expectedSlope(ageing, 1).mean).toBeCloseTo(-0.012, 3);
    expect(expectedSlope(ageing, 0).sd).toBeLessThan(0.003);
  });
});
