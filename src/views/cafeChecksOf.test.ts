import fc from 'fast-check';
import type { StoredCheck } from '@/data/cafeChecks';
import { dialAfter, cafeCheckOf, restDaysAt, stepsOfDial } from './cafeChecksOf';

const CHECK: StoredCheck = {
  ...{ id: 'c', visitId: 'v', partnerId: 'p', visitedAt: '2026-05-20T22:30:00.000Z', visitRow: 1 },
  ...{ releaseId: 'r', versionNumber: 2, roastDate: '2026-05-08' },
  target: { doseG: 18, yieldG: 36, timeS: [19, 23], clock: 'firstDrip' },
  ...{ doseG: 18.2, yieldG: 35, timeS: 21, dial: 4.5, shots: 2, remark: '', taste: undefined },
} as StoredCheck;

const DIAL = { stepSize: 0.5, finerIs: 'lower' } as const;

it('counts steps that grow as it grinds coarser, whichever way the numbers run', () => {
  expect(stepsOfDial(DIAL, 4.5)).toBe(9);
  expect(stepsOfDial({ ...DIAL, finerIs: 'higher' }, 4.5)).toBe(-9);
  // Two steps coarser is a higher number on the one, a lower one on the other.
  expect(dialAfter(DIAL, 4.5, 2)).toBe(5.5);
  expect(dialAfter({ ...DIAL, finerIs: 'higher' }, 4.5, 2)).toBe(3.5);
});

it('comes back to the same dial', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 60, noNaN: true }),
      fc.constantFrom(0.1, 0.5, 1, 2),
      fc.constantFrom('lower' as const, 'higher' as const),
      (dial, stepSize, finerIs) => {
        const partner = { stepSize, finerIs };
        expect(dialAfter(partner, 0, stepsOfDial(partner, dial))).toBeCloseTo(dial, 9);
      },
    ),
  );
});

it('reads a check by the café’s own clock and from the pump', () => {
  const there = cafeCheckOf(CHECK, DIAL, 'Asia/Tokyo');
  // 22:30 at Greenwich is the next morning there: one day of rest more.
  expect(there.atDay % 1).toBeCloseTo(7.5 / 24, 9);
  expect(there.ageDays).toBe(13);
  const here = cafeCheckOf(CHECK, DIAL, 'UTC');
  expect(here.ageDays).toBe(12);
  expect(here.timeS - CHECK.timeS).toBe(here.target.timeS - 21);
  expect(here.timeS).toBeGreaterThan(CHECK.timeS);
  expect(here).toMatchObject({ visit: 'v', coffee: 'r', batch: '2026-05-08', dial: 9, shots: 2 });
});

it('takes a missing dial and bag for unknown, and a dry cup for a gram', () => {
  const bare = { ...CHECK, dial: undefined, roastDate: null, yieldG: 0.2 } as StoredCheck;
  expect(cafeCheckOf(bare, DIAL, 'UTC')).toMatchObject({
    dial: null,
    batch: null,
    ageDays: null,
    yieldG: 1,
  });
  expect(restDaysAt(null, 3)).toBeNull();
});
