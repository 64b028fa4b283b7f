import fc from 'fast-check';
import { faultOf } from '../../../tests/support/fault';
import { expectSignificant } from '../../../tests/support/significant';
import { extraction } from './extraction';
import { fromPumpSeconds, toPumpSeconds } from './clock';

describe('extraction', () => {
  it('reproduces the arithmetic check: 18 g, 36 g, 9.6 % is 19.20 %', () => {
    const { ratio, extractionPct, solublesG } = extraction({ doseG: 18, yieldG: 36, tdsPct: 9.6 });
    expectSignificant(extractionPct, 19.2);
    expectSignificant(ratio, 2);
    expectSignificant(solublesG, 3.456);
  });

  it('refuses to dissolve more than was dosed, naming field and remedy', () => {
    expect(faultOf(() => extraction({ doseG: 5, yieldG: 100, tdsPct: 20 })).message).toMatch(
      /^TDS 20 % of 100 g dissolves 20\.0 g, more than the dose of 5 g\. Check/,
    );
  });

  it('conserves mass: extraction of the dose is the dissolved mass', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 3, max: 40, noNaN: true }),
        fc.double({ min: 0.5, max: 4, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        (doseG, ratio, tdsPct) => {
          const result = extraction({ doseG, yieldG: doseG * ratio, tdsPct });
          expect((result.extractionPct / 100) * doseG).toBeCloseTo(result.solublesG, 9);
        },
      ),
    );
  });
});

describe('clock', () => {
  it('adds the first drip to a drip time, and there is no pump time without it', () => {
    expect(toPumpSeconds(21, 'firstDrip', 7)).toBe(28);
    expect(toPumpSeconds(21, 'firstDrip', undefined)).toBeNull();
    expect(toPumpSeconds(28, 'pump', undefined)).toBe(28);
  });

  it('goes there and back', () => {
    expect(fromPumpSeconds(toPumpSeconds(21, 'firstDrip', 7)!, 'firstDrip', 7)).toBe(21);
  });
});
