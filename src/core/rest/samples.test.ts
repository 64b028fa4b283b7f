import fc from 'fast-check';
import { faultOf } from '../../../tests/support/fault';
import { samplesFor, checkFrozen, isFrozenOn, spellsOf, type FrozenSample } from './samples';
import type { PlannedCheck } from './checkPlan';
import { addDays } from './day';
import { restDaysOn } from './rest';

const TODAY = '2026-05-20';
const checks: PlannedCheck[] = [
  { kind: 'opens', day: '2026-05-21' },
  { kind: 'middle', day: '2026-05-28' },
  { kind: 'fades', day: '2026-06-10' },
];
const asked = { gramsEach: 42, today: TODAY };

describe('bags', () => {
  it('are held back the smallest first, each for as many checks as it holds', () => {
    const kept = samplesFor(
      checks,
      [
        { id: 'big', leftG: 250 },
        { id: 'small', leftG: 90 },
      ],
      asked,
    );
    expect([...kept.values()]).toEqual(['small', 'small', 'big']);
  });

  it('that are frozen are kept for none, and what is short is missing', () => {
    const frozen = { id: 'cold', leftG: 250, frozenOn: '2026-05-12' };
    const kept = samplesFor(checks, [frozen, { id: 'small', leftG: 50 }], asked);
    expect([...kept]).toEqual([['2026-05-21', 'small']]);
    expect(isFrozenOn(frozen, TODAY)).toBe(true);
    expect(isFrozenOn({ ...frozen, thawedOn: TODAY }, TODAY)).toBe(false);
  });

  it('never promise more than they hold', () => {
    const bag = fc.record({ leftG: fc.double({ min: 0, max: 300, noNaN: true }) });
    fc.assert(
      fc.property(
        fc.array(bag, { maxLength: 5 }),
        fc.integer({ min: 10, max: 60 }),
        (bags, gramsEach) => {
          const named = bags.map((one, i) => ({ ...one, id: String(i) }));
          const kept = [...samplesFor(checks, named, { gramsEach, today: TODAY }).values()];
          for (const { id, leftG } of named)
            expect(kept.filter((one) => one === id).length * gramsEach).toBeLessThanOrEqual(
              leftG + 1e-9,
            );
        },
      ),
    );
  });

  it('stand still while they are frozen: the day of the thaw counts', () => {
    const bag = { frozenOn: '2026-05-10', thawedOn: '2026-05-16' };
    const restOf = (one: FrozenSample | undefined, roastDate = '2026-05-08', on = TODAY) =>
      restDaysOn(roastDate, spellsOf(one, roastDate), on);
    expect(restOf(bag)).toBe(12 - 6);
    expect(restOf({ frozenOn: '2026-05-10' })).toBe(2);
    expect(restOf(undefined, '2026-05-08', addDays(TODAY, 1))).toBe(13);
    // The roast date was corrected after the bag was noted.
    expect(restOf(bag, '2026-05-12')).toBe(8 - 4);
    expect(restOf(bag, '2026-05-18')).toBe(2);
  });

  it.each([
    [{ frozenOn: '2026-05-07' }, /before the roast/],
    [{ frozenOn: '2026-05-12', thawedOn: '2026-05-11' }, /before it was frozen/],
    [{ thawedOn: '2026-05-11' }, /frozen on is not/],
    [{ frozenOn: '2026-05-25' }, /lies ahead/],
  ])('refuse days that cannot be: %j', (bag, words) => {
    expect(faultOf(() => checkFrozen(bag, '2026-05-08', TODAY)).message).toMatch(words);
  });
});
