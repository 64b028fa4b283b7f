/** Setups: a machine, a grinder and a basket that stand together. */
import { z } from 'zod';
import { assert } from '@/core/errors';
import { prepared, type Db } from './database';
import { findPart, type StoredParts } from './equipment';
import { now } from './rows';

const setupRow = z.object({
  id: z.string(),
  name: z.string(),
  rowVersion: z.number(),
  machineId: z.string(),
  grinderId: z.string(),
  basketId: z.string(),
});

export interface StoredSetup extends StoredParts {
  readonly id: string;
  readonly name: string;
  readonly rowVersion: number;
}

const SELECT = `
  SELECT id, name, row_version AS rowVersion, machine_id AS machineId, grinder_id AS grinderId,
         basket_id AS basketId
  FROM setup`;

function complete(db: Db, raw: unknown): StoredSetup {
  const { id, name, rowVersion, machineId, grinderId, basketId } = setupRow.parse(raw);
  const machine = findPart(db, 'machine', machineId);
  const grinder = findPart(db, 'grinder', grinderId);
  const basket = findPart(db, 'basket', basketId);
  assert(machine && grinder && basket, `setup ${id} lacks a part`);
  return { id, name, rowVersion, machine, grinder, basket };
}

/** Setups in use, oldest first. */
export function listSetups(db: Db): StoredSetup[] {
  return prepared(db, `${SELECT} WHERE removed_at IS NULL ORDER BY created_at, rowid`)
    .all()
    .map((row) => complete(db, row));
}

/** A setup, also one that was taken away: old shots still stand on it. */
export function findSetup(db: Db, id: string): StoredSetup | null {
  const row = prepared(db, `${SELECT} WHERE id = ?`).get(id);
  return row === undefined ? null : complete(db, row);
}

export interface SetupFields {
  readonly name: string;
  readonly machineId: string;
  readonly grinderId: string;
  readonly basketId: string;
}

export function insertSetup(db: Db, id: string, fields: SetupFields): void {
  prepared(db, `INSERT INTO setup (id, name, machine_id, grinder_id, basket_id, created_at)
     VALUES (@id, @name, @machineId, @grinderId, @basketId, @at)`,
  ).run({ ...fields, id, at: now() });
}

/** False when someone else changed the setup since `rowVersion` was read. */
export function updateSetup(
  db: Db,
  { id, rowVersion }: { id: string; rowVersion: number },
  fields: SetupFields,
): boolean {
  const { changes } = prepared(db, `UPDATE setup SET name = @name, machine_id = @machineId, grinder_id = @grinderId,
         basket_id = @basketId, row_version = row_version + 1
       WHERE id = @id AND row_version = @rowVersion`,
    )
    .run({ ...fields, id, rowVersion });
  return changes === 1;
}
