/** How old a batch is, as every page says it. Pure. */
import type { Message } from '../message';
import { daysBetween, type Day } from '../rest/day';
import type { Rest } from '../rest/rest';

/** Roasted after the day it is looked at: its date is wrong, or the clock of this machine is. */
export const isRoastAhead = (roastDate: Day, today: Day): boolean =>
  daysBetween(roastDate, today) < 0;

/** "Day 12, best"; where its roast lies ahead, that. */
export const batchAge = (
  batch: { readonly roastDate: Day; readonly rest: Pick<Rest, 'restDays' | 'state'> },
  today: Day,
  at: 'inside' | 'start' = 'start',
): Message => ({
  id: 'state.age',
  values: {
    at,
    restDays: batch.rest.restDays,
    state: isRoastAhead(batch.roastDate, today) ? 'ahead' : batch.rest.state,
  },
});
