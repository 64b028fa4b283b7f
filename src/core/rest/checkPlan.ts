/**
 * When a recipe should be checked over the life of a batch: the day it opens and the day it fades tell most, then the
 * middle of its best days, then their end (house heuristic). Checks move off closed days to the next open one: before it
 * opens there is nothing to check. What somebody asked for stands on the day they said.
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

/** The first day on which somebody is there, from `day` on; `day` itself when none is found. */
export function nextOpenDay(day: Day, closed: ClosedDays): Day {
  for (let moved = 0; moved <= MOST_DAYS_MOVED; moved++) {
    const candidate = addDays(day, moved);
    if (!isClosed(candidate, closed)) return candidate;
  }
  return day;
}

/** Checks of a span, in the order in which they tell most. */
const SPAN_KINDS = ['opens', 'fades', 'middle', 'bestEnds'] as const;

/** What a check is for, in the order in which checks tell most: first what somebody asked for. */
export const CHECK_KINDS = ['asked', ...SPAN_KINDS] as const;
export type CheckKind = (typeof CHECK_KINDS)[number];

export const CHECK_LABELS: Record<CheckKind, string> = {
  asked: 'Asked for',
  opens: 'As it opens',
  middle: 'In the middle of its best days',
  bestEnds: 'As its best days end',
  fades: 'As it fades',
};

/** A check somebody asked for. */
export interface AskedCheck {
  readonly id: string;
  readonly day: Day;
  readonly why: string;
}

export interface PlannedCheck {
  readonly kind: CheckKind;
  readonly day: Day;
  /** For one that was asked for. */
  readonly asked?: AskedCheck;
}

type Days = Pick<Rest, 'openOn' | 'bestFrom' | 'bestTo' | 'fadesOn'>;

interface ToCheck {
  readonly rest: Days;
  /** What somebody asked for. */
  readonly rechecks: readonly AskedCheck[];
}

/**
 * The checks of a batch, earliest first, none on the day of another: one that was asked for stands in for what the span
 * plans that day.
 * @param count so many of the span's at most, the most telling first.
 */
export function plannedChecks(
  { rest: { openOn, bestFrom, bestTo, fadesOn }, rechecks }: ToCheck,
  closed: ClosedDays,
  count: number = SPAN_KINDS.length,
): PlannedCheck[] {
  const middle = addDays(bestFrom, Math.round(daysBetween(bestFrom, bestTo) / 2));
  const dayOf: Record<(typeof SPAN_KINDS)[number], Day> = {
    opens: nextOpenDay(openOn, closed),
    middle: nextOpenDay(middle, closed),
    bestEnds: nextOpenDay(bestTo, closed),
    fades: nextOpenDay(fadesOn, closed),
  };
  const all: readonly PlannedCheck[] = [
    ...rechecks.map((asked) => ({ kind: 'asked' as const, day: asked.day, asked })),
    ...SPAN_KINDS.slice(0, count).map((kind) => ({ kind, day: dayOf[kind] })),
  ];
  const byDay = new Map<Day, PlannedCheck>();
  for (const check of all) if (!byDay.has(check.day)) byDay.set(check.day, check);
  return [...byDay.values()].sort((a, b) => daysBetween(b.day, a.day));
}

/** What a check is for, in words: "as it opens", "asked for: two cafés run fast". */
export function checkWords({ kind, asked }: Pick<PlannedCheck, 'kind' | 'asked'>): string {
  const words = CHECK_LABELS[kind].toLowerCase();
  return asked && asked.why !== '' ? `${words}: ${asked.why}` : words;
}

/** Grams one check takes: its shots and one purge of twice the retention. House heuristic. */
export function gramsPerCheck(doseG: number, retentionG: number): number {
  return SHOTS_PER_CHECK * doseG + 2 * retentionG;
}
