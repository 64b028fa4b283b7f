/** Releases with their components and batches. */
import { BATCH, type BatchEntered, type BatchValues } from '@/core/entity/batch';
import { COMPONENT, type ComponentEntered, type ComponentValues } from '@/core/entity/component';
import { RELEASE, type ReleaseEntered, type ReleaseValues } from '@/core/entity/release';
import { prepared, type Db } from './database';
import { now } from './rows';
import { tableOf, updateRow, type Seen } from './table';

export interface StoredComponent extends ComponentValues {
  readonly id: string;
}
export interface StoredBatch extends BatchValues {
  readonly id: string;
  readonly rowVersion: number;
}
export interface StoredRelease extends ReleaseValues {
  readonly id: string;
  readonly rowVersion: number;
  readonly createdAt: string;
  readonly components: readonly StoredComponent[];
  /** Newest roast first. */
  readonly batches: readonly StoredBatch[];
}

export const RELEASE_TABLE = tableOf('release', RELEASE);
export const COMPONENT_TABLE = tableOf('component', COMPONENT);
export const BATCH_TABLE = tableOf('batch', BATCH);

const SELECT_RELEASE = `
  SELECT id, row_version AS rowVersion, created_at AS createdAt, ${RELEASE_TABLE.selected()}
  FROM release`;
const SELECT_COMPONENTS = `
  SELECT id, ${COMPONENT_TABLE.selected()} FROM component WHERE release_id = ? ORDER BY position`;
const SELECT_BATCHES = `
  SELECT id, row_version AS rowVersion, ${BATCH_TABLE.selected()}
  FROM batch WHERE release_id = ? AND removed_at IS NULL ORDER BY roast_date DESC, id DESC`;

function complete(db: Db, row: unknown): StoredRelease {
  const { id, rowVersion, createdAt } = row as StoredRelease;
  return {
    id,
    rowVersion,
    createdAt,
    ...RELEASE_TABLE.read(row),
    components: prepared(db, SELECT_COMPONENTS)
      .all(id)
      .map((part) => ({ id: (part as { id: string }).id, ...COMPONENT_TABLE.read(part) })),
    batches: prepared(db, SELECT_BATCHES).all(id).map(completeBatch),
  };
}

function completeBatch(row: unknown): StoredBatch {
  const { id, rowVersion } = row as StoredBatch;
  return { id, rowVersion, ...BATCH_TABLE.read(row) };
}

/** A release that was not taken away. */
export function findRelease(db: Db, id: string): StoredRelease | null {
  const row = prepared(db, `${SELECT_RELEASE} WHERE id = ? AND removed_at IS NULL`).get(id);
  return row === undefined ? null : complete(db, row);
}

/** The release of a name, matched without case; the newest where two share it. */
export function findReleaseNamed(db: Db, name: string): StoredRelease | null {
  const row = prepared(
    db,
    `${SELECT_RELEASE} WHERE name = ? COLLATE NOCASE AND removed_at IS NULL
     ORDER BY created_at DESC LIMIT 1`,
  ).get(name);
  return row === undefined ? null : complete(db, row);
}

export interface ReleaseName {
  readonly id: string;
  readonly name: string;
}

/** Names of every release, newest first. */
export function listReleaseNames(db: Db): ReleaseName[] {
  return prepared(
    db,
    'SELECT id, name FROM release WHERE removed_at IS NULL ORDER BY created_at DESC, rowid DESC',
  ).all() as ReleaseName[];
}

/** So many of the newest things done say which releases are at hand. */
const RECENT_EVENTS = 400;

/** Releases something was done to lately, the latest first; the newest where nothing was. */
export function listRecentReleases(db: Db, most: number): ReleaseName[] {
  return prepared(
    db,
    `SELECT l.id, l.name FROM release l LEFT JOIN (
       SELECT release_id, max(n) AS n FROM (
         SELECT rowid AS n, release_id FROM event ORDER BY rowid DESC LIMIT ${RECENT_EVENTS})
       WHERE release_id IS NOT NULL GROUP BY release_id) e ON e.release_id = l.id
     WHERE l.removed_at IS NULL ORDER BY e.n DESC NULLS LAST, l.created_at DESC LIMIT ?`,
  ).all(most) as ReleaseName[];
}

/** Releases whose name holds all of the words, the newest first. */
export function findReleaseNames(db: Db, words: string, most: number): ReleaseName[] {
  const sought = words
    .split(/\s+/)
    .filter((word) => word !== '')
    .map((word) => `%${word.replace(/[\\%_]/g, '\\$&')}%`);
  return prepared(
    db,
    `SELECT id, name FROM release l WHERE removed_at IS NULL
       AND NOT EXISTS (SELECT 1 FROM json_each(?) w WHERE l.name NOT LIKE w.value ESCAPE '\\')
     ORDER BY created_at DESC, rowid DESC LIMIT ?`,
  ).all(JSON.stringify(sought), most) as ReleaseName[];
}

/** How many releases the house has. */
export function countReleases(db: Db): number {
  const { n } = prepared(
    db,
    'SELECT count(*) AS n FROM release WHERE removed_at IS NULL',
  ).get() as {
    n: number;
  };
  return n;
}

export interface ReleaseFields extends ReleaseEntered {
  readonly components: readonly ComponentEntered[];
}

/** Stores a release with its components; its batches are added one by one. */
export function insertRelease(db: Db, id: string, fields: ReleaseFields, personId: string): void {
  prepared(
    db,
    `INSERT INTO release (id, created_at, created_by, ${RELEASE_TABLE.columns})
     VALUES (@id, @at, @personId, ${RELEASE_TABLE.parameters})`,
  ).run({ ...RELEASE_TABLE.write(fields), id, at: now(), personId });
  insertComponents(db, id, fields.components);
}

/** False when someone else changed the release since `rowVersion` was read. */
export function updateRelease(db: Db, seen: Seen, fields: ReleaseFields): boolean {
  if (!updateRow(db, RELEASE_TABLE, seen, fields)) return false;
  prepared(db, 'DELETE FROM component WHERE release_id = ?').run(seen.id);
  insertComponents(db, seen.id, fields.components);
  return true;
}

function insertComponents(
  db: Db,
  releaseId: string,
  components: readonly ComponentEntered[],
): void {
  const insert = prepared(
    db,
    `INSERT INTO component (id, release_id, position, ${COMPONENT_TABLE.columns})
     VALUES (@id, @releaseId, @position, ${COMPONENT_TABLE.parameters})`,
  );
  components.forEach((component, i) =>
    insert.run({
      ...COMPONENT_TABLE.write(component),
      id: `${releaseId}-${i + 1}`,
      releaseId,
      position: i + 1,
    }),
  );
}

export function insertBatch(db: Db, id: string, releaseId: string, fields: BatchEntered): void {
  prepared(
    db,
    `INSERT INTO batch (id, release_id, ${BATCH_TABLE.columns})
     VALUES (@id, @releaseId, ${BATCH_TABLE.parameters})`,
  ).run({ ...BATCH_TABLE.write(fields), id, releaseId });
}

/** False when someone else changed the batch since `rowVersion` was read, or took it away. */
export function updateBatch(db: Db, seen: Seen, fields: BatchEntered): boolean {
  return updateRow(db, BATCH_TABLE, seen, fields);
}
