import { ALARM, alarmsInWindow, judged, opening, withRoom, type CafeAlarm } from './alarms';
import type { StepSignal } from './evidence';

const signal = (probability: number, part: Partial<StepSignal> = {}): StepSignal => ({
  coffee: null,
  fromDay: 40,
  size: -0.1,
  sd: 0.03,
  probability,
  ...part,
});

const alarm = (part: Partial<CafeAlarm> = {}): CafeAlarm => ({
  coffee: null,
  fromDay: 40,
  openedDay: 41,
  state: 'open',
  probability: 0.9,
  size: -0.1,
  sd: 0.03,
  ...part,
});

describe('an alarm opens', () => {
  const visits = (days: readonly number[], coffees = ['blend']) =>
    days.map((atDay) => ({ atDay, coffees }));
  const at = { nowDay: 42, visits: visits([36, 37, 38, 40, 41]) };

  it('as the likeliest kind, when all kinds together are likely enough', () => {
    const together = [signal(0.5, { coffee: 'blend' }), signal(0.36)];
    expect(opening(together, [], at)).toMatchObject({
      coffee: 'blend',
      fromDay: 40,
      openedDay: 42,
      state: 'open',
      probability: 0.86,
    });
    expect(opening([signal(0.5), signal(0.34)], [], at)).toBeNull();
    expect(opening([], [], at)).toBeNull();
  });

  it('once three visits lie before its start, and never within two days of another', () => {
    const sure = [signal(0.99)];
    expect(opening(sure, [], { nowDay: 42, visits: visits([38, 39, 40, 41]) })).toBeNull();
    expect(opening(sure, [], { nowDay: 42, visits: visits([37, 38, 39, 40]) })).not.toBeNull();
    // Of the coffee it is about.
    const ofOne = [signal(0.99, { coffee: 'single' })];
    expect(opening(ofOne, [], at)).toBeNull();
    const both = visits([36, 37, 38], ['blend', 'single']);
    expect(opening(ofOne, [], { nowDay: 42, visits: both })).not.toBeNull();
    expect(opening(sure, [alarm({ openedDay: 40.5 })], at)).toBeNull();
    expect(opening(sure, [alarm({ openedDay: 40 })], at)).not.toBeNull();
  });
});

describe('an open alarm', () => {
  it('is withdrawn when the checks no longer say so, and keeps what it was', () => {
    const after = judged(alarm(), [signal(0.29)], 43);
    expect(after).toEqual({ ...alarm(), state: 'withdrawn', probability: 0.29 });
    expect(judged(alarm(), [], 43).state).toBe('withdrawn');
  });

  it('moves its start and its kind to what the checks say now, and not the day it was opened', () => {
    const after = judged(alarm(), [signal(0.8, { coffee: 'single', fromDay: 39.5 })], 43);
    expect(after).toMatchObject({ coffee: 'single', fromDay: 39.5, openedDay: 41, state: 'open' });
  });

  it('is kept once it has stood for five days', () => {
    expect(judged(alarm(), [signal(0.8)], 41 + ALARM.openDays - 0.1).state).toBe('open');
    expect(judged(alarm(), [signal(0.8)], 41 + ALARM.openDays).state).toBe('kept');
  });
});

describe('steps in the fit', () => {
  it('are those that stand and whose start is in the window', () => {
    const all = [
      alarm({ fromDay: 10 }),
      alarm({ fromDay: 13 }),
      alarm({ fromDay: 30, state: 'withdrawn' }),
      alarm({ fromDay: 35, state: 'kept' }),
    ];
    expect(alarmsInWindow(all, 40.5).map(({ fromDay }) => fromDay)).toEqual([13, 35]);
  });

  it('make room by their oldest start', () => {
    const all = [30, 12, 25].map((fromDay) => alarm({ fromDay }));
    expect(withRoom(all).map(({ fromDay }) => fromDay)).toEqual([25, 30]);
  });
});
