/**
 * What the house model learns from: the recipe of each release that is in force, published here or
 * brought in from the house's own records. One release counts once, with its newest recipe; one that
 * was withdrawn as wrong teaches nothing.
 */
import { readRoast } from '@/core/coffee/roast';
import { batchRestDays } from '@/core/rest/batchRest';
import type { PastRelease } from '@/core/start/fit';
import { prepared, type Db } from '@/data/database';
import { completeDraft, DRAFT_COLUMNS, type StoredDraft } from '@/data/dialIns';
import type { House } from '@/data/house';
import { listReleases } from '@/data/releases';
import { allSetups, type StoredSetup } from '@/data/setups';
import { dayOf } from '@/data/today';
import { factsOf } from './facts';

/** The dial and moment a recipe ended on: of its last shot before it was decided. */
const LAST_SHOT = (column: string) => `
  (SELECT s.${column} FROM shot s
   WHERE s.recipe_draft_id = q.id AND s.removed_at IS NULL AND s.pulled_at <= q.decidedAt
   ORDER BY s.pulled_at DESC, s.rowid DESC LIMIT 1)`;

const DECIDED = `
  SELECT ${DRAFT_COLUMNS}, v.published_at AS decidedAt, v.number AS version
  FROM publication b JOIN recipe_version v ON v.id = b.version_id
  JOIN recipe_draft r ON r.id = v.draft_id JOIN dial_in d ON d.id = r.dial_in_id
  WHERE b.teaches = 1
  UNION ALL
  SELECT ${DRAFT_COLUMNS}, max(r.decided_on) || 'T23:59:59.999Z' AS decidedAt, NULL AS version
  FROM recipe_draft r JOIN dial_in d ON d.id = r.dial_in_id
  WHERE r.decided_on IS NOT NULL AND d.release_id NOT IN (SELECT release_id FROM publication)
  GROUP BY d.release_id`;

const HISTORY = `
  SELECT *, ${LAST_SHOT('dial')} AS lastDial, ${LAST_SHOT('pulled_at')} AS lastPulledAt
  FROM (${DECIDED}) q ORDER BY decidedAt, id`;

interface DecidedRow {
  readonly decidedAt: string;
  readonly version: number | null;
  readonly lastDial: number | null;
  readonly lastPulledAt: string | null;
}

export interface DecidedRecipe {
  readonly name: string;
  readonly roastDate: string;
  /** Null for one of the house's own records. */
  readonly version: number | null;
  /** Moment of publication, or the day a record gives. */
  readonly decidedAt: string;
  readonly draft: StoredDraft;
  readonly setup: StoredSetup;
  /** Null where a record did not say it. */
  readonly dial: number | null;
  readonly facts: PastRelease['release'];
  readonly varieties: readonly string[];
}

/** Every decided recipe, oldest first. */
export function listDecided(db: Db, house: House): DecidedRecipe[] {
  const releases = new Map(listReleases(db).map((release) => [release.id, release]));
  const setups = allSetups(db);
  return prepared(db, HISTORY)
    .all()
    .flatMap((row): DecidedRecipe[] => {
      const { decidedAt, version, lastDial, lastPulledAt } = row as DecidedRow;
      const draft = completeDraft(row);
      const release = releases.get(draft.releaseId);
      const batch = release?.batches.find(({ id }) => id === draft.batchId);
      const setup = setups.get(draft.setupId);
      if (!release || !batch || !setup) return [];
      const roast = readRoast(batch, house.roastMap);
      const restDays =
        lastPulledAt === null ? undefined : batchRestDays(batch, dayOf(lastPulledAt));
      return [
        {
          name: release.name,
          roastDate: batch.roastDate,
          version,
          decidedAt,
          draft,
          setup,
          dial: lastDial ?? (draft.isDialKnown ? draft.startDial : null),
          facts: factsOf(release, { roast, restDays }),
          varieties: release.components.map(({ variety }) => variety),
        },
      ];
    });
}
