/** How many remarks come in: so many of one address in an hour, so many on one release. */
import { userFault } from '@/core/errors';
import { countRemarksSince } from '@/data/messages';
import { clock } from '@/data/clock';
import type { Db } from '@/data/database';

const HOUR_MS = 3_600_000;
const MOST_OF_ONE = 6;
const MOST_ON_RELEASE = 60;

/** Moments of the last hour, by address; forgotten with the server. */
const said = new Map<string, number[]>();

/** @throws UserFault `tooMany` where it is enough for now. */
export function admitRemark(db: Db, releaseId: string, from: string): void {
  // What a browser calls itself is its own affair: only its address counts.
  const source = from.split(',')[0]!;
  const at = clock.now().getTime();
  const since = at - HOUR_MS;
  for (const [address, moments] of said)
    if (moments.every((moment) => moment < since)) said.delete(address);
  const own = (said.get(source) ?? []).filter((moment) => moment >= since);
  const onRelease = countRemarksSince(db, releaseId, new Date(since).toISOString());
  if (own.length >= MOST_OF_ONE || onRelease >= MOST_ON_RELEASE)
    throw userFault(
      'tooMany',
      'words',
      'Many remarks came from here within the hour. Wait an hour, then send it again.',
    );
  said.set(source, [...own, at]);
}
