import { usualTimeS, type TimeAtCafe } from './usualTime';

const at = (cafe: string, coffee: string, timeS: number): TimeAtCafe => ({ cafe, coffee, timeS });
const TIMES = [
  at('a', 'blend', 28),
  at('b', 'blend', 27),
  at('lever', 'blend', 43),
  at('a', 'single', 31),
];

it('is a café’s own, else that of most cafés, else that of most coffees', () => {
  expect(usualTimeS(TIMES, 'blend', 'lever')).toBe(43);
  // One café on a lever moves nobody else's seconds.
  expect(usualTimeS(TIMES, 'blend')).toBe(28);
  expect(usualTimeS(TIMES, 'blend', 'new')).toBe(28);
  expect(usualTimeS(TIMES, null, 'a')).toBe(29.5);
  expect(usualTimeS(TIMES, null)).toBe(29.5);
  expect(usualTimeS(TIMES, 'never served', 'a')).toBe(29.5);
  expect(usualTimeS([], 'blend', 'a')).toBe(28);
});
