/** Traces of shots, as the scale and the machine sent them or a file had them. */
import { z } from 'zod';
import { tracePoint, type Trace } from '@/core/trace/schema';
import { prepared, type Db } from './database';
import { IDS } from './many';
import { json } from './rows';

const traceRow = z.object({ shotId: z.string(), points: json(z.array(tracePoint)) });

export function insertTrace(db: Db, shotId: string, trace: Trace): void {
  prepared(db, 'INSERT INTO trace (shot_id, points) VALUES (@shotId, @points)').run({
    shotId,
    points: JSON.stringify(trace),
  });
}

/** Traces of these shots by shot; most shots have none. */
export function findTraces(db: Db, shotIds: readonly string[]): ReadonlyMap<string, Trace> {
  const rows = prepared(
    db,
    `SELECT shot_id AS shotId, points FROM trace WHERE shot_id IN ${IDS}`,
  ).all(JSON.stringify(shotIds));
  return new Map(
    rows.map((row) => traceRow.parse(row)).map(({ shotId, points }) => [shotId, points]),
  );
}
