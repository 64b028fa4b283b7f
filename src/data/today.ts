/** The house's calendar day, in its time zone: the server lives in it (timeZone.ts). */
import { clock } from './clock';

export function today(): string {
  return dayOf(clock.now());
}

const two = (part: number) => String(part).padStart(2, '0');

/** The house's calendar day of a moment: of a Date, or as it is stored. */
export function dayOf(moment: Date | string): string {
  const at = new Date(moment);
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
}

/** The house's time of day of a stored moment, hh:mm:ss. */
export function timeOf(moment: string): string {
  const at = new Date(moment);
  return `${two(at.getHours())}:${two(at.getMinutes())}:${two(at.getSeconds())}`;
}

const NOON = '12:00';

/** The moment of a house's day and time; `order` keeps rows of one minute in order, by milliseconds. */
export function momentOf(day: string, time = NOON, order = 0): string {
  const at = new Date(`${day}T${time.padStart(time.length > 5 ? 8 : 5, '0')}`);
  return new Date(at.getTime() + order).toISOString();
}
