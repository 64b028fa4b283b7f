import fc from 'fast-check';
import { LIMITS, type LimitName } from '@/core/limits';
import { METRIC } from '@/core/units';
import { quantityUnit } from './quantityUnit';

const AMERICAN = { volume: 'flOz', temperature: 'F' } as const;
const NAMES = Object.keys(LIMITS) as LimitName[];

describe('the unit a quantity is typed in', () => {
  it('is its own in grams and °C', () => {
    for (const name of NAMES) {
      const unit = quantityUnit(name, METRIC);
      expect([unit.label, unit.toShown(7), unit.toKept(7), unit.stepOf(1)]).toEqual([
        LIMITS[name].unit,
        7,
        7,
        1,
      ]);
    }
  });

  it('comes back to what is kept, for every quantity and value in range', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...NAMES),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (name, at) => {
          const { min, max } = LIMITS[name];
          const kept = min + at * (max - min);
          const unit = quantityUnit(name, AMERICAN);
          expect(unit.toKept(unit.toShown(kept))).toBeCloseTo(kept, 6);
        },
      ),
    );
  });

  it('changes volumes and temperatures alone', () => {
    const labels = new Set(NAMES.map((name) => quantityUnit(name, AMERICAN).label));
    expect(labels.has('g')).toBe(true);
    expect(labels.has('ml')).toBe(false);
    expect(labels.has('°C')).toBe(false);
    expect(quantityUnit('densityGPerL', AMERICAN).label).toBe('g/L');
    expect(quantityUnit('timeS', AMERICAN).label).toBe('s');
  });
});
