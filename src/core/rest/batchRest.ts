/**
 * Rest days of a batch at a moment of its life: the one rule for shots, marks, models and cards.
 * Whole days, 0-365; derived on every reading, so that a corrected roast date corrects them all.
 */
import { LIMITS } from '../limits';
import type { Day } from './day';
import { restDaysOn, type FrozenSpell } from './rest';

export interface Rested {
  readonly roastDate: Day;
  readonly frozen?: readonly FrozenSpell[];
}

/**
 * Rest days of a batch on a day. A day before the roast counts as the roast day (a clock set back must
 * not close a page); a year or more counts as a year: no rule knows more.
 */
export function batchRestDays({ roastDate, frozen = [] }: Rested, on: Day): number {
  return Math.min(LIMITS.restDays.max, Math.max(0, restDaysOn(roastDate, frozen, on)));
}
