import { chanceFrom } from '../random';
import { bestDays, type TastedDay } from './likingByRest';
import { restSpan } from './rest';

const MEDIUM = restSpan(0, 'byRoast');

/** Liking of a coffee whose good days are 8 to `to`, falling a point in 14 days after. */
const daysOf = (to: number, seed: number, noise = 0.3): TastedDay[] => {
  const chance = chanceFrom(seed);
  return [7, 10, 14, 18, 22, 26, 30, 34].map((restDays) => ({
    restDays,
    liking: 7.2 - 2 * Math.max(0, (restDays - to) / 14) ** 2 + noise * chance.normal(),
    cups: 4,
  }));
};

it('without cups it is the school, and no day may move', () => {
  const { from, to } = bestDays([], MEDIUM);
  expect(from).toMatchObject({ school: 8, differs: false });
  expect(to).toMatchObject({ school: 21, differs: false });
  expect(Math.abs(to.mean - 21)).toBeLessThan(1);
  expect(from.interval80[0]).toBeLessThan(8);
  expect(from.interval80[1]).toBeGreaterThan(8);
});

it('a coffee that stays good long after the school moves the last day, after many batches of cups', () => {
  const once = bestDays([daysOf(32, 1)], MEDIUM).to;
  const often = bestDays(
    Array.from({ length: 8 }, (_, i) => daysOf(32, i)),
    MEDIUM,
  ).to;
  expect(often.mean).toBeGreaterThan(once.mean);
  expect(often.mean).toBeGreaterThan(25);
  expect(often.differs).toBe(true);
  expect(often.interval80[1] - often.interval80[0]).toBeLessThan(
    once.interval80[1] - once.interval80[0],
  );
});

it('cups of a coffee that follows its school leave the school’s days', () => {
  for (const seed of [1, 2, 3, 4]) {
    const { from, to } = bestDays([daysOf(21, seed)], MEDIUM);
    expect(to.differs).toBe(false);
    expect(from.differs).toBe(false);
  }
});

it('how generous the tasters were changes nothing much: the level is integrated out', () => {
  const days = daysOf(30, 5, 0);
  const lower = days.map((day) => ({ ...day, liking: day.liking - 0.4 }));
  expect(
    Math.abs(bestDays([days], MEDIUM).to.mean - bestDays([lower], MEDIUM).to.mean),
  ).toBeLessThan(0.5);
});
