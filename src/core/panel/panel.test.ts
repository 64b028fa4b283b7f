import { say } from '@/words/say';
import fc from 'fast-check';
import { faultOf } from '../../../tests/support/fault';
import {
  minimumCorrect,
  pairedPreference,
  powerOf,
  ranking,
  repeatabilitySd,
  triangle,
} from './panel';

describe('worked figures (9)', () => {
  it('paired preference, triangle and ranking are exact', () => {
    expect(pairedPreference(12, 10).pValue).toBeCloseTo(0.03857, 5);
    expect(pairedPreference(12, 2).pValue).toBeCloseTo(0.03857, 5);
    expect(triangle(12, 8).pValue).toBeCloseTo(0.01876, 5);
    // Rank sums 7, 13, 16.
    const { statistic, pValue } = ranking([
      [1, 2, 3],
      [1, 2, 3],
      [1, 2, 3],
      [1, 3, 2],
      [1, 3, 2],
      [2, 1, 3],
    ]);
    expect(statistic).toBeCloseTo(7, 10);
    expect(pValue).toBeCloseTo(0.02894, 5);
  });

  it('tells the least count that shows a difference, and the power beforehand', () => {
    const least = (test: 'paired' | 'triangle', ...ns: number[]) =>
      ns.map((n) => minimumCorrect(test, n));
    expect(least('triangle', 6, 12, 18, 24, 30)).toEqual([5, 8, 10, 13, 15]);
    expect(least('paired', 10, 12, 20, 30)).toEqual([9, 10, 15, 21]);
    expect(powerOf('paired', 12, 0.75)).toBeCloseTo(0.39, 2);
    expect(powerOf('paired', 30, 0.75)).toBeCloseTo(0.8, 2);
  });
});

it('never calls what it did not find "the same", and says how little it could see', () => {
  for (const { decision, message } of [pairedPreference(6, 4), triangle(6, 3)]) {
    expect(decision).toBe('noneFound');
    expect(say(message)).toMatch(/does not make them the same.*\d+ times in 100/);
  }
  expect(say(pairedPreference(4, 4).message)).toMatch(/no count of 4 can show one/);
});

it('refuses more answers than tasters, and ranks that are none', () => {
  expect(faultOf(() => triangle(6, 7)).message).toMatch(/more than the 6 who tasted/);
  expect(faultOf(() => ranking([[1, 2]])).message).toMatch(/three cups or more/);
  const twice = [
    [1, 2, 3],
    [1, 1, 3],
  ];
  expect(faultOf(() => ranking(twice)).message).toMatch(/Taster 2 did not rank/);
});

it('a guessing panel is told of a difference at most one time in twenty', () => {
  fc.assert(
    fc.property(
      fc.constantFrom('paired' as const, 'triangle' as const),
      fc.integer({ min: 1, max: 60 }),
      (test, n) => {
        expect(powerOf(test, n, test === 'paired' ? 1 / 2 : 1 / 3)).toBeLessThanOrEqual(
          0.05 + 1e-12,
        );
      },
    ),
  );
});

it('exact ranking agrees with chi-square where a panel is large', () => {
  const rows = Array.from(
    { length: 30 },
    (_, i) =>
      [
        [1, 2, 3],
        [1, 3, 2],
        [2, 1, 3],
        [3, 1, 2],
      ][i % 4]!,
  );
  const { pValue, statistic } = ranking(rows);
  // χ² with two degrees: e^(−q/2).
  expect(pValue).toBeCloseTo(Math.exp(-statistic! / 2), 2);
});

it('duplicates move a taster’s repeatability from what is usual to their own', () => {
  expect(repeatabilitySd([])).toBeCloseTo(0.8, 10);
  expect(repeatabilitySd(Array<number>(40).fill(0))).toBeLessThan(0.35);
  expect(repeatabilitySd(Array<number>(40).fill(4))).toBeGreaterThan(2);
});
