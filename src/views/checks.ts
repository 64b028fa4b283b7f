/** Which shots stand for a planned check of a batch, and what a check takes. */
import { gramsPerCheck } from '@/core/rest/checkPlan';
import { daysBetween } from '@/core/rest/day';
import type { BatchView, Bench } from './shown';

/** A shot so many days from a check stands for it. House heuristic. */
const NEAR_DAYS = 1;

type Marked = Pick<BatchView, 'marks'>;

function marksNear(
  { marks }: Marked,
  kind: BatchView['marks'][number]['kind'],
  day: string,
): number {
  return marks
    .filter((mark) => mark.kind === kind && Math.abs(daysBetween(day, mark.day)) <= NEAR_DAYS)
    .reduce((sum, { count }) => sum + count, 0);
}

/** Shots pulled on the day of a check or the day beside it. */
export const shotsNear = (batch: Marked, day: string): number => marksNear(batch, 'shot', day);

/** Cups tasted then. */
export const cupsNear = (batch: Marked, day: string): number => marksNear(batch, 'tasting', day);

/** Dose assumed before a recipe is on the bench. House heuristic: the commonest double. */
const ASSUMED_DOSE_G = 18;

/** Grams a check takes on this bench. */
export function gramsOfCheck(bench: Pick<Bench, 'draft' | 'setup'> | null): number {
  return gramsPerCheck(
    bench?.draft.recipe.doseG ?? ASSUMED_DOSE_G,
    bench?.setup.grinder.retentionG ?? 0,
  );
}
