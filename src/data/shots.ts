/** Shots and the tastings of them. */
import { z } from 'zod';
import { BEAN_STATES, CLOCKS, MOMENTS, SEEN, SERVINGS } from '@/core/vocabulary';
import { tasteSchema } from '@/core/schema/shot';
import { prepared, type Db } from './database';
import { bool, json, now, optional, type Unknowable } from './rows';

const shotRow = z.object({
  id: z.string(),
  draftId: z.string(),
  pulledAt: z.string(),
  pulledBy: z.string(),
  dial: z.number(),
  doseG: z.number(),
  aimDoseG: optional(z.number()),
  yieldG: z.number(),
  timeS: z.number(),
  firstDripS: optional(z.number()),
  clock: z.enum(CLOCKS),
  temperatureC: z.number(),
  purged: bool,
  purgeG: optional(z.number()),
  restDays: z.number(),
  seen: json(z.array(z.enum(SEEN))),
  remark: z.string(),
  tdsPct: optional(z.number()),
  overruled: optional(z.string()),
  beans: z.enum(BEAN_STATES),
  blondS: optional(z.number()),
  puck: z.string(),
  overrunG: optional(z.number()),
  isSimulated: bool,
});
export type StoredShot = z.output<typeof shotRow>;

const SELECT_SHOT = `
  SELECT s.id, s.recipe_draft_id AS draftId, s.pulled_at AS pulledAt, p.name AS pulledBy, s.dial,
         s.dose_g AS doseG, s.aim_dose_g AS aimDoseG, s.yield_g AS yieldG, s.time_s AS timeS,
         s.first_drip_s AS firstDripS, s.clock, s.temperature_c AS temperatureC, s.purged,
         s.purge_g AS purgeG, s.rest_days AS restDays, s.seen, s.remark, s.tds_pct AS tdsPct,
         s.overruled, s.beans, s.blond_s AS blondS, s.puck, s.overrun_g AS overrunG,
         s.is_simulated AS isSimulated
  FROM shot s JOIN recipe_draft r ON r.id = s.recipe_draft_id JOIN person p ON p.id = s.pulled_by`;

/** Shots of a dial-in in the order they were pulled; removed ones are left out. */
export function listShots(db: Db, dialInId: string): StoredShot[] {
  return prepared(db, `${SELECT_SHOT} WHERE r.dial_in_id = ? AND s.removed_at IS NULL ORDER BY s.pulled_at, s.rowid`)
    .all(dialInId)
    .map((row) => shotRow.parse(row));
}

/** What older records and sheets do not say. */
type Unsaid = 'beans' | 'puck' | 'isSimulated';

export type ShotFields = Unknowable<
  Omit<StoredShot, 'id' | 'pulledAt' | 'pulledBy' | Unsaid> & {
    readonly [K in Unsaid]: StoredShot[K] | undefined;
  }
> & {
  /** Now when absent. */
  readonly pulledAt?: string;
};

export function insertShot(
  db: Db,
  id: string,
  fields: ShotFields,
  personId: string,
): void {
  prepared(db, `INSERT INTO shot (id, recipe_draft_id, pulled_at, pulled_by, dial, dose_g, aim_dose_g, yield_g,
       time_s, first_drip_s, clock, temperature_c, purged, purge_g, rest_days, seen, remark, tds_pct, overruled,
       beans, blond_s, puck, overrun_g, is_simulated)
     VALUES (@id, @draftId, @pulledAt, @personId, @dial, @doseG, @aimDoseG, @yieldG, @timeS,
       @firstDripS, @clock, @temperatureC, @purged, @purgeG, @restDays, @seen, @remark,
       @tdsPct, @overruled, @beans, @blondS, @puck, @overrunG, @isSimulated)`,
  ).run({
    ...fields,
    id,
    personId,
    pulledAt: fields.pulledAt ?? now(),
    tdsPct: fields.tdsPct ?? null,
    aimDoseG: fields.aimDoseG ?? null,
    firstDripS: fields.firstDripS ?? null,
    purgeG: fields.purgeG ?? null,
    overruled: fields.overruled ?? null,
    beans: fields.beans ?? 'room',
    blondS: fields.blondS ?? null,
    puck: fields.puck ?? '',
    overrunG: fields.overrunG ?? null,
    isSimulated: Number(fields.isSimulated ?? false),
    purged: Number(fields.purged),
    seen: JSON.stringify(fields.seen),
  });
}

