/** The secret in the address of the calendar of checks. */
import { prepared, type Db } from './database';

/** Null before somebody asked for an address. */
export function findCalendarSecret(db: Db): string | null {
  const row = prepared(db, 'SELECT calendar_secret AS secret FROM house WHERE id = 1').get() as
    { secret: string | null } | undefined;
  return row?.secret ?? null;
}

/** Whoever had the address before reads nothing from then on. */
export function setCalendarSecret(db: Db, secret: string): void {
  prepared(db, 'UPDATE house SET calendar_secret = ? WHERE id = 1').run(secret);
}
