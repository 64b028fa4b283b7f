/**
 * What the house model learns from: the recipe of each release that is in force, published here or
 * brought in from the house's own records. One release counts once, with its newest recipe; one that
 * was withdrawn as wrong teaches nothing.
 */
import { z } from 'zod';
import type { PastRelease } from '@/core/start/fit';
import { CLOCKS, STYLES } from '@/core/vocabulary';
import type { Recipe } from '@/core/schema/recipe';
import { readRoast } from '@/core/coffee/roast';
import { prepared, type Db } from './database';
import type { House } from './house';
import { factsOf } from './releaseView';
import { findRelease } from './releases';
import { bool, json, optional } from './rows';
import { findSetup, type StoredSetup } from './setups';

const rowSchema = z.object({
  releaseId: z.string(),
  draftId: z.string(),
  dialInId: z.string(),
  batchId: z.string(),
  setupId: z.string(),
  style: z.enum(STYLES),
  doseG: z.number(),
  yieldG: z.number(),
  temperatureC: z.number(),
  timeLowS: z.number(),
  timeHighS: z.number(),
  clock: z.enum(CLOCKS),
  restFrom: z.number(),
  restTo: z.number(),
  proposed: optional(json(z.record(z.string(), z.number()))),
  startDial: z.number(),
  isDialKnown: bool,
  decidedAt: z.string(),
  version: optional(z.number()),
  lastDial: optional(z.number()),
  lastRestDays: optional(z.number()),
});

/** The dial and rest day a recipe ended on: of its last shot before it was decided. */
const LAST_SHOT = (column: string) => `
  (SELECT s.${column} FROM shot s
   WHERE s.recipe_draft_id = r.id AND s.removed_at IS NULL AND s.pulled_at <= decidedAt
   ORDER BY s.pulled_at DESC, s.rowid DESC LIMIT 1)`;

const RECIPE = `
  d.release_id AS releaseId, r.id AS draftId, r.dial_in_id AS dialInId, d.batch_id AS batchId,
  d.setup_id AS setupId, d.style, r.dose_g AS doseG, r.yield_g AS yieldG,
  r.temperature_c AS temperatureC, r.time_low_s AS timeLowS, r.time_high_s AS timeHighS, r.clock,
  r.rest_from AS restFrom, r.rest_to AS restTo, r.proposed, r.start_dial AS startDial,
  r.dial_known AS isDialKnown`;

const DECIDED = `
  SELECT ${RECIPE}, v.published_at AS decidedAt, v.number AS version
  FROM publication b JOIN recipe_version v ON v.id = b.version_id
  JOIN recipe_draft r ON r.id = v.draft_id JOIN dial_in d ON d.id = r.dial_in_id
  WHERE b.teaches = 1
  UNION ALL
  SELECT ${RECIPE}, max(r.decided_on) || 'T23:59:59.999Z' AS decidedAt, NULL AS version
  FROM recipe_draft r JOIN dial_in d ON d.id = r.dial_in_id
  WHERE r.decided_on IS NOT NULL AND d.release_id NOT IN (SELECT release_id FROM publication)
  GROUP BY d.release_id`;

const HISTORY = `
  SELECT r.*, ${LAST_SHOT('dial')} AS lastDial, ${LAST_SHOT('rest_days')} AS lastRestDays
  FROM (SELECT *, draftId AS id FROM (${DECIDED})) r
  ORDER BY decidedAt, draftId`;

export interface DecidedRecipe {
  readonly releaseId: string;
  readonly name: string;
  /** Null for one of the house's own records. */
  readonly version: number | null;
  /** Moment of publication, or the day a record gives. */
  readonly decidedAt: string;
  readonly draftId: string;
  readonly dialInId: string;
  readonly setup: StoredSetup;
  /** Null where a record did not say it. */
  readonly dial: number | null;
  readonly style: PastRelease['style'];
  readonly facts: PastRelease['release'];
  readonly recipe: Recipe;
  /** What the model had proposed when it went on the bench, raw values by output. */
  readonly proposed: Readonly<Record<string, number>> | undefined;
}

/** Every decided recipe, oldest first. */
export function listDecided(db: Db, house: House): DecidedRecipe[] {
  return prepared(db, HISTORY)
    .all()
    .flatMap((raw): DecidedRecipe[] => {
      const row = rowSchema.parse(raw);
      const release = findRelease(db, row.releaseId);
      const batch = release?.batches.find(({ id }) => id === row.batchId);
      const setup = findSetup(db, row.setupId);
      if (!release || !batch || !setup) return [];
      const { doseG, yieldG, temperatureC, clock, restFrom, restTo } = row;
      const roast = readRoast(batch, house.roastMap);
      return [
        {
          releaseId: release.id,
          name: release.name,
          version: row.version ?? null,
          decidedAt: row.decidedAt,
          draftId: row.draftId,
          dialInId: row.dialInId,
          setup,
          dial: row.lastDial ?? (row.isDialKnown ? row.startDial : null),
          style: row.style,
          facts: factsOf(release, { roast, restDays: row.lastRestDays }),
          recipe: {
            doseG,
            yieldG,
            ratio: yieldG / doseG,
            temperatureC,
            timeS: [row.timeLowS, row.timeHighS],
            clock,
            restDays: [restFrom, restTo],
          },
          proposed: row.proposed,
        },
      ];
    });
}

/**
 * Says whether what the model rests on may have changed: every write adds to the event log, and these
 * kinds touch neither a decided recipe nor a coffee's facts.
 */
const WITHOUT_EFFECT = [
  'logShot',
  'recordTasting',
  'acceptRecipe',
  'invite',
  'acceptInvitation',
  'changeRole',
  'saveUnits',
];

export function historyVersion(db: Db): number {
  const row = prepared(
    db,
    `SELECT rowid AS n FROM event
     WHERE kind NOT IN (${WITHOUT_EFFECT.map(() => '?').join(', ')})
     ORDER BY rowid DESC LIMIT 1`,
  ).get(...WITHOUT_EFFECT) as { n: number } | undefined;
  return row?.n ?? 0;
}
