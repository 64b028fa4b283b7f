/** Releases with their components and batches. */
import { z } from 'zod';
import { PROCESSES, VARIETY_CLASSES } from '@/core/vocabulary';
import type { Db } from './database';
import { json, now, optional } from './rows';

const releaseRow = z.object({
  id: z.string(),
  name: z.string(),
  promisedNotes: json(z.array(z.string())),
  rowVersion: z.number(),
  createdAt: z.string(),
});

const componentRow = z.object({
  id: z.string(),
  sharePct: z.number(),
  country: z.string(),
  region: z.string(),
  producer: z.string(),
  variety: z.string(),
  varietyClass: optional(z.enum(VARIETY_CLASSES)),
  process: optional(z.enum(PROCESSES)),
  altitudeM: optional(z.number()),
  densityGPerL: optional(z.number()),
});

const batchRow = z.object({
  id: z.string(),
  roastDate: z.string(),
  roastLevel: optional(z.number()),
});

export type StoredComponent = z.output<typeof componentRow>;
export type StoredBatch = z.output<typeof batchRow>;
export interface StoredRelease extends z.output<typeof releaseRow> {
  readonly components: readonly StoredComponent[];
  /** Newest roast first. */
  readonly batches: readonly StoredBatch[];
}

const SELECT_RELEASE = `
  SELECT id, name, promised_notes AS promisedNotes, row_version AS rowVersion, created_at AS createdAt
  FROM release`;
const SELECT_COMPONENTS = `
  SELECT id, share_pct AS sharePct, country, region, producer, variety,
         variety_class AS varietyClass, process, altitude_m AS altitudeM,
         density_g_per_l AS densityGPerL
  FROM component WHERE release_id = ? ORDER BY position`;
const SELECT_BATCHES = `
  SELECT id, roast_date AS roastDate, roast_level AS roastLevel
  FROM batch WHERE release_id = ? ORDER BY roast_date DESC, id`;

function complete(db: Db, raw: unknown): StoredRelease {
  const release = releaseRow.parse(raw);
  return {
    ...release,
    components: db
      .prepare(SELECT_COMPONENTS)
      .all(release.id)
      .map((row) => componentRow.parse(row)),
    batches: db
      .prepare(SELECT_BATCHES)
      .all(release.id)
      .map((row) => batchRow.parse(row)),
  };
}

export function findRelease(db: Db, id: string): StoredRelease | null {
  const row = db.prepare(`${SELECT_RELEASE} WHERE id = ?`).get(id);
  return row === undefined ? null : complete(db, row);
}

const nameRow = z.object({ id: z.string(), name: z.string() });

/** Names for the release switcher, newest first. */
export function listReleaseNames(db: Db): z.output<typeof nameRow>[] {
  return db
    .prepare('SELECT id, name FROM release ORDER BY created_at DESC, id')
    .all()
    .map((row) => nameRow.parse(row));
}

export interface ReleaseFields {
  readonly name: string;
  readonly promisedNotes: readonly string[];
  readonly components: readonly Omit<StoredComponent, 'id'>[];
  readonly roastDate: string;
  readonly roastLevel?: number | undefined;
}

export function insertRelease(
  db: Db,
  id: string,
  fields: ReleaseFields,
  personId: string,
): void {
  db.prepare(
    `INSERT INTO release (id, name, promised_notes, created_at, created_by)
     VALUES (?, ?, ?, ?, ?)`,
  ).run(id, fields.name, JSON.stringify(fields.promisedNotes), now(), personId);
  insertComponents(db, id, fields.components);
  db.prepare(
    'INSERT INTO batch (id, release_id, roast_date, roast_level) VALUES (?, ?, ?, ?)',
  ).run(`${id}-1`, id, fields.roastDate, fields.roastLevel ?? null);
}

/** False when someone else changed the release since `rowVersion` was read. */
export function updateRelease(
  db: Db,
  id: string,
  rowVersion: number,
  fields: ReleaseFields,
): boolean {
  const { changes } = db
    .prepare(
      `UPDATE release SET name = ?, promised_notes = ?, row_version = row_version + 1
       WHERE id = ? AND row_version = ?`,
    )
    .run(fields.name, JSON.stringify(fields.promisedNotes), id, rowVersion);
  if (changes === 0) return false;
  db.prepare('DELETE FROM component WHERE release_id = ?').run(id);
  insertComponents(db, id, fields.components);
  db.prepare(
    `UPDATE batch SET roast_date = ?, roast_level = ?
     WHERE id = (SELECT id FROM batch WHERE release_id = ? ORDER BY roast_date DESC, id LIMIT 1)`,
  ).run(fields.roastDate, fields.roastLevel ?? null, id);
  return true;
}

function insertComponents(
  db: Db,
  releaseId: string,
  components: readonly Omit<StoredComponent, 'id'>[],
): void {
  const insert = db.prepare(
    `INSERT INTO component (id, release_id, position, share_pct, country, region, producer,
       variety, variety_class, process, altitude_m, density_g_per_l)
     VALUES (@id, @releaseId, @position, @sharePct, @country, @region, @producer,
       @variety, @varietyClass, @process, @altitudeM, @densityGPerL)`,
  );
  components.forEach((component, i) =>
    insert.run({
      ...component,
      id: `${releaseId}-${i + 1}`,
      releaseId,
      position: i + 1,
      varietyClass: component.varietyClass ?? null,
      process: component.process ?? null,
      altitudeM: component.altitudeM ?? null,
      densityGPerL: component.densityGPerL ?? null,
    }),
  );
}
