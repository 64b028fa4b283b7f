/**
 * When a recipe should be checked over the life of a batch: the day it opens, a third into its best
 * days, the end of them, and the day it fades (model.md §5, house heuristic). Closed days are stepped
 * over: forward where something begins, backward where it ends.
 */
import { addDays, daysBetween, type Day } from './day';
import type { Rest } from './rest';

export interface ClosedDays {
  /** ISO weekdays, 1 Monday … 7 Sunday. */
  readonly weekdays: readonly number[];
  readonly dates: readonly Day[];
}

/** Shots of one check: one, and its repeat. House heuristic. */
const SHOTS_PER_CHECK = 2;

/** Days looked past before a house that never opens is taken at its word. */
const MOST_DAYS_MOVED = 21;

/** ISO weekday of a day, 1 Monday … 7 Sunday. */
export function weekdayOf(day: Day): number {
  // 5 January 1970 was a Monday.
  return ((((daysBetween('1970-01-05', day) % 7) + 7) % 7) + 1) as number;
}

export function isClosed(day: Day, { weekdays, dates }: ClosedDays): boolean {
  return weekdays.includes(weekdayOf(day)) || dates.includes(day);
}

/** The nearest open day from `day` on in a direction; `day` itself when none is found. */
function openDayFrom(day: Day, direction: 1 | -1, closed: ClosedDays): Day {
  for (let moved = 0; moved <= MOST_DAYS_MOVED; moved++) {
    const candidate = addDays(day, direction * moved);
    if (!isClosed(candidate, closed)) return candidate;
  }
  return day;
}

/** The check days of a batch, earliest first, none twice. */
export function checkDays(
  { openOn, bestFrom, bestTo, fadesOn }: Pick<Rest, 'openOn' | 'bestFrom' | 'bestTo' | 'fadesOn'>,
  closed: ClosedDays,
): Day[] {
  const third = addDays(bestFrom, Math.round(daysBetween(bestFrom, bestTo) / 3));
  const days = [
    openDayFrom(openOn, 1, closed),
    openDayFrom(third, 1, closed),
    openDayFrom(bestTo, -1, closed),
    openDayFrom(fadesOn, -1, closed),
  ];
  return [...new Set(days)].sort();
}

/** Grams one check takes: its shots and one purge of twice the retention. House heuristic. */
export function gramsPerCheck(doseG: number, retentionG: number): number {
  return SHOTS_PER_CHECK * doseG + 2 * retentionG;
}
