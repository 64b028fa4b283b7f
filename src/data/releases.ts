/** Releases with their components and batches. */
import { BATCH, type BatchInput, type BatchRow } from '@/core/entity/batch';
import { COMPONENT, type ComponentInput, type ComponentRow } from '@/core/entity/component';
import { RELEASE, type ReleaseInput, type ReleaseRow } from '@/core/entity/release';
import { prepared, type Db } from './database';
import type { RestSpan, FrozenSpell } from '@/core/rest/rest';
import { spellsOf } from '@/core/rest/samples';
import { allRows, groupedByOwner, IDS } from './many';
import { now } from './rows';
import type { AskedCheck } from '@/core/rest/checkPlan';
import { rechecksOfBatches } from './rechecks';
import { samplesOfBatches, type StoredSample } from './samples';
import { tableOf, updateRow, type Seen } from './table';

export interface StoredComponent extends ComponentRow {
  readonly id: string;
}
export interface StoredBatch extends BatchRow {
  readonly id: string;
  readonly rowVersion: number;
  /** When it was entered, which may be long after its roast. */
  readonly createdAt: string;
  /** Bags that were set aside, in the order they were noted. */
  readonly samples: readonly StoredSample[];
  /** The bag in use. */
  readonly openSampleId: string | null;
  /** Days the bag in use was frozen: they do not count as rest. */
  readonly frozen: readonly FrozenSpell[];
  /** Checks somebody asked for, by their day. */
  readonly rechecks: readonly AskedCheck[];
}
export interface StoredRelease extends ReleaseRow {
  readonly id: string;
  readonly rowVersion: number;
  readonly createdAt: string;
  /** Its own rest span; the school's where absent. */
  readonly span: RestSpan | undefined;
  readonly components: readonly StoredComponent[];
  /** Newest roast first. */
  readonly batches: readonly StoredBatch[];
}

export const RELEASE_TABLE = tableOf('release', RELEASE);
export const COMPONENT_TABLE = tableOf('component', COMPONENT);
export const BATCH_TABLE = tableOf('batch', BATCH);

const SELECT_RELEASE = `
  SELECT id, row_version AS rowVersion, created_at AS createdAt, rest_opens AS opens,
    rest_best_from AS bestFrom, rest_best_to AS bestTo, rest_fades AS fades, ${RELEASE_TABLE.selected()}
  FROM release`;
const SELECT_COMPONENTS = `
  SELECT release_id AS owner, id, ${COMPONENT_TABLE.selected()}
  FROM component WHERE release_id IN ${IDS} ORDER BY release_id, position`;
const SELECT_BATCHES = `
  SELECT release_id AS owner, id, row_version AS rowVersion, created_at AS createdAt,
    open_sample_id AS openSampleId, ${BATCH_TABLE.selected()}
  FROM batch WHERE release_id IN ${IDS} AND removed_at IS NULL
  ORDER BY roast_date DESC, id DESC`;

function completeComponent(row: unknown): StoredComponent {
  return { id: (row as StoredComponent).id, ...COMPONENT_TABLE.read(row) };
}

type BareBatch = Omit<StoredBatch, 'samples' | 'frozen' | 'rechecks'>;

function completeBatch(row: unknown): BareBatch {
  const { id, rowVersion, createdAt, openSampleId } = row as StoredBatch;
  return { id, rowVersion, createdAt, openSampleId, ...BATCH_TABLE.read(row) };
}

function withSamples<B extends BareBatch>(batch: B, samples: readonly StoredSample[]) {
  const open = samples.find(({ id }) => id === batch.openSampleId);
  return { ...batch, samples, frozen: spellsOf(open, batch.roastDate) };
}

/** Four days or none, as the table keeps them. */
function spanFrom(row: unknown): RestSpan | undefined {
  const { opens, bestFrom, bestTo, fades } = row as { [K in keyof RestSpan]: number | null };
  return opens === null || bestFrom === null || bestTo === null || fades === null
    ? undefined
    : { opens, bestFrom, bestTo, fades };
}

/** Releases with what belongs to them, in the order of their rows. */
function complete(db: Db, rows: readonly unknown[]): StoredRelease[] {
  const ids = rows.map((row) => (row as StoredRelease).id);
  const componentsOf = groupedByOwner(db, SELECT_COMPONENTS, ids, completeComponent);
  const batchesOf = groupedByOwner(db, SELECT_BATCHES, ids, completeBatch);
  const batchIds = ids.flatMap((id) => batchesOf(id).map((batch) => batch.id));
  const samplesOf = samplesOfBatches(db, batchIds);
  const rechecksOf = rechecksOfBatches(db, batchIds);
  return rows.map((row) => {
    const { id, rowVersion, createdAt } = row as StoredRelease;
    return {
      id,
      rowVersion,
      createdAt,
      ...RELEASE_TABLE.read(row),
      span: spanFrom(row),
      components: componentsOf(id),
      batches: batchesOf(id).map((batch) => ({
        ...withSamples(batch, samplesOf(batch.id)),
        rechecks: rechecksOf(batch.id),
      })),
    };
  });
}

