/** Releases with their components and batches. */
import { z } from 'zod';
import { CRUSHES } from '@/core/coffee/roast';
import { PROCESSES, SERVED, VARIETY_CLASSES } from '@/core/vocabulary';
import { prepared, type Db } from './database';
import { json, now, optional, type Unknowable } from './rows';

const releaseRow = z.object({
  id: z.string(),
  name: z.string(),
  serving: z.enum(SERVED),
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
  moisturePct: optional(z.number()),
});

const batchRow = z.object({
  id: z.string(),
  rowVersion: z.number(),
  label: z.string(),
  roastDate: z.string(),
  roastLevel: optional(z.number()),
  colourBean: optional(z.number()),
  colourGround: optional(z.number()),
  crush: optional(z.enum(CRUSHES)),
  weightLossPct: optional(z.number()),
  sampleG: optional(z.number()),
});

export type StoredComponent = z.output<typeof componentRow>;
export type StoredBatch = z.output<typeof batchRow>;
export interface StoredRelease extends z.output<typeof releaseRow> {
  readonly components: readonly StoredComponent[];
  /** Newest roast first. */
  readonly batches: readonly StoredBatch[];
}

const SELECT_RELEASE = `
  SELECT id, name, serving, promised_notes AS promisedNotes, row_version AS rowVersion,
         created_at AS createdAt
  FROM release`;
const SELECT_COMPONENTS = `
  SELECT id, share_pct AS sharePct, country, region, producer, variety,
         variety_class AS varietyClass, process, altitude_m AS altitudeM,
         density_g_per_l AS densityGPerL, moisture_pct AS moisturePct
  FROM component WHERE release_id = ? ORDER BY position`;
const SELECT_BATCHES = `
  SELECT id, row_version AS rowVersion, label, roast_date AS roastDate, roast_level AS roastLevel,
         colour_bean AS colourBean, colour_ground AS colourGround,
         crush, weight_loss_pct AS weightLossPct, sample_g AS sampleG
  FROM batch WHERE release_id = ? AND removed_at IS NULL ORDER BY roast_date DESC, id DESC`;

function complete(db: Db, raw: unknown): StoredRelease {
  const release = releaseRow.parse(raw);
  return {
    ...release,
    components: prepared(db, SELECT_COMPONENTS)
      .all(release.id)
      .map((row) => componentRow.parse(row)),
    batches: prepared(db, SELECT_BATCHES)
      .all(release.id)
      .map((row) => batchRow.parse(row)),
  };
}

/** A release that was not taken away. */
export function findRelease(db: Db, id: string): StoredRelease | null {
  const row = prepared(db, `${SELECT_RELEASE} WHERE id = ? AND removed_at IS NULL`).get(id);
  return row === undefined ? null : complete(db, row);
}

/** The release of a name, matched without case; the newest where two share it. */
export function findReleaseNamed(db: Db, name: string): StoredRelease | null {
  const row = prepared(db, `${SELECT_RELEASE} WHERE name = ? COLLATE NOCASE AND removed_at IS NULL
       ORDER BY created_at DESC LIMIT 1`,
    )
    .get(name);
  return row === undefined ? null : complete(db, row);
}

const nameRow = z.object({ id: z.string(), name: z.string() });

/** Names for the release switcher, newest first. */
export function listReleaseNames(db: Db): z.output<typeof nameRow>[] {
  return prepared(db, 'SELECT id, name FROM release WHERE removed_at IS NULL ORDER BY created_at DESC, rowid DESC',
    )
    .all()
    .map((row) => nameRow.parse(row));
}

export type ComponentFields = Unknowable<Omit<StoredComponent, 'id'>>;
export type BatchFields = Unknowable<Omit<StoredBatch, 'id' | 'rowVersion'>>;

export interface ReleaseFields {
  readonly name: string;
  readonly serving: StoredRelease['serving'];
  readonly promisedNotes: readonly string[];
  readonly components: readonly ComponentFields[];
}

/** Stores a release with its components; its batches are added one by one. */
export function insertRelease(db: Db, id: string, fields: ReleaseFields, personId: string): void {
  prepared(db, `INSERT INTO release (id, name, serving, promised_notes, created_at, created_by)
     VALUES (?, ?, ?, ?, ?, ?)`,
  ).run(id, fields.name, fields.serving, JSON.stringify(fields.promisedNotes), now(), personId);
  insertComponents(db, id, fields.components);
}

/** False when someone else changed the release since `rowVersion` was read. */
export function updateRelease(
  db: Db,
  { id, rowVersion }: { id: string; rowVersion: number },
  fields: ReleaseFields,
): boolean {
  const { changes } = prepared(db, `UPDATE release SET name = ?, serving = ?, promised_notes = ?, row_version = row_version + 1
       WHERE id = ? AND row_version = ? AND removed_at IS NULL`,
    )
    .run(fields.name, fields.serving, JSON.stringify(fields.promisedNotes), id, rowVersion);
  if (changes === 0) return false;
  prepared(db, 'DELETE FROM component WHERE release_id = ?').run(id);
  insertComponents(db, id, fields.components);
  return true;
}

function insertComponents(db: Db, releaseId: string, components: readonly ComponentFields[]): void {
  const insert = prepared(db, `INSERT INTO component (id, release_id, position, share_pct, country, region, producer,
       variety, variety_class, process, altitude_m, density_g_per_l, moisture_pct)
     VALUES (@id, @releaseId, @position, @sharePct, @country, @region, @producer,
       @variety, @varietyClass, @process, @altitudeM, @densityGPerL, @moisturePct)`,
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
      moisturePct: component.moisturePct ?? null,
    }),
  );
}

function batchParameters(fields: BatchFields) {
  return {
    ...fields,
    roastLevel: fields.roastLevel ?? null,
    colourBean: fields.colourBean ?? null,
    colourGround: fields.colourGround ?? null,
    crush: fields.crush ?? null,
    weightLossPct: fields.weightLossPct ?? null,
    sampleG: fields.sampleG ?? null,
  };
}

export function insertBatch(db: Db, id: string, releaseId: string, fields: BatchFields): void {
  prepared(db, `INSERT INTO batch (id, release_id, label, roast_date, roast_level, colour_bean,
       colour_ground, crush, weight_loss_pct, sample_g)
     VALUES (@id, @releaseId, @label, @roastDate, @roastLevel, @colourBean, @colourGround,
       @crush, @weightLossPct, @sampleG)`,
  ).run({ ...batchParameters(fields), id, releaseId });
}

/** False when someone else changed the batch since `rowVersion` was read, or took it away. */
export function updateBatch(
  db: Db,
  { id, rowVersion }: { id: string; rowVersion: number },
  fields: BatchFields,
): boolean {
  const { changes } = prepared(db, `UPDATE batch SET label = @label, roast_date = @roastDate, roast_level = @roastLevel,
         colour_bean = @colourBean, colour_ground = @colourGround,
         crush = @crush, weight_loss_pct = @weightLossPct, sample_g = @sampleG, row_version = row_version + 1
       WHERE id = @id AND row_version = @rowVersion AND removed_at IS NULL`,
    )
    .run({ ...batchParameters(fields), id, rowVersion });
  return changes === 1;
}
