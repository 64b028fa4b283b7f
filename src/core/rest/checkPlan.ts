/**
 * When a recipe should be checked over the life of a batch: the day it opens and the day it fades tell most, then the
 * middle of its best days, then their end (model.md §5, house heuristic). Checks move off closed days outwards, so that
 * the span they hold is never shorter than the card's: the first back, the others on.
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

/** What a check is for, in the order in which checks tell most. */
export const CHECK_KINDS = ['opens', 'fades', 'middle', 'bestEnds'] as const;
export type CheckKind = (typeof CHECK_KINDS)[number];

export const CHECK_LABELS: Record<CheckKind, string> = {
  opens: 'As it opens',
  middle: 'In the middle of its best days',
  bestEnds: 'As its best days end',
  fades: 'As it fades',
};

export interface PlannedCheck {
  readonly kind: CheckKind;
  readonly day: Day;
}

type Days = Pick<Rest, 'openOn' | 'bestFrom' | 'bestTo' | 'fadesOn'>;

/**
 * The checks of a batch, earliest first, none on the day of another.
 * @param count so many at most, the most telling first.
 */
export function plannedChecks(
  { openOn, bestFrom, bestTo, fadesOn }: Days,
  closed: ClosedDays,
  count: number = CHECK_KINDS.length,
): PlannedCheck[] {
  const middle = addDays(bestFrom, Math.round(daysBetween(bestFrom, bestTo) / 2));
  const dayOf: Record<CheckKind, Day> = {
    opens: openDayFrom(openOn, -1, closed),
    middle: openDayFrom(middle, 1, closed),
    bestEnds: openDayFrom(bestTo, 1, closed),
    fades: openDayFrom(fadesOn, 1, closed),
  };
  const taken = new Set<Day>();
  return CHECK_KINDS.slice(0, count)
    .flatMap((kind): PlannedCheck[] => {
      const day = dayOf[kind];
      if (taken.has(day)) return [];
      taken.add(day);
      return [{ kind, day }];
    })
    .sort((a, b) => daysBetween(b.day, a.day));
}

/** Grams one check takes: its shots and one purge of twice the retention. House heuristic. */
export function gramsPerCheck(doseG: number, retentionG: number): number {
  return SHOTS_PER_CHECK * doseG + 2 * retentionG;
}
