/** Which shots stand for a planned check of a batch, and what a check takes. */
import { gramsPerCheck, type AskedCheck, type PlannedCheck } from '@/core/rest/checkPlan';
import { daysBetween } from '@/core/rest/day';
import type { BatchView, Bench } from './shown';

/** A shot so many days from a check stands for it. House heuristic. */
const NEAR_DAYS = 1;

type Marked = Pick<BatchView, 'marks'>;
type MarkKind = BatchView['marks'][number]['kind'];

/**
 * Shots or cups of the day of a check or a day beside it. A check somebody asked for waits until it is made, and none of
 * the day before stands for it: what was pulled then is why they asked.
 */
function marksOf({ marks }: Marked, wanted: MarkKind, { kind, day }: PlannedCheck): number {
  const [from, to] = kind === 'asked' ? [0, Infinity] : [-NEAR_DAYS, NEAR_DAYS];
  return marks
    .filter((mark) => {
      const after = daysBetween(day, mark.day);
      return mark.kind === wanted && after >= from && after <= to;
    })
    .reduce((sum, { count }) => sum + count, 0);
}

export const shotsOfCheck = (batch: Marked, check: PlannedCheck): number =>
  marksOf(batch, 'shot', check);

export const cupsOfCheck = (batch: Marked, check: PlannedCheck): number =>
  marksOf(batch, 'tasting', check);

export const hasShotOn = ({ marks }: Marked, day: string): boolean =>
  marks.some((mark) => mark.kind === 'shot' && mark.day === day);

/** What was asked for of a batch and is not yet made. */
export function openRechecks(
  batch: Pick<BatchView, 'marks' | 'rechecks' | 'roastDate'>,
): readonly (AskedCheck & { readonly roastDate: string })[] {
  return batch.rechecks
    .filter((asked) => shotsOfCheck(batch, { kind: 'asked', day: asked.day }) === 0)
    .map((asked) => ({ ...asked, roastDate: batch.roastDate }));
}

/** Dose assumed before a recipe is on the bench. House heuristic: the commonest double. */
const ASSUMED_DOSE_G = 18;

/** Grams a check takes on this bench. */
export function gramsOfCheck(bench: Pick<Bench, 'draft' | 'setup'> | null): number {
  return gramsPerCheck(
    bench?.draft.recipe.doseG ?? ASSUMED_DOSE_G,
    bench?.setup.grinder.retentionG ?? 0,
  );
}
