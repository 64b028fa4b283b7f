/** What happened to a batch, by the house's days: for its rest strip. */
import { z } from 'zod';
import { prepared, type Db } from './database';
import { dayOf } from './today';

const MARK_KINDS = ['shot', 'tasting', 'publication'] as const;
const momentRow = z.object({ kind: z.enum(MARK_KINDS), at: z.string() });

export interface BatchMark {
  readonly kind: (typeof MARK_KINDS)[number];
  readonly day: string;
  readonly count: number;
}

/** One mark a day and kind, earliest first. */
export function listMarks(db: Db, batchId: string): BatchMark[] {
  const moments = prepared(
    db,
    `SELECT 'shot' AS kind, s.pulled_at AS at
       FROM dial_in d JOIN recipe_draft r ON r.dial_in_id = d.id
       JOIN shot s ON s.recipe_draft_id = r.id
       WHERE d.batch_id = @batchId AND s.removed_at IS NULL
       UNION ALL
       SELECT 'tasting', t.tasted_at
       FROM dial_in d JOIN recipe_draft r ON r.dial_in_id = d.id
       JOIN shot s ON s.recipe_draft_id = r.id JOIN tasting t ON t.shot_id = s.id
       WHERE d.batch_id = @batchId AND s.removed_at IS NULL
       UNION ALL
       SELECT 'publication', v.published_at
       FROM recipe_version v JOIN recipe_draft r ON r.id = v.draft_id
       JOIN dial_in d ON d.id = r.dial_in_id WHERE d.batch_id = @batchId
       ORDER BY at`,
  )
    .all({ batchId })
    .map((row) => momentRow.parse(row));
  const marks = new Map<string, BatchMark>();
  for (const { kind, at } of moments) {
    const day = dayOf(at);
    const key = `${kind} ${day}`;
    marks.set(key, { kind, day, count: (marks.get(key)?.count ?? 0) + 1 });
  }
  return [...marks.values()];
}
