/**
 * What the house model learns from: the recipe of each release that is in force, published here or
 * brought in from the house's own records. One release counts once, with its newest recipe; one that
 * was withdrawn as wrong teaches nothing.
 */
import { dialToday } from '@/core/grinder/calibrationPeriod';
import { groupBy } from '@/core/groupBy';
import { readRoast } from '@/core/coffee/roast';
import { batchRestDays } from '@/core/rest/batchRest';
import type { PastRelease } from '@/core/start/fit';
import type { Db } from '@/data/database';
import { completeDraft, DRAFT_COLUMNS, type StoredDraft } from '@/data/dialIns';
import { listPeriods } from '@/data/calibrationPeriods';
import type { House } from '@/data/house';
import { allRows } from '@/data/many';
import { listReleases } from '@/data/releases';
import { allSetups, type StoredSetup } from '@/data/setups';
import { dayOf } from '@/data/today';
import { factsOf } from './facts';

/** Recipes that are decided, one for each release. */
export const DECIDED = `
  SELECT ${DRAFT_COLUMNS}, v.published_at AS decidedAt, v.number AS version
  FROM publication b JOIN recipe_version v ON v.id = b.version_id
  JOIN recipe_draft r ON r.id = v.draft_id JOIN dial_in d ON d.id = r.dial_in_id
  WHERE b.teaches = 1
  UNION ALL
  SELECT ${DRAFT_COLUMNS}, max(r.decided_on) || 'T23:59:59.999Z' AS decidedAt, NULL AS version
  FROM recipe_draft r JOIN dial_in d ON d.id = r.dial_in_id
  WHERE r.decided_on IS NOT NULL AND d.release_id NOT IN (SELECT release_id FROM publication)
  GROUP BY d.release_id`;

/** With its coffee and batch, and the dial and moment it ended on: of its last shot before it was decided. */
const HISTORY = `
  SELECT q.*, c.name AS name, b.roast_date AS roastDate, l.dial AS lastDial,
    l.pulled_at AS lastPulledAt
  FROM (${DECIDED}) q
  JOIN release c ON c.id = q.releaseId AND c.removed_at IS NULL
  JOIN batch b ON b.id = q.batchId AND b.removed_at IS NULL
  LEFT JOIN shot l ON l.rowid = (
    SELECT s.rowid FROM shot s
    WHERE s.recipe_draft_id = q.id AND s.removed_at IS NULL AND s.pulled_at <= q.decidedAt
    ORDER BY s.pulled_at DESC, s.rowid DESC LIMIT 1)
  ORDER BY decidedAt, q.id`;

interface DecidedRow {
  readonly name: string;
  readonly roastDate: string;
  readonly decidedAt: string;
  readonly version: number | null;
  readonly lastDial: number | null;
  readonly lastPulledAt: string | null;
}

/** A recipe the house ended on. */
export interface Ended {
  readonly name: string;
  readonly roastDate: string;
  /** Null for one of the house's own records. */
  readonly version: number | null;
  /** Moment of publication, or the day a record gives. */
  readonly decidedAt: string;
  readonly draft: StoredDraft;
  readonly setup: StoredSetup;
  /** As it reads on the grinder today; null where a record did not say it, or nobody can translate it. */
  readonly dial: number | null;
  /** Moment of the last shot of it; null when none was pulled. */
  readonly lastPulledAt: string | null;
}

/** With what the model knows its coffee by. */
export interface DecidedRecipe extends Ended {
  readonly facts: PastRelease['release'];
  readonly varieties: readonly string[];
}

/** Every decided recipe, oldest first. */
export function listEnded(db: Db): Ended[] {
  const setups = allSetups(db);
  const erasOf = groupBy(listPeriods(db), ({ grinderId }) => grinderId);
  return allRows(db, HISTORY).flatMap((row): Ended[] => {
    const { name, roastDate, version, decidedAt, lastDial, lastPulledAt } = row as DecidedRow;
    const draft = completeDraft(row);
    const setup = setups.get(draft.setupId);
    if (!setup) return [];
    const read = lastDial ?? (draft.isDialKnown ? draft.startDial : null);
    const periods = erasOf.get(setup.grinder.id) ?? [];
    const dial = read === null ? null : dialToday(read, lastPulledAt ?? decidedAt, periods);
    return [{ name, roastDate, version, decidedAt, draft, setup, dial, lastPulledAt }];
  });
}

/** Every decided recipe with its coffee, oldest first. */
export function listDecided(db: Db, house: House): DecidedRecipe[] {
  const releases = new Map(listReleases(db).map((release) => [release.id, release]));
  return listEnded(db).flatMap((ended): DecidedRecipe[] => {
    const release = releases.get(ended.draft.releaseId);
    const batch = release?.batches.find(({ id }) => id === ended.draft.batchId);
    if (!release || !batch) return [];
    const { lastPulledAt } = ended;
    const restDays = lastPulledAt === null ? undefined : batchRestDays(batch, dayOf(lastPulledAt));
    const roast = readRoast(batch, house.roastMap);
    return [
      {
        ...ended,
        facts: factsOf(release, { ...batch, roast, restDays }),
        varieties: release.components.map(({ variety }) => variety),
      },
    ];
  });
}
