/**
 * The house's time zone. The whole server lives in it, so that days and hours are the house's wherever the
 * machine stands: Node counts local time by TZ, also when it is set while it runs.
 */
import type { House } from './house';

/** The machine's own, before a house says otherwise. */
const MACHINES = process.env.TZ;

export function liveIn(timeZone: string): void {
  if (timeZone !== '') process.env.TZ = timeZone;
  else if (MACHINES === undefined) delete process.env.TZ;
  else process.env.TZ = MACHINES;
}

/** By name; the machine's where the house says none. */
export const zoneOf = ({ timeZone }: Pick<House, 'timeZone'>): string =>
  timeZone === '' ? Intl.DateTimeFormat().resolvedOptions().timeZone : timeZone;