const whereaboutsRow = z.object({ releaseId: z.string(), removed: bool });

/** The release a shot belongs to, and whether it was removed; null when there is no such shot. */
export function findShotWhereabouts(db: Db, id: string): z.output<typeof whereaboutsRow> | null {
  const row = prepared(db, `SELECT d.release_id AS releaseId, s.removed_at IS NOT NULL AS removed
       FROM shot s JOIN recipe_draft r ON r.id = s.recipe_draft_id JOIN dial_in d ON d.id = r.dial_in_id
       WHERE s.id = ?`,
    )
    .get(id);
  return row === undefined ? null : whereaboutsRow.parse(row);
}

const massesRow = z.object({ doseG: z.number(), yieldG: z.number() });

/** Dose and yield of an existing shot. */
export function findShotMasses(db: Db, id: string): z.output<typeof massesRow> {
  return massesRow.parse(
    prepared(db, 'SELECT dose_g AS doseG, yield_g AS yieldG FROM shot WHERE id = ?').get(id),
  );
}

/** Takes a shot out of the dial-in, or puts it back; the row is kept. */
export function setShotRemoved(db: Db, id: string, removed: boolean): void {
  prepared(db, 'UPDATE shot SET removed_at = ? WHERE id = ?').run(removed ? now() : null, id);
}

export function setShotTds(db: Db, id: string, tdsPct: number): void {
  prepared(db, 'UPDATE shot SET tds_pct = ? WHERE id = ?').run(tdsPct, id);
}

const tastingRow = z.object({
  id: z.string(),
  shotId: z.string(),
  tastedAt: z.string(),
  tastedBy: z.string(),
  tastedById: z.string(),
  moment: z.enum(MOMENTS),
  serving: z.enum(SERVINGS),
  scales: json(tasteSchema),
  notesFound: json(z.array(z.string())),
  remark: z.string(),
});
export type StoredTasting = z.output<typeof tastingRow>;

/** Tastings of a dial-in's shots, oldest first. */
export function listTastings(db: Db, dialInId: string): StoredTasting[] {
  return prepared(db, `SELECT t.id, t.shot_id AS shotId, t.tasted_at AS tastedAt, p.name AS tastedBy,
              t.tasted_by AS tastedById, t.moment,
              t.serving, t.scales, t.notes_found AS notesFound, t.remark
       FROM tasting t JOIN shot s ON s.id = t.shot_id
       JOIN recipe_draft r ON r.id = s.recipe_draft_id JOIN person p ON p.id = t.tasted_by
       WHERE r.dial_in_id = ? AND s.removed_at IS NULL ORDER BY t.tasted_at, t.rowid`,
    )
    .all(dialInId)
    .map((row) => tastingRow.parse(row));
}

export type TastingFields = Omit<StoredTasting, 'id' | 'tastedAt' | 'tastedBy' | 'tastedById'> & {
  /** Now when absent. */
  readonly tastedAt?: string;
};

export function insertTasting(
  db: Db,
  id: string,
  fields: TastingFields,
  personId: string,
): void {
  prepared(db, `INSERT INTO tasting (id, shot_id, tasted_at, tasted_by, moment, serving, scales, notes_found, remark)
     VALUES (@id, @shotId, @tastedAt, @personId, @moment, @serving, @scales, @notesFound, @remark)`,
  ).run({
    ...fields,
    id,
    personId,
    tastedAt: fields.tastedAt ?? now(),
    scales: JSON.stringify(fields.scales),
    notesFound: JSON.stringify(fields.notesFound),
  });
}

const spentRow = z.object({
  doseG: z.number(),
  purged: bool,
  purgeG: optional(z.number()),
  retentionG: z.number(),
});

/** What every shot of a batch took, over all its dial-ins. */
export function listSpent(db: Db, batchId: string): z.output<typeof spentRow>[] {
  return prepared(db, `SELECT s.dose_g AS doseG, s.purged, s.purge_g AS purgeG, g.retention_g AS retentionG
       FROM dial_in d JOIN recipe_draft r ON r.dial_in_id = d.id
       JOIN shot s ON s.recipe_draft_id = r.id
       JOIN setup u ON u.id = d.setup_id JOIN grinder g ON g.id = u.grinder_id
       WHERE d.batch_id = ? AND s.removed_at IS NULL`,
    )
    .all(batchId)
    .map((row) => spentRow.parse(row));
}
