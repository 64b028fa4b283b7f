/** The event log: who did what when, and the guard that makes a repeated submission count once. */
import { z } from 'zod';
import { prepared, type Db } from './database';
import { json, now } from './rows';

export interface NewEvent {
  readonly id: string;
  readonly personId: string | null;
  readonly releaseId: string | null;
  readonly kind: string;
  readonly words: string;
  readonly result: unknown;
}

export function insertEvent(db: Db, event: NewEvent): void {
  prepared(
    db,
    `INSERT INTO event (id, at, person_id, release_id, kind, words, result)
     VALUES (@id, @at, @personId, @releaseId, @kind, @words, @result)`,
  ).run({ ...event, at: now(), result: JSON.stringify(event.result) });
}

const doneRow = z.object({
  kind: z.string(),
  personId: z.string().nullable(),
  result: json(z.unknown()),
});

/** What an earlier submission with this id did, or null when there was none. */
export function findDone(db: Db, id: string): z.output<typeof doneRow> | null {
  const row = prepared(
    db,
    'SELECT kind, person_id AS personId, result FROM event WHERE id = ?',
  ).get(id);
  return row === undefined ? null : doneRow.parse(row);
}

const eventRow = z.object({
  id: z.string(),
  at: z.string(),
  person: z.string().nullable(),
  words: z.string(),
});

const releaseEventRow = eventRow.extend({
  /** The shot or the cup it was about. */
  rowId: z.string().nullable(),
});
export type StoredEvent = z.output<typeof releaseEventRow>;

/** What was done to a release, newest first. */
export function listEvents(db: Db, releaseId: string): StoredEvent[] {
  return prepared(
    db,
    `SELECT e.id, e.at, p.name AS person, e.words,
       coalesce(json_extract(e.result, '$.shotId'), json_extract(e.result, '$.tastingId')) AS rowId
       FROM event e LEFT JOIN person p ON p.id = e.person_id
       WHERE e.release_id = ? ORDER BY e.at DESC, e.rowid DESC`,
  )
    .all(releaseId)
    .map((row) => releaseEventRow.parse(row));
}

const freshRow = eventRow.extend({
  order: z.number(),
  releaseId: z.string(),
  personId: z.string().nullable(),
});

/** Order number of the newest thing done in the house; 0 when nothing was. */
export function newestEvent(db: Db): number {
  const { newest } = prepared(db, 'SELECT coalesce(max(rowid), 0) AS newest FROM event').get() as {
    newest: number;
  };
  return newest;
}

/** Commands that touch releases without belonging to one. */
export const OF_MANY: readonly string[] = [
  'importReleases',
  'importRecipes',
  'importShots',
  'importTastings',
];

/**
 * For every release that was not taken away, oldest first, the order number of the newest thing done to it, or of an
 * import that may have touched it: equal numbers, equal facts.
 */
export function newestEvents(db: Db): Map<string, number> {
  const { ofMany } = prepared(
    db,
    `SELECT coalesce(max(rowid), 0) AS ofMany FROM event
     WHERE release_id IS NULL AND kind IN (${OF_MANY.map(() => '?').join(', ')})`,
  ).get(...OF_MANY) as { ofMany: number };
  const rows = prepared(
    db,
    `SELECT l.id, max(e.rowid) AS n FROM release l LEFT JOIN event e ON e.release_id = l.id
     WHERE l.removed_at IS NULL GROUP BY l.id ORDER BY l.rowid`,
  ).all() as { id: string; n: number | null }[];
  return new Map(rows.map(({ id, n }) => [id, Math.max(n ?? 0, ofMany)]));
}

/** What was done to releases after one of these numbers, oldest first. */
export function listEventsAfter(db: Db, order: number): z.output<typeof freshRow>[] {
  return prepared(
    db,
    `SELECT e.rowid AS "order", e.id, e.at, e.release_id AS releaseId,
       e.person_id AS personId, p.name AS person, e.words
     FROM event e LEFT JOIN person p ON p.id = e.person_id
     WHERE e.rowid > ? AND e.release_id IS NOT NULL ORDER BY e.rowid`,
  )
    .all(order)
    .map((row) => freshRow.parse(row));
}
