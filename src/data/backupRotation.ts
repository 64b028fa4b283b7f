/**
 * Which backups are kept: the newest of each of so many days that have one, and of each of so many weeks.
 * Pure: names in, names out.
 */
import { daysBetween } from '@/core/rest/day';

/** kettlebrand-2026-05-20-0300.sqlite; the time is the house's own. */
const NAME = /^kettlebrand-(\d{4}-\d{2}-\d{2})-(\d{4})\.sqlite$/;

export function backupName(day: string, time: string): string {
  return `kettlebrand-${day}-${time.replace(/\D/g, '').slice(0, 4)}.sqlite`;
}

/** Names of backups among these, the newest first. */
export function backupsAmong(names: readonly string[]): string[] {
  return names
    .filter((name) => NAME.test(name))
    .sort()
    .reverse();
}

const dayOfName = (name: string) => NAME.exec(name)![1]!;
/** Monday, 5 January 1970: weeks are counted from one. */
const weekOfName = (name: string) => Math.floor(daysBetween('1970-01-05', dayOfName(name)) / 7);

export interface Kept {
  readonly days: number;
  readonly weeks: number;
}

/** Backups that may go; files of other names are never among them. */
export function outdated(names: readonly string[], { days, weeks }: Kept): string[] {
  const all = backupsAmong(names);
  const newestOf = (keyOf: (name: string) => string | number, most: number) => {
    const newest = new Map<string | number, string>();
    for (const name of all) if (!newest.has(keyOf(name))) newest.set(keyOf(name), name);
    return [...newest.values()].slice(0, most);
  };
  const kept = new Set([...newestOf(dayOfName, days), ...newestOf(weekOfName, weeks)]);
  return all.filter((name) => !kept.has(name));
}
