/** The house's calendar day, in the time zone of the machine the server runs on. */
import { getLocalTimeZone, today as todayIn } from '@internationalized/date';

export function today(): string {
  return todayIn(getLocalTimeZone()).toString();
}
