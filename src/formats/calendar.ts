/** Planned checks as an iCalendar file (RFC 5545), written by a kept library; an event keeps its id, so that a second import updates it. */
import { createEvents, type DateArray, type EventAttributes } from 'ics';
import { addDays } from '@/core/rest/day';

export interface CalendarEvent {
  /** Stable: the same check on another day is the same event. */
  readonly id: string;
  /** yyyy-mm-dd. */
  readonly day: string;
  readonly title: string;
  readonly words: string;
}

const dateOf = (day: string) => day.split('-').map(Number) as unknown as DateArray;

/** @param sequence grows with each making: readers take the newest of an event. */
export function calendarOf(
  name: string,
  events: readonly CalendarEvent[],
  sequence: number,
): string {
  if (events.length === 0) return EMPTY(name);
  const { error, value } = createEvents(
    events.map(({ id, day, title, words }): EventAttributes => ({
      uid: `${id}@kettlebrand`,
      sequence,
      start: dateOf(day),
      // An event of a whole day ends on the day after.
      end: dateOf(addDays(day, 1)),
      title,
      description: words,
      calName: name,
      productId: PRODUCT,
      transp: 'TRANSPARENT',
    })),
  );
  if (error || !value) throw error ?? new Error('the calendar was not written');
  return value;
}

const PRODUCT = '-//Kettlebrand//Checks//EN';

/** The library writes no calendar without an event. */
const EMPTY = (name: string) =>
  [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    `PRODID:${PRODUCT}`,
    `X-WR-CALNAME:${name}`,
    'END:VCALENDAR',
    '',
  ].join('\r\n');
