/**
 * Taking away and putting back. Nothing is deleted: a row is marked with the moment it was taken
 * away, so that every removal can be undone and the log stays true.
 */
import { prepared, type Db } from './database';
import { now } from './rows';

export const REMOVABLE = [
  'release',
  'batch',
  'sample',
  'recheck',
  'flight',
  'machine',
  'grinder',
  'basket',
  'setup',
  'programme',
  'invitation',
  'person',
] as const;
export type Removable = (typeof REMOVABLE)[number];

/** Marks or unmarks a row; false when there is none or it stands as asked already. */
export function setRemoved(db: Db, what: Removable, id: string, removed: boolean): boolean {
  const { changes } = prepared(
    db,
    `UPDATE ${what} SET removed_at = ? WHERE id = ? AND (removed_at IS NOT NULL) <> ?`,
  ).run(removed ? now() : null, id, Number(removed));
  return changes === 1;
}

/** Why a row may not be taken away now, in words; null when it may. */
export function whatHolds(db: Db, what: Removable, id: string): string | null {
  const holder = HOLDERS[what];
  const held = holder && prepared(db, holder.sql).get(id) !== undefined;
  return held ? holder.words : null;
}

const inSetup = (part: string) => ({
  sql: `SELECT 1 FROM setup WHERE ${part}_id = ? AND removed_at IS NULL`,
  words: `A setup still uses this ${part}. Change or delete that setup first.`,
});

const HOLDERS: Partial<Record<Removable, { sql: string; words: string }>> = {
  machine: inSetup('machine'),
  grinder: inSetup('grinder'),
  basket: inSetup('basket'),
  release: {
    sql: 'SELECT 1 FROM publication WHERE release_id = ? AND withdrawn_at IS NULL',
    words: 'A recipe of this release is public. Withdraw it first.',
  },
  batch: {
    sql: `SELECT 1 FROM batch b WHERE b.id = ?
          AND (EXISTS (SELECT 1 FROM dial_in d WHERE d.batch_id = b.id)
               OR (SELECT count(*) FROM batch o
                   WHERE o.release_id = b.release_id AND o.removed_at IS NULL) < 2)`,
    words:
      'A recipe was dialled in on this batch, or it is the only one. Batches with shots, and the last batch, stay.',
  },
};

/** Whom the removal of a person or an invitation is about, for the log. */
export function nameOf(db: Db, what: 'person' | 'invitation', id: string): string | null {
  const row = prepared(
    db,
    what === 'person'
      ? 'SELECT name AS words FROM person WHERE id = ?'
      : `SELECT 'the invitation for ' || for_whom AS words FROM invitation WHERE id = ?`,
  ).get(id) as { words: string } | undefined;
  return row?.words ?? null;
}

/** The release an id belongs to, for its event log; null for what belongs to the house. */
export function releaseOf(db: Db, what: Removable, id: string): string | null {
  if (what === 'release') return id;
  if (what === 'sample' || what === 'recheck') return releaseOfBatchPart(db, what, id);
  if (what !== 'batch' && what !== 'flight') return null;
  const row = prepared(db, `SELECT release_id AS releaseId FROM ${what} WHERE id = ?`).get(id) as
    { releaseId: string } | undefined;
  return row?.releaseId ?? null;
}

function releaseOfBatchPart(db: Db, what: 'sample' | 'recheck', id: string): string | null {
  const row = prepared(
    db,
    `SELECT b.release_id AS releaseId FROM ${what} x JOIN batch b ON b.id = x.batch_id WHERE x.id = ?`,
  ).get(id) as { releaseId: string } | undefined;
  return row?.releaseId ?? null;
}
