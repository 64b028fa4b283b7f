/** What happened to a batch, by the house's days: for its rest strip. */
import type { Db } from './database';
import { groupedByOwner, IDS } from './many';
import { dayOf } from './today';

export interface BatchMark {
  readonly kind: 'shot' | 'tasting' | 'publication';
  readonly day: string;
  readonly count: number;
}

interface Moment {
  readonly kind: BatchMark['kind'];
  readonly at: string;
}

const MOMENTS = `
  WITH dialled AS (
    SELECT d.batch_id AS owner, r.id AS draft_id
    FROM dial_in d JOIN recipe_draft r ON r.dial_in_id = d.id WHERE d.batch_id IN ${IDS})
  SELECT owner, 'shot' AS kind, s.pulled_at AS at
  FROM dialled JOIN shot s ON s.recipe_draft_id = draft_id WHERE s.removed_at IS NULL
  UNION ALL
  SELECT owner, 'tasting', t.tasted_at
  FROM dialled JOIN shot s ON s.recipe_draft_id = draft_id JOIN tasting t ON t.shot_id = s.id AND t.removed_at IS NULL
  WHERE s.removed_at IS NULL
  UNION ALL
  SELECT owner, 'publication', v.published_at
  FROM dialled JOIN recipe_version v ON v.draft_id = dialled.draft_id
  ORDER BY at`;

/** Marks of these batches: one a day and kind, earliest first. */
export function marksOfBatches(
  db: Db,
  batchIds: readonly string[],
): (batchId: string) => readonly BatchMark[] {
  const momentsOf = groupedByOwner(db, MOMENTS, batchIds, (row) => row as Moment);
  return (batchId) => {
    const marks = new Map<string, BatchMark>();
    for (const { kind, at } of momentsOf(batchId)) {
      const day = dayOf(at);
      const key = `${kind} ${day}`;
      marks.set(key, { kind, day, count: (marks.get(key)?.count ?? 0) + 1 });
    }
    return [...marks.values()];
  };
}
