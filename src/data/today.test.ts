import fc from 'fast-check';
import { dayOf, momentOf, timeOf } from './today';

describe('a moment of the house', () => {
  it('comes back as the day and time it was made of', () => {
    fc.assert(
      fc.property(
        fc.date({ min: new Date('2020-01-02'), max: new Date('2035-12-30'), noInvalidDate: true }),
        fc.integer({ min: 6, max: 23 }),
        fc.integer({ min: 0, max: 59 }),
        (date, hour, minute) => {
          const day = dayOf(date);
          const time = `${hour}:${String(minute).padStart(2, '0')}`;
          const moment = momentOf(day, time);
          expect(dayOf(moment)).toBe(day);
          expect(timeOf(moment)).toBe(`${time.padStart(5, '0')}:00`);
        },
      ),
    );
  });

  it('keeps rows of one minute in their order, and takes seconds', () => {
    const moments = [0, 1, 2].map((order) => momentOf('2026-03-04', '9:05', order));
    expect([...moments].sort()).toEqual(moments);
    expect(timeOf(momentOf('2026-03-04', '9:05:30'))).toBe('09:05:30');
    expect(timeOf(momentOf('2026-03-04'))).toBe('12:00:00');
  });
});
