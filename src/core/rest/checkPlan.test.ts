import fc from 'fast-check';
import { checkDays, gramsPerCheck, isClosed, weekdayOf } from './checkPlan';
import { addDays } from './day';

const OPEN_ALWAYS = { weekdays: [], dates: [] };
const SPAN = {
  openOn: '2026-05-14',
  bestFrom: '2026-05-16',
  bestTo: '2026-05-29',
  fadesOn: '2026-06-12',
};

describe('the check plan', () => {
  it('checks as it opens, a third in, at the end of the best days and as it fades', () => {
    expect(checkDays(SPAN, OPEN_ALWAYS)).toEqual([
      '2026-05-14',
      '2026-05-20',
      '2026-05-29',
      '2026-06-12',
    ]);
  });

  it('steps over closed days: on where something begins, back where it ends', () => {
    // 14 May 2026 is a Thursday, 29 May a Friday.
    const closed = { weekdays: [4, 5], dates: ['2026-05-20'] };
    expect(checkDays(SPAN, closed)).toEqual([
      '2026-05-16',
      '2026-05-23',
      '2026-05-27',
      '2026-06-10',
    ]);
  });

  it('takes a house that never opens at its word', () => {
    const never = { weekdays: [1, 2, 3, 4, 5, 6, 7], dates: [] };
    expect(checkDays(SPAN, never)).toEqual(checkDays(SPAN, OPEN_ALWAYS));
  });

  it('never plans a closed day while any day of the week is open', () => {
    const weekdays = fc.uniqueArray(fc.integer({ min: 1, max: 7 }), { maxLength: 6 });
    fc.assert(
      fc.property(weekdays, fc.integer({ min: 0, max: 900 }), (closed, shift) => {
        const days = checkDays(
          {
            openOn: addDays(SPAN.openOn, shift),
            bestFrom: addDays(SPAN.bestFrom, shift),
            bestTo: addDays(SPAN.bestTo, shift),
            fadesOn: addDays(SPAN.fadesOn, shift),
          },
          { weekdays: closed, dates: [] },
        );
        expect(days.some((day) => isClosed(day, { weekdays: closed, dates: [] }))).toBe(false);
        expect(days).toEqual([...new Set(days)].sort());
      }),
    );
  });

  it('knows the days of the week', () => {
    expect(weekdayOf('2026-11-23')).toBe(1);
    expect(weekdayOf('2024-02-29')).toBe(4);
    expect(weekdayOf('1969-12-28')).toBe(7);
  });

  it('needs two doses and a purge', () => {
    expect(gramsPerCheck(18, 2)).toBe(40);
  });
});
