import fc from 'fast-check';
import { checkWords, gramsPerCheck, isClosed, plannedChecks, weekdayOf } from './checkPlan';
import { addDays } from './day';

const OPEN_ALWAYS = { weekdays: [], dates: [] };
const SPAN = {
  openOn: '2026-05-14',
  bestFrom: '2026-05-16',
  bestTo: '2026-05-29',
  fadesOn: '2026-06-12',
};

type Planned = Parameters<typeof plannedChecks>;
const ofSpan = (rest: Planned[0]['rest'], closed: Planned[1], count?: number) =>
  plannedChecks({ rest, rechecks: [] }, closed, count);
const daysOf = (...of: Parameters<typeof ofSpan>) => ofSpan(...of).map(({ day }) => day);

describe('the check plan', () => {
  it('checks as it opens, in the middle, at the end of the best days and as it fades', () => {
    expect(ofSpan(SPAN, OPEN_ALWAYS)).toEqual([
      { kind: 'opens', day: '2026-05-14' },
      { kind: 'middle', day: '2026-05-23' },
      { kind: 'bestEnds', day: '2026-05-29' },
      { kind: 'fades', day: '2026-06-12' },
    ]);
  });

  it('with fewer checks keeps the ones that tell most', () => {
    const kinds = (count: number) => ofSpan(SPAN, OPEN_ALWAYS, count).map(({ kind }) => kind);
    expect(kinds(2)).toEqual(['opens', 'fades']);
    expect(kinds(3)).toEqual(['opens', 'middle', 'fades']);
    expect(kinds(0)).toEqual([]);
  });

  it('moves off closed days to the next open one, none before it opens', () => {
    // 14 May 2026 is a Thursday, 29 May and 12 June are Fridays.
    const closed = { weekdays: [4, 5], dates: ['2026-05-23'] };
    expect(daysOf(SPAN, closed)).toEqual(['2026-05-16', '2026-05-24', '2026-05-30', '2026-06-13']);
  });

  it('takes a house that never opens at its word', () => {
    const never = { weekdays: [1, 2, 3, 4, 5, 6, 7], dates: [] };
    expect(daysOf(SPAN, never)).toEqual(daysOf(SPAN, OPEN_ALWAYS));
  });

  it('never plans a closed day while any day of the week is open, nor two checks of one day', () => {
    const weekdays = fc.uniqueArray(fc.integer({ min: 1, max: 7 }), { maxLength: 6 });
    fc.assert(
      fc.property(weekdays, fc.integer({ min: 0, max: 900 }), (closed, shift) => {
        const days = daysOf(
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
        expect(days[0]! >= addDays(SPAN.openOn, shift)).toBe(true);
      }),
    );
  });

  it('holds what somebody asked for on the day they said, in place of what the span plans then', () => {
    const asked = (day: string) => ({ id: day, day, why: 'two cafés run fast' });
    const rechecks = [asked('2026-05-20'), asked(SPAN.fadesOn)];
    // 20 May 2026 is a Wednesday: a closed day that somebody chose is meant.
    const closed = { weekdays: [3], dates: [] };
    const checks = plannedChecks({ rest: SPAN, rechecks }, closed);
    expect(checks.map(({ kind, day }) => [kind, day])).toEqual([
      ['opens', '2026-05-14'],
      ['asked', '2026-05-20'],
      ['middle', '2026-05-23'],
      ['bestEnds', '2026-05-29'],
      ['asked', '2026-06-12'],
    ]);
    expect(checks.map(checkWords)).toEqual([
      'as it opens',
      'asked for: two cafés run fast',
      'in the middle of its best days',
      'as its best days end',
      'asked for: two cafés run fast',
    ]);
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
