/** How many sheets one café's link takes in: a bar writes a handful an hour, a program that is broken a thousand. */
import { userFault } from '@/core/errors';
import { clock } from '@/data/clock';
import type { Db } from '@/data/database';
import { countVisitsReceivedSince } from '@/data/cafeChecks';

const WITHIN_MS = 10 * 60_000;
const MOST_SHEETS = 30;

/** @throws UserFault `tooMany` where it is enough for now; what waits on the phone waits on. */
export function admitSheet(db: Db, partnerId: string): void {
  const since = new Date(clock.now().getTime() - WITHIN_MS).toISOString();
  if (countVisitsReceivedSince(db, partnerId, since) >= MOST_SHEETS)
    throw userFault(
      'tooMany',
      '',
      `This link sent ${MOST_SHEETS} sheets within ten minutes. Wait ten minutes, then send it again.`,
    );
}
