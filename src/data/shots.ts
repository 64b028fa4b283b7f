/** Shots: what was pulled for which recipe. */
import { z } from 'zod';
import { SHOT, type ShotInput, type StoredShotRow } from '@/core/entity/shot';
import type { Drink } from '@/core/vocabulary';
import { spellsOf } from '@/core/rest/samples';
import { batchRestDays } from '@/core/rest/batchRest';
import { prepared, type Db } from './database';
import { groupedByOwner, IDS } from './many';
import { bool, now } from './rows';
import { tableOf, updateRow, type Seen } from './table';
import { dayOf } from './today';

export interface StoredShot extends StoredShotRow {
  readonly id: string;
  readonly rowVersion: number;
  readonly draftId: string;
  /** What its recipe is for. */
  readonly drink: Drink;
  readonly pulledAt: string;
  readonly pulledBy: string;
  /** The bag it was pulled from; null where none was noted. */
  readonly sampleId: string | null;
  /** Of the batch on the day it was pulled, less the days its bag was frozen. */
  readonly restDays: number;
  /** Pulled for a blind flight: to its figures, which may not be the recipe's. */
  readonly isOfFlight: boolean;
}

export const SHOT_TABLE = tableOf('shot', SHOT);

/** Columns of a shot `s` by a person `p`; with the roast date of its batch it is complete. */
export const SHOT_FIELDS_SQL = `
  s.id, s.row_version AS rowVersion, s.recipe_draft_id AS draftId, s.pulled_at AS pulledAt, p.name AS pulledBy,
  EXISTS (SELECT 1 FROM flight_cup c WHERE c.shot_id = s.id) AS isOfFlight, s.sample_id AS sampleId,
  (SELECT x.frozen_on FROM sample x WHERE x.id = s.sample_id) AS frozenOn,
  (SELECT x.thawed_on FROM sample x WHERE x.id = s.sample_id) AS thawedOn,
  ${SHOT_TABLE.selected('s')}`;

const SELECT_SHOT = `
  SELECT r.dial_in_id AS owner, b.roast_date AS roastDate, r.drink, ${SHOT_FIELDS_SQL}
  FROM shot s JOIN recipe_draft r ON r.id = s.recipe_draft_id
  JOIN dial_in d ON d.id = r.dial_in_id JOIN batch b ON b.id = d.batch_id
  JOIN person p ON p.id = s.pulled_by`;

interface Bagged {
  readonly roastDate: string;
  readonly frozenOn: string | null;
  readonly thawedOn: string | null;
}

export function completeShot(row: unknown): StoredShot {
  const { id, rowVersion, draftId, drink, pulledAt, pulledBy, isOfFlight, ...rest } =
    row as StoredShot & Bagged;
  const { sampleId, roastDate, frozenOn, thawedOn } = rest;
  const bag = { frozenOn: frozenOn ?? undefined, thawedOn: thawedOn ?? undefined };
  const frozen = spellsOf(bag, roastDate);
  return Object.assign(SHOT_TABLE.read(row), {
    id,
    rowVersion,
    draftId,
    drink,
    pulledAt,
    pulledBy,
    sampleId,
    restDays: batchRestDays({ roastDate, frozen }, dayOf(pulledAt)),
    isOfFlight: Boolean(isOfFlight),
  });
}

/** Shots of these dial-ins in the order they were pulled; removed ones are left out. */
export function shotsOfDialIns(
  db: Db,
  dialInIds: readonly string[],
): (dialInId: string) => readonly StoredShot[] {
  const sql = `${SELECT_SHOT} WHERE r.dial_in_id IN ${IDS} AND s.removed_at IS NULL
     ORDER BY s.pulled_at, s.rowid`;
  return groupedByOwner(db, sql, dialInIds, completeShot);
}

/** Shots of a dial-in in the order they were pulled. */
export function listShots(db: Db, dialInId: string): readonly StoredShot[] {
  return shotsOfDialIns(db, [dialInId])(dialInId);
}

/** How many shots each of these dial-ins has; one without any is left out. */
export function countShots(db: Db, dialInIds: readonly string[]): Map<string, number> {
  const rows = prepared(
    db,
    `SELECT r.dial_in_id AS dialInId, count(*) AS shots FROM shot s
     JOIN recipe_draft r ON r.id = s.recipe_draft_id
     WHERE r.dial_in_id IN ${IDS} AND s.removed_at IS NULL GROUP BY r.dial_in_id`,
  ).all(JSON.stringify(dialInIds)) as { dialInId: string; shots: number }[];
  return new Map(rows.map(({ dialInId, shots }) => [dialInId, shots]));
}

