/** The house's calendar day, in the time zone of the machine the server runs on. */
import { clock } from './clock';

export function today(): string {
  return dayOf(clock.now());
}

/** The house's calendar day of a moment: of a Date, or as it is stored. */
export function dayOf(moment: Date | string): string {
  const at = new Date(moment);
  const two = (part: number) => String(part).padStart(2, '0');
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
}
