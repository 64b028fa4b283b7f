/** Calendar days as yyyy-mm-dd, without clock or time zone: what a roast bag carries. */
export type Day = string;

const MS_PER_DAY = 86_400_000;

function dayNumber(day: Day): number {
  return Math.round(Date.parse(`${day}T00:00:00Z`) / MS_PER_DAY);
}

/** Whole days from one day to another; negative when the second is earlier. */
export function daysBetween(from: Day, to: Day): number {
  return dayNumber(to) - dayNumber(from);
}

export function addDays(day: Day, days: number): Day {
  return new Date((dayNumber(day) + days) * MS_PER_DAY).toISOString().slice(0, 10);
}
