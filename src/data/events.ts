/** The event log: who did what when, and the guard that makes a repeated submission count once. */
import { z } from 'zod';
import type { Db } from './database';
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
  db.prepare(
    `INSERT INTO event (id, at, person_id, release_id, kind, words, result)
     VALUES (@id, @at, @personId, @releaseId, @kind, @words, @result)`,
  ).run({ ...event, at: now(), result: JSON.stringify(event.result) });
}

const doneRow = z.object({ kind: z.string(), result: json(z.unknown()) });

/** What an earlier submission with this id did, or null when there was none. */
export function findDone(db: Db, id: string): z.output<typeof doneRow> | null {
  const row = db.prepare('SELECT kind, result FROM event WHERE id = ?').get(id);
  return row === undefined ? null : doneRow.parse(row);
}