export interface ShotFields extends ShotInput {
  readonly draftId: string;
  /** Now when absent. */
  readonly pulledAt?: string | undefined;
  readonly sampleId?: string | null | undefined;
}

export function insertShot(db: Db, id: string, fields: ShotFields, personId: string): void {
  prepared(
    db,
    `INSERT INTO shot (id, recipe_draft_id, pulled_at, pulled_by, sample_id, ${SHOT_TABLE.columns})
     VALUES (@id, @draftId, @pulledAt, @personId, @sampleId, ${SHOT_TABLE.parameters})`,
  ).run({
    ...SHOT_TABLE.write(fields),
    id,
    personId,
    draftId: fields.draftId,
    pulledAt: fields.pulledAt ?? now(),
    sampleId: fields.sampleId ?? null,
  });
}

const whereaboutsRow = z.object({
  releaseId: z.string(),
  draftId: z.string(),
  pulledAt: z.string(),
  removed: bool,
});

/** The release a shot belongs to, and whether it was removed; null when there is no such shot. */
export function findShotWhereabouts(db: Db, id: string): z.output<typeof whereaboutsRow> | null {
  const row = prepared(
    db,
    `SELECT d.release_id AS releaseId, r.id AS draftId, s.pulled_at AS pulledAt, s.removed_at IS NOT NULL AS removed
       FROM shot s JOIN recipe_draft r ON r.id = s.recipe_draft_id JOIN dial_in d ON d.id = r.dial_in_id
       WHERE s.id = ?`,
  ).get(id);
  return row === undefined ? null : whereaboutsRow.parse(row);
}

const massesRow = z.object({ doseG: z.number(), yieldG: z.number() });

/** Dose and yield of an existing shot. */
export function findShotMasses(db: Db, id: string): z.output<typeof massesRow> {
  return massesRow.parse(
    prepared(db, 'SELECT dose_g AS doseG, yield_g AS yieldG FROM shot WHERE id = ?').get(id),
  );
}

/** A shot by its id; null when there is none. */
export function findShot(db: Db, id: string): StoredShot | null {
  const row = prepared(db, `${SELECT_SHOT} WHERE s.id = ?`).get(id);
  return row === undefined ? null : completeShot(row);
}

/** False when someone else changed or took the shot back since `rowVersion` was read. */
export function updateShot(db: Db, seen: Seen, fields: ShotInput): boolean {
  return updateRow(db, SHOT_TABLE, seen, fields);
}

/** Takes a shot out of the dial-in, or puts it back; the row is kept. */
export function setShotRemoved(db: Db, id: string, removed: boolean): void {
  prepared(db, 'UPDATE shot SET removed_at = ? WHERE id = ?').run(removed ? now() : null, id);
}

export function setShotTds(db: Db, id: string, tdsPct: number): void {
  prepared(db, 'UPDATE shot SET tds_pct = ?, row_version = row_version + 1 WHERE id = ?').run(
    tdsPct,
    id,
  );
}

/** What a shot took out of its batch's sample. */
export interface Spent {
  readonly doseG: number;
  readonly purged: boolean;
  readonly purgeG: number | undefined;
  readonly retentionG: number;
}

/** What every shot of these batches took, over all their dial-ins. */
export function spentOfBatches(
  db: Db,
  batchIds: readonly string[],
): (batchId: string) => readonly Spent[] {
  const sql = `
    SELECT d.batch_id AS owner, s.dose_g AS doseG, s.purged, s.purge_g AS purgeG,
      g.retention_g AS retentionG
    FROM dial_in d JOIN recipe_draft r ON r.dial_in_id = d.id
    JOIN shot s ON s.recipe_draft_id = r.id
    JOIN setup u ON u.id = d.setup_id JOIN grinder g ON g.id = u.grinder_id
    WHERE d.batch_id IN ${IDS} AND s.removed_at IS NULL`;
  return groupedByOwner(db, sql, batchIds, (row) => {
    const { doseG, purged, purgeG, retentionG } = row as Record<string, number | null>;
    return {
      doseG: doseG!,
      purged: purged === 1,
      purgeG: purgeG ?? undefined,
      retentionG: retentionG!,
    };
  });
}
