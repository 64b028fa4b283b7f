/** Dial-ins and the revisions of the recipe on the bench. */
import { z } from 'zod';
import { programmeSchema } from '@/core/programme/programme';
import { CLOCKS, STYLES, TEMPERATURE_SCHOOLS } from '@/core/vocabulary';
import { prepared, type Db } from './database';
import { bool, json, now, optional, type Unknowable } from './rows';

const draftRow = z.object({
  id: z.string(),
  dialInId: z.string(),
  batchId: z.string(),
  setupId: z.string(),
  style: z.enum(STYLES),
  revision: z.number(),
  temperatureSchool: z.enum(TEMPERATURE_SCHOOLS),
  doseG: z.number(),
  yieldG: z.number(),
  temperatureC: z.number(),
  timeLowS: z.number(),
  timeHighS: z.number(),
  clock: z.enum(CLOCKS),
  /** What the machine does, in a few words. */
  programme: z.string(),
  /** The same step by step; absent where a record of the house has words alone. */
  steps: optional(json(programmeSchema)),
  restFrom: z.number(),
  restTo: z.number(),
  startDial: z.number(),
  /** False where a record of the house did not say it. */
  isDialKnown: bool,
  why: z.string(),
  proposed: optional(json(z.record(z.string(), z.number()))),
  createdAt: z.string(),
  /** Day since which a recipe of the house's own records was in force. */
  decidedOn: optional(z.string()),
});
export type StoredDraft = z.output<typeof draftRow>;

const SELECT_DRAFT = `
  SELECT r.id, r.dial_in_id AS dialInId, d.batch_id AS batchId, d.setup_id AS setupId, d.style,
         r.revision, r.temperature_school AS temperatureSchool, r.dose_g AS doseG,
         r.yield_g AS yieldG, r.temperature_c AS temperatureC, r.time_low_s AS timeLowS,
         r.time_high_s AS timeHighS, r.clock, r.programme, r.steps, r.rest_from AS restFrom,
         r.rest_to AS restTo, r.start_dial AS startDial, r.dial_known AS isDialKnown, r.why, r.proposed,
         r.created_at AS createdAt, r.decided_on AS decidedOn
  FROM recipe_draft r JOIN dial_in d ON d.id = r.dial_in_id`;

/** The recipe on the bench: the newest revision of any dial-in of the release. */
export function findBenchDraft(db: Db, releaseId: string): StoredDraft | null {
  const row = prepared(db, `${SELECT_DRAFT} WHERE d.release_id = ? ORDER BY r.created_at DESC, r.rowid DESC LIMIT 1`)
    .get(releaseId);
  return row === undefined ? null : draftRow.parse(row);
}

export function findDraft(db: Db, id: string): (StoredDraft & { releaseId: string }) | null {
  const row = prepared(db, `${SELECT_DRAFT.replace('SELECT ', 'SELECT d.release_id AS releaseId, ')} WHERE r.id = ?`)
    .get(id);
  return row === undefined ? null : draftRow.extend({ releaseId: z.string() }).parse(row);
}

const nameRow = z.object({ id: z.string(), name: z.string() });

/** A bench remembers this many coffees: one comes from a recent one. */
const MOST_BENCHES = 25;

/** Releases whose recipes were last on a bench, the latest first. */
export function listBenchNames(db: Db): z.output<typeof nameRow>[] {
  return prepared(
    db,
    `SELECT l.id, l.name FROM release l
     JOIN dial_in d ON d.release_id = l.id JOIN recipe_draft r ON r.dial_in_id = d.id
     WHERE l.removed_at IS NULL GROUP BY l.id ORDER BY max(r.created_at) DESC LIMIT ?`,
  )
    .all(MOST_BENCHES)
    .map((row) => nameRow.parse(row));
}

export interface DialInKey {
  readonly releaseId: string;
  readonly batchId: string;
  readonly setupId: string;
  readonly style: string;
}

const dialInRow = z.object({
  id: z.string(),
  releaseId: z.string(),
  batchId: z.string(),
  setupId: z.string(),
  style: z.enum(STYLES),
});
export type StoredDialIn = z.output<typeof dialInRow>;

/** Every dial-in of the house, oldest first. */
export function listDialIns(db: Db): StoredDialIn[] {
  return prepared(
    db,
    `SELECT id, release_id AS releaseId, batch_id AS batchId, setup_id AS setupId, style
     FROM dial_in ORDER BY started_at, rowid`,
  )
    .all()
    .map((row) => dialInRow.parse(row));
}

/** Every revision of a dial-in, oldest first. */
export function listDrafts(db: Db, dialInId: string): StoredDraft[] {
  return prepared(db, `${SELECT_DRAFT} WHERE d.id = ? ORDER BY r.created_at, r.rowid`)
    .all(dialInId)
    .map((row) => draftRow.parse(row));
}

/** The dial-in of a batch on a setup in a style, or null. */
export function findDialIn(db: Db, key: DialInKey): string | null {
  const found = prepared(
    db,
    `SELECT id FROM dial_in
     WHERE release_id = @releaseId AND batch_id = @batchId AND setup_id = @setupId AND style = @style`,
  ).get(key) as { id: string } | undefined;
  return found?.id ?? null;
}

/** The dial-in of a batch on a setup in a style, begun now if there is none. */
export function ensureDialIn(db: Db, newId: string, key: DialInKey, at: string = now()): string {
  const found = findDialIn(db, key);
  if (found !== null) return found;
  prepared(db, `INSERT INTO dial_in (id, release_id, batch_id, setup_id, style, started_at)
     VALUES (@id, @releaseId, @batchId, @setupId, @style, @at)`,
  ).run({ ...key, id: newId, at });
  return newId;
}

export type DraftFields = Unknowable<
  Omit<
    StoredDraft,
    | 'id'
    | 'dialInId'
    | 'batchId'
    | 'setupId'
    | 'style'
    | 'revision'
    | 'createdAt'
    | 'isDialKnown'
  >
> & { readonly isDialKnown?: boolean };

export function insertDraft(
  db: Db,
  id: string,
  dialInId: string,
  fields: DraftFields,
  personId: string,
  at: string = now(),
): void {
  prepared(db, `INSERT INTO recipe_draft (id, dial_in_id, revision, temperature_school, dose_g, yield_g,
       temperature_c, time_low_s, time_high_s, clock, programme, steps, rest_from, rest_to, start_dial,
       dial_known, why, proposed, decided_on, created_at, created_by)
     VALUES (@id, @dialInId,
       (SELECT coalesce(max(revision), 0) + 1 FROM recipe_draft WHERE dial_in_id = @dialInId),
       @temperatureSchool, @doseG, @yieldG, @temperatureC, @timeLowS, @timeHighS, @clock,
       @programme, @steps, @restFrom, @restTo, @startDial, @dialKnown, @why, @proposed, @decidedOn, @at, @personId)`,
  ).run({
    ...fields,
    steps: fields.steps === undefined ? null : JSON.stringify(fields.steps),
    proposed: fields.proposed === undefined ? null : JSON.stringify(fields.proposed),
    dialKnown: Number(fields.isDialKnown ?? true),
    decidedOn: fields.decidedOn ?? null,
    id,
    dialInId,
    at,
    personId,
  });
}
