/** Checks of a batch that somebody asked for. */
import type { Input } from '@/core/entity/field';
import { RECHECK } from '@/core/entity/recheck';
import type { AskedCheck } from '@/core/rest/checkPlan';
import { prepared, type Db } from './database';
import { groupedByOwner, IDS } from './many';
import { now } from './rows';
import { tableOf } from './table';

const TABLE = tableOf('recheck', RECHECK);

const SELECT = `
  SELECT r.batch_id AS owner, r.id, ${TABLE.selected('r')}
  FROM recheck r WHERE r.batch_id IN ${IDS} AND r.removed_at IS NULL ORDER BY r.batch_id, r.day, r.id`;

/** Of these batches, by their day. */
export function rechecksOfBatches(
  db: Db,
  batchIds: readonly string[],
): (batchId: string) => readonly AskedCheck[] {
  return groupedByOwner(db, SELECT, batchIds, (row) => ({
    id: (row as AskedCheck).id,
    ...TABLE.read(row),
  }));
}

export function insertRecheck(
  db: Db,
  id: string,
  batchId: string,
  fields: Input<typeof RECHECK>,
  personId: string,
): void {
  prepared(
    db,
    `INSERT INTO recheck (id, batch_id, made_at, made_by, ${TABLE.columns})
     VALUES (@id, @batchId, @at, @personId, ${TABLE.parameters})`,
  ).run({ ...TABLE.write(fields), id, batchId, at: now(), personId });
}
