/** Traces of shots, as the scale and the machine sent them or a file had them. */
import { z } from 'zod';
import { tracePoint, type Trace } from '@/core/trace/schema';
import { prepared, type Db } from './database';
import { json } from './rows';

const traceRow = z.object({ shotId: z.string(), points: json(z.array(tracePoint)) });

export function insertTrace(db: Db, shotId: string, trace: Trace): void {
  prepared(db, 'INSERT INTO trace (shot_id, points) VALUES (@shotId, @points)').run({
    shotId,
    points: JSON.stringify(trace),
  });
}

/** Traces of a dial-in's shots by shot; most shots have none. */
export function listTraces(db: Db, dialInId: string): ReadonlyMap<string, Trace> {
  const rows = prepared(
    db,
    `SELECT t.shot_id AS shotId, t.points FROM trace t
     JOIN shot s ON s.id = t.shot_id JOIN recipe_draft r ON r.id = s.recipe_draft_id
     WHERE r.dial_in_id = ? AND s.removed_at IS NULL`,
  ).all(dialInId);
  return new Map(
    rows.map((row) => traceRow.parse(row)).map(({ shotId, points }) => [shotId, points]),
  );
}
