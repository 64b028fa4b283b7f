/** What age asks of the grinder today, in one sentence. */
import { figure } from '@/core/figure';
import type { AgeingView } from '@/views/rest';

/** Less than this is no move: no grinder is set finer by hand. House heuristic. */
const LEAST_STEPS = 0.25;

/** "half a step finer", "2 steps coarser"; to half a step. */
export function stepWords(steps: number): string {
  const halves = Math.round(2 * Math.abs(steps)) / 2;
  const way = steps > 0 ? 'finer' : 'coarser';
  if (Math.abs(steps) < LEAST_STEPS) return 'no move';
  const amount =
    halves === 0.5
      ? 'half a step'
      : halves === 1
        ? 'one step'
        : `${figure(halves, Number.isInteger(halves) ? 0 : 1)} steps`;
  return `${amount} ${way}`;
}

/** "0.3-0.8 steps finer", "1.0-1.8 coarser", "0.2 coarser to 0.4 finer". */
export function likelyWords([low, high]: readonly [number, number]): string {
  if (low >= 0) return `${figure(low, 1)}-${figure(high, 1)} steps finer`;
  if (high <= 0) return `${figure(-high, 1)}-${figure(-low, 1)} steps coarser`;
  return `${figure(-low, 1)} steps coarser to ${figure(high, 1)} finer`;
}

export function todayWords({ today, lastDay, sinceS, since }: AgeingView): string {
  if (today <= lastDay) return `Day ${today}: its last sound shot was pulled today.`;
  const seconds = `${figure(Math.abs(sinceS), 1)} s ${sinceS < 0 ? 'faster' : 'slower'}`;
  return Math.abs(since.steps) < LEAST_STEPS
    ? `Day ${today}: the setting of day ${lastDay} still holds. Up to ${seconds} is age, not you.`
    : `Day ${today}: ${stepWords(since.steps)} than on day ${lastDay}, or ${seconds} is age, not you.`;
}
