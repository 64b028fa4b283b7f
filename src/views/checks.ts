/** Which shots stand for a planned check of a batch. */
import { daysBetween } from '@/core/rest/day';
import type { BatchView } from './shown';

/** A shot so many days from a check stands for it. House heuristic. */
const NEAR_DAYS = 1;

/** Shots pulled on the day of a check or the day beside it. */
export function shotsNear({ marks }: Pick<BatchView, 'marks'>, day: string): number {
  return marks
    .filter((mark) => mark.kind === 'shot' && Math.abs(daysBetween(day, mark.day)) <= NEAR_DAYS)
    .reduce((sum, { count }) => sum + count, 0);
}