/** Those of these releases that were not taken away, the newest first. */
export function findReleases(db: Db, ids: readonly string[]): StoredRelease[] {
  const rows = prepared(
    db,
    `${SELECT_RELEASE} WHERE id IN ${IDS} AND removed_at IS NULL
     ORDER BY created_at DESC, rowid DESC`,
  ).all(JSON.stringify(ids));
  return complete(db, rows);
}

/** Every release that was not taken away, the newest first. */
export function listReleases(db: Db): StoredRelease[] {
  return complete(
    db,
    allRows(db, `${SELECT_RELEASE} WHERE removed_at IS NULL ORDER BY created_at DESC, rowid DESC`),
  );
}

/** A release that was not taken away. */
export function findRelease(db: Db, id: string): StoredRelease | null {
  return findReleases(db, [id])[0] ?? null;
}

/** The release of a batch that was not taken away. */
export function releaseOfBatch(db: Db, batchId: string): string | null {
  const row = prepared(
    db,
    'SELECT release_id AS releaseId FROM batch WHERE id = ? AND removed_at IS NULL',
  ).get(batchId) as { releaseId: string } | undefined;
  return row?.releaseId ?? null;
}

/** The release of a name, matched without case; the newest where two share it. */
export function findReleaseNamed(db: Db, name: string): StoredRelease | null {
  const rows = prepared(
    db,
    `${SELECT_RELEASE} WHERE name = ? COLLATE NOCASE AND removed_at IS NULL
     ORDER BY created_at DESC LIMIT 1`,
  ).all(name);
  return complete(db, rows)[0] ?? null;
}

/**
 * Releases, but for archived ones, with a batch roasted since a day, or whose recipe is public: all that a house may still have
 * to do with.
 */
export function listAtHand(db: Db, roastedSince: string): string[] {
  const rows = prepared(
    db,
    `SELECT id FROM release l WHERE removed_at IS NULL AND is_archived = 0 AND (
       EXISTS (SELECT 1 FROM batch b WHERE b.release_id = l.id AND b.removed_at IS NULL
               AND b.roast_date >= ?)
       OR EXISTS (SELECT 1 FROM publication p WHERE p.release_id = l.id AND p.withdrawn_at IS NULL))`,
  ).all(roastedSince) as { id: string }[];
  return rows.map(({ id }) => id);
}

export interface ReleaseName {
  readonly id: string;
  readonly name: string;
}

/** Names of the releases that are not archived, newest first: all of them, or so many. */
export function listReleaseNames(db: Db, most = -1): ReleaseName[] {
  return prepared(
    db,
    `SELECT id, name FROM release WHERE removed_at IS NULL AND is_archived = 0
     ORDER BY created_at DESC, rowid DESC LIMIT ?`,
  ).all(most) as ReleaseName[];
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
     WHERE l.removed_at IS NULL AND l.is_archived = 0 ORDER BY e.n DESC NULLS LAST, l.created_at DESC LIMIT ?`,
  ).all(most) as ReleaseName[];
}

/** Releases whose name holds all of the words: the one that is called just that, then the newest. */
export function findReleaseNames(db: Db, words: string, most: number): ReleaseName[] {
  const sought = words
    .split(/\s+/)
    .filter((word) => word !== '')
    .map((word) => `%${word.replace(/[\\%_]/g, '\\$&')}%`);
  return prepared(
    db,
    `SELECT id, name FROM release l WHERE removed_at IS NULL
       AND NOT EXISTS (SELECT 1 FROM json_each(?) w WHERE l.name NOT LIKE w.value ESCAPE '\\')
     ORDER BY name = ? COLLATE NOCASE DESC, is_archived, created_at DESC, rowid DESC LIMIT ?`,
  ).all(JSON.stringify(sought), words.trim(), most) as ReleaseName[];
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

export interface ReleaseFields extends ReleaseInput {
  readonly components: readonly ComponentInput[];
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

function insertComponents(db: Db, releaseId: string, components: readonly ComponentInput[]): void {
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

export function insertBatch(db: Db, id: string, releaseId: string, fields: BatchInput): void {
  prepared(
    db,
    `INSERT INTO batch (id, release_id, created_at, ${BATCH_TABLE.columns})
     VALUES (@id, @releaseId, @at, ${BATCH_TABLE.parameters})`,
  ).run({ ...BATCH_TABLE.write(fields), id, releaseId, at: now() });
}

/** False when someone else changed the batch since `rowVersion` was read, or took it away. */
export function updateBatch(db: Db, seen: Seen, fields: BatchInput): boolean {
  return updateRow(db, BATCH_TABLE, seen, fields);
}
