import { shot, target } from '../../../tests/support/coffee';
import { correctedLnTime } from './judge';

describe('a time at the dose and yield of the recipe', () => {
  // The rule's exponents, written out: 1.4 of dose, 1 of yield.
  it.each([
    ['a heavy dose ran longer than the recipe would', { doseG: 19 }, 28 * (19 / 18) ** -1.4],
    ['a light one shorter', { doseG: 17 }, 28 * (17 / 18) ** -1.4],
    ['a long cup longer', { yieldG: 40 }, 28 * (36 / 40)],
    ['a short one shorter', { yieldG: 32 }, 28 * (36 / 32)],
  ])('%s', (_, changes, expectedS) => {
    const { lnTimeS } = correctedLnTime(shot(changes), target(), 28);
    expect(Math.exp(lnTimeS)).toBeCloseTo(expectedS, 10);
  });

  it('is that of the trimmed dose where the dose was trimmed on purpose', () => {
    const { lnTimeS } = correctedLnTime(shot({ doseG: 18.6, aimDoseG: 18.6 }), target(), 28);
    expect(Math.exp(lnTimeS)).toBeCloseTo(28, 10);
  });
});
