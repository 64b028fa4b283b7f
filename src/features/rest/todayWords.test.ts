import type { AgeingView } from '@/views/rest';
import { likelyWords, stepWords, todayWords } from './todayWords';

const ageing = (today: number, steps: number, sinceS: number): AgeingView => ({
  dial: 12,
  shots: [],
  curve: [],
  lastDay: 12,
  today,
  sinceS,
  since: { steps, interval80: [steps, steps] },
  perWeek: { steps, interval80: [steps, steps] },
  isOwn: true,
  batches: 3,
  phases: [],
});

it('says how far the grinder is moved, to half a step', () => {
  expect([0.1, 0.5, 0.8, 1.4, -2.1, -0.2].map(stepWords)).toEqual([
    'no move',
    'half a step finer',
    'one step finer',
    '1.5 steps finer',
    '2 steps coarser',
    'no move',
  ]);
});

it('says an interval on either side in the words of its side', () => {
  expect(likelyWords([0.3, 0.8])).toBe('0.3-0.8 steps finer');
  expect(likelyWords([-1.8, -1])).toBe('1.0-1.8 steps coarser');
  expect(likelyWords([-0.2, 0.4])).toBe('0.2 steps coarser to 0.4 finer');
});

it('says in one sentence what age asks today', () => {
  expect(todayWords(ageing(19, 0.5, -1.4))).toBe(
    'Day 19: half a step finer than on day 12, or 1.4 s faster is age, not you.',
  );
  expect(todayWords(ageing(13, 0.1, -0.2))).toBe(
    'Day 13: the setting of day 12 still holds. Up to 0.2 s faster is age, not you.',
  );
  expect(todayWords(ageing(12, 0, 0))).toBe('Day 12: its last sound shot was pulled today.');
});
