/**
 * When a café checks: its times of day, its closed days, and which of the checks that were due were made. Moments are
 * counted in days of the café's own clock, so that summer time and borders need no arithmetic.
 */
const MS_PER_DAY = 86_400_000;
const zones = new Map<string, Intl.DateTimeFormat>();

function zone(timeZone: string): Intl.DateTimeFormat {
  const known = zones.get(timeZone);
  if (known) return known;
  const made = new Intl.DateTimeFormat('en-GB', {
    timeZone,
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  });
  zones.set(timeZone, made);
  return made;
}

/** Days since 1 Jan 1970 by the clock on the wall there, with the fraction of the day. */
export function localDay(moment: string, timeZone: string): number {
  const of = Object.fromEntries(
    zone(timeZone)
      .formatToParts(new Date(moment))
      .map(({ type, value }) => [type, Number(value)]),
  );
  return Date.UTC(of.year!, of.month! - 1, of.day, of.hour, of.minute) / MS_PER_DAY;
}

export interface CheckPlan {
  /** Fractions of the day, in order. */
  readonly times: readonly number[];
  /** 0 Sunday … 6 Saturday. */
  readonly closed: readonly number[];
}

export interface DueCheck {
  /** Local moment it was due at, days. */
  readonly atDay: number;
  readonly isMade: boolean;
}

/** A check counts for the time it is nearest to; one is missed when it is this late, h. */
const GRACE_DAYS = 2 / 24;

/** Weekday of a day since 1 Jan 1970, a Thursday. */
export function weekdayOf(day: number): number {
  return (Math.floor(day) + 4) % 7;
}

/** What was due from one moment until another, oldest first; what is still within its grace is left out. */
export function dueChecks(
  { times, closed }: CheckPlan,
  visitDays: readonly number[],
  fromDay: number,
  untilDay: number,
): DueCheck[] {
  const due: DueCheck[] = [];
  const borders = times.map((time, i) => (i === 0 ? 0 : (time + times[i - 1]!) / 2));
  for (let day = Math.floor(fromDay); day <= Math.floor(untilDay); day++) {
    if (closed.includes(weekdayOf(day))) continue;
    times.forEach((time, i) => {
      const atDay = day + time;
      if (atDay < fromDay) return;
      const start = day + borders[i]!;
      const end = day + (borders[i + 1] ?? 1);
      const isMade = visitDays.some((made) => made >= start && made < end);
      if (isMade || atDay + GRACE_DAYS <= untilDay) due.push({ atDay, isMade });
    });
  }
  return due;
}

/** "7:00, 10:30" as fractions of a day in order; null where one is no time of day. */
export function readTimes(typed: string): number[] | null {
  const times = typed
    .split(/[,;\s]+/)
    .filter((part) => part !== '')
    .map((part) => /^([01]?\d|2[0-3])[:.h]([0-5]\d)$/.exec(part));
  if (times.some((found) => found === null)) return null;
  const fractions = times.map((found) => (Number(found![1]) + Number(found![2]) / 60) / 24);
  return [...new Set(fractions)].sort((a, b) => a - b);
}
