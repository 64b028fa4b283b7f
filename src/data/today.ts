/** The house's calendar day, in the time zone of the machine the server runs on. */
import { fromDate, getLocalTimeZone, toCalendarDate } from '@internationalized/date';
import { clock } from './clock';

export function today(): string {
  return toCalendarDate(fromDate(clock.now(), getLocalTimeZone())).toString();
}
