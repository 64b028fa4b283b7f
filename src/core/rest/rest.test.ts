import fc from 'fast-check';
import { faultOf } from '../../../tests/support/fault';
import { addDays, daysBetween } from './day';
import { restDaysOn, restOn, restSpan, restState } from './rest';
import { REST_SCHOOLS } from '../vocabulary';

const batch = { roastDate: '2026-03-01', roastLevel: 0, school: 'byRoast', frozen: [] } as const;

describe('rest span', () => {
  it('reproduces the table and is linear between its rows', () => {
    expect(restSpan(0, 'byRoast')).toEqual({ opens: 6, bestFrom: 8, bestTo: 21, fades: 35 });
    expect(restSpan(-2, 'byRoast')).toEqual({ opens: 14, bestFrom: 21, bestTo: 45, fades: 63 });
    expect(restSpan(-0.5, 'byRoast')).toEqual({ opens: 8, bestFrom: 11, bestTo: 28, fades: 42 });
    expect(restSpan(2, 'byRoast').opens).toBe(2);
  });

  it('holds the patient school back and lengthens its end', () => {
    expect(restSpan(1, 'patient')).toEqual({ opens: 18, bestFrom: 21, bestTo: 30, fades: 42 });
  });

  it('keeps its days in order for every school and roast', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -2, max: 2, noNaN: true }),
        fc.constantFrom(...REST_SCHOOLS),
        (roastLevel, school) => {
          const { opens, bestFrom, bestTo, fades } = restSpan(roastLevel, school);
          expect([opens, bestFrom, bestTo, fades]).toEqual(
            [opens, bestFrom, bestTo, fades].sort((a, b) => a - b),
          );
        },
      ),
    );
  });
});

describe('rest on a day', () => {
  it('counts calendar days, across a change of the clocks', () => {
    expect(daysBetween('2026-03-28', '2026-03-30')).toBe(2);
    expect(restOn({ ...batch, on: '2026-03-11' })).toMatchObject({
      restDays: 10,
      state: 'best',
      openOn: '2026-03-07',
      bestTo: '2026-03-22',
    });
  });

  it('does not count frozen days; the thaw day counts', () => {
    const frozen = [{ from: '2026-03-06', to: '2026-03-16' }];
    const rest = restOn({ ...batch, frozen, on: '2026-03-17' });
    expect(rest.restDays).toBe(6);
    expect(rest.state).toBe('open');
    expect(rest.openOn).toBe('2026-03-17');
  });

  it('stands still while frozen', () => {
    const frozen = [{ from: '2026-03-06' }];
    expect(restDaysOn('2026-03-01', frozen, '2026-05-01')).toBe(5);
  });

  it('agrees with itself: on the day it opens it has rested its opening days', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 20 }),
        fc.integer({ min: 1, max: 20 }),
        fc.double({ min: -2, max: 2, noNaN: true }),
        (start, length, roastLevel) => {
          const from = addDays('2026-03-01', start + 1);
          const frozen = [{ from, to: addDays(from, length) }];
          const input = { ...batch, roastLevel, frozen, on: '2026-09-01' };
          const { openOn } = restOn(input);
          const { opens } = restSpan(roastLevel, 'byRoast');
          expect(restDaysOn('2026-03-01', frozen, openOn)).toBe(Math.round(opens));
        },
      ),
    );
  });

  it('refuses a roast in the future and spells out of order', () => {
    expect(faultOf(() => restOn({ ...batch, on: '2026-02-01' })).message).toMatch(/future/);
    const frozen = [{ from: '2026-02-20', to: '2026-03-05' }];
    expect(faultOf(() => restOn({ ...batch, frozen, on: '2026-03-11' })).message).toMatch(
      /frozen spell/,
    );
  });

  it('warns when a light roast is used as fresh as possible', () => {
    const rest = restOn({ ...batch, roastLevel: -1, school: 'early', on: '2026-03-04' });
    expect(rest.warnings.map((w) => w.code)).toEqual(['earlyForLight']);
    expect(restState(40, restSpan(0, 'byRoast'))).toBe('fading');
  });
});
