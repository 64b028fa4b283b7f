/**
 * Days and moments as people write them. Formatters are made once: making one costs far more than
 * using it.
 */
const DAY = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  timeZone: 'UTC',
});
const SHORT_DAY = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  timeZone: 'UTC',
});
const moments = new Map<string, Intl.DateTimeFormat>();

function momentIn(timeZone: string): Intl.DateTimeFormat {
  const known = moments.get(timeZone);
  if (known) return known;
  const made = new Intl.DateTimeFormat('en-GB', {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    hour: '2-digit',
    minute: '2-digit',
    timeZone,
  });
  moments.set(timeZone, made);
  return made;
}

/** A day (or the day of a moment): 3 Mar 2026. */
export function dayWords(day: string): string {
  return DAY.format(new Date(`${day.slice(0, 10)}T00:00:00Z`));
}

/** "3 Mar", where the year is plain. */
export function shortDayWords(day: string): string {
  return SHORT_DAY.format(new Date(`${day.slice(0, 10)}T00:00:00Z`));
}

/** A moment to the minute in a time zone: 3 Mar 2026, 06:42. */
export function momentWords(moment: string, timeZone: string): string {
  return momentIn(timeZone).format(new Date(moment));
}
