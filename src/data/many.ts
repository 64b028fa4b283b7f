/** Reading rows of many things at once: one statement however many they are. */
import { groupBy } from '@/core/patterns/groupBy';
import { prepared, type Db } from './database';

/** Ids as one parameter, for `IN ${IDS}`. */
export const IDS = '(SELECT value FROM json_each(?))';

/** What a statement gives for these ids, grouped by the column that is called `owner`. */
export function groupedByOwner<T>(
  db: Db,
  sql: string,
  ids: readonly string[],
  complete: (row: unknown) => T,
): (owner: string) => readonly T[] {
  const rows = prepared(db, sql).all(JSON.stringify(ids)) as { owner: string }[];
  const groups = groupBy(rows, ({ owner }) => owner);
  const completed = new Map([...groups].map(([owner, group]) => [owner, group.map(complete)]));
  return (owner) => completed.get(owner) ?? [];
}
