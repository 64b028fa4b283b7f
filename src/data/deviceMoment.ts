/** When something was done that could not be sent at once: as its device says, if that can be. */
import { z } from 'zod';
import { userFault } from '@/core/errors';
import { clock } from './clock';

/** What waited for the network is at most so old; a clock may be this much ahead. */
const OLDEST_MS = 14 * 86_400_000;
const AHEAD_MS = 5 * 60_000;

/** Now when absent. */
export const deviceMoment = (of: 'shot' | 'cup' | 'check') =>
  z.iso
    .datetime({ error: `The moment of the ${of} is not a date and time. Reload the page.` })
    .optional();

/** @throws UserFault for a moment that cannot be: long ago, or yet to come. */
export function momentSaid(
  of: 'shot' | 'cup' | 'check',
  field: string,
  said: string | undefined,
): string {
  const now = clock.now().getTime();
  const at = said === undefined ? now : Date.parse(said);
  if (at < now - OLDEST_MS || at > now + AHEAD_MS)
    throw userFault(
      'badInput',
      field,
      `This ${of} says it is of another time than can be. Set the clock of this device.`,
    );
  return new Date(Math.min(at, now)).toISOString();
}
