import fc from 'fast-check';
import { CAFES, checks } from '../../../tests/support/plantedField';
import { fitted } from './cafeFit';
import { ageOffset, type CafeCheck } from './check';
import { contributionsOf, type Cause } from './contributions';
import { CAFE_RULES } from './cafeRules';
import type { CafesModel } from './model';
import { lastRow } from './nextAtCafe';
import { readChecks } from './readChecks';

/** Checks as they were sent, each changed by what happened from a day on. */
function changed(days: number, change: (check: CafeCheck) => Partial<CafeCheck>): CafesModel {
  const sent = [...checks(days)].map(
    ([id, own]) => [id, own.map((check) => ({ ...check, ...change(check) }))] as const,
  );
  return readChecks(CAFES, new Map(sent)).model;
}

const partOf = (model: CafesModel, cafe: string, cause: Cause) =>
  contributionsOf(model, cafe, 'blend').find((one) => one.cause === cause)!;

/** A check so much slower or faster in ln time. */
const by = ({ timeS }: CafeCheck, ln: number) => ({ timeS: timeS * Math.exp(ln) });

describe('what moved a coffee at a café', () => {
  it('adds up to all that the fit says moved, whatever was planted', () => {
    const days = 26;
    fc.assert(
      fc.property(
        fc.double({ min: -0.15, max: 0.15, noNaN: true }),
        fc.integer({ min: -2, max: 2 }),
        fc.integer({ min: 4, max: 30 }),
        (ln, steps, youngest) => {
          const model = changed(days, (check) => ({
            ageDays: youngest + Math.floor(check.atDay / 3),
            ...(check.atDay >= 22 && { dial: 11 + steps, ...by(check, ln) }),
          }));
          const { cafe, row, last } = lastRow(model, '1', 'blend')!;
          const levelOf = (one: typeof row) =>
            fitted(one, cafe.fit.effects) + CAFE_RULES.agePerDay * ageOffset(one.check);
          const before = cafe.rows.visits
            .flat()
            .filter(
              ({ check: { coffee, atDay } }) =>
                coffee === 'blend' && atDay >= last.atDay - 21 && atDay <= last.atDay - 6,
            )
            .map(levelOf);
          const mean = before.reduce((sum, level) => sum + level, 0) / before.length;
          const parts = contributionsOf(model, '1', 'blend');
          const sum = parts.reduce((total, { size }) => total + size, 0);
          expect(sum).toBeCloseTo(levelOf(row) - mean, 9);
          expect(parts.every(({ sd }) => sd >= 0 && Number.isFinite(sd))).toBe(true);
        },
      ),
      { numRuns: 4 },
    );
  });

  it('is its dial where a move was written down, and the batch where all cafés see it', () => {
    const moved = changed(26, (check) =>
      check.visit.startsWith('1 ') && check.atDay >= 22 ? { dial: 9, ...by(check, 0.2) } : {},
    );
    expect(partOf(moved, '1', 'dial').size).toBeCloseTo(0.2, 1);
    expect(Math.abs(partOf(moved, '1', 'cafe').size)).toBeLessThan(0.03);
    expect(partOf(moved, '0', 'dial').size).toBeCloseTo(0, 6);
    const batch = changed(26, (check) =>
      check.coffee === 'blend' && check.atDay >= 20 ? { batch: 'second', ...by(check, -0.1) } : {},
    );
    for (const { id } of CAFES) {
      expect(partOf(batch, id, 'batch').size).toBeLessThan(-0.06);
      expect(Math.abs(partOf(batch, id, 'cafe').size)).toBeLessThan(0.02);
    }
  });

  it('has of a step that was found the very size its signal says, however long ago it began', () => {
    const stepped = changed(26, (check) =>
      check.visit.startsWith('1 ') && check.atDay >= 16 ? by(check, -0.15) : {},
    );
    const [alarm] = stepped.alarms('1').filter(({ state }) => state !== 'withdrawn');
    expect(alarm!.fromDay).toBeGreaterThan(15);
    const parts = contributionsOf(stepped, '1', 'blend', alarm!.fromDay);
    const ofCafe = parts.find(({ cause }) => cause === 'cafe')!;
    expect(ofCafe.size).toBeCloseTo(alarm!.size, 9);
    // Against days that lie on both sides of it, a part of it is missing.
    expect(Math.abs(partOf(stepped, '1', 'cafe').size)).toBeLessThan(Math.abs(alarm!.size) - 0.02);
  });

  it('is age alone where nothing else happened, by the rule and what the field makes of it', () => {
    const aged = changed(26, (check) => ({
      ageDays: 8 + Math.floor(check.atDay),
      ...by(check, CAFE_RULES.agePerDay * (check.atDay - 2)),
    }));
    const { size, sd } = partOf(aged, '2', 'age');
    // From a fortnight ago to now.
    expect(Math.abs(size - CAFE_RULES.agePerDay * 13)).toBeLessThan(2 * sd + 0.02);
    expect(Math.abs(partOf(aged, '2', 'dial').size)).toBe(0);
  });

  it('says nothing of a café with nothing to compare with', () => {
    const model = changed(5, () => ({}));
    expect(contributionsOf(model, '0', 'blend')).toEqual([]);
    expect(contributionsOf(model, '0', 'never sent')).toEqual([]);
  });
});
