/** Setups: a machine, a grinder and a basket that stand together. */
import { z } from 'zod';
import { assert } from '@/core/errors';
import { LINKS, type Instrument, type Link } from '@/core/vocabulary';
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
  scale: z.enum(LINKS),
  machineLink: z.enum(LINKS),
  refractometer: z.enum(LINKS),
  colourMeter: z.enum(LINKS),
});

export interface StoredSetup extends StoredParts {
  readonly id: string;
  readonly name: string;
  readonly rowVersion: number;
  /** Instruments that send what they read; 'none' is read by hand. */
  readonly links: Readonly<Record<Instrument, Link>>;
}

const SELECT = `
  SELECT id, name, row_version AS rowVersion, machine_id AS machineId, grinder_id AS grinderId,
         basket_id AS basketId, scale, machine_link AS machineLink, refractometer,
         colour_meter AS colourMeter
  FROM setup`;

function complete(db: Db, raw: unknown): StoredSetup {
  const { id, name, rowVersion, machineId, grinderId, basketId, ...links } = setupRow.parse(raw);
  const machine = findPart(db, 'machine', machineId);
  const grinder = findPart(db, 'grinder', grinderId);
  const basket = findPart(db, 'basket', basketId);
  assert(machine && grinder && basket, `setup ${id} lacks a part`);
  return { id, name, rowVersion, machine, grinder, basket, links };
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
  readonly links: Readonly<Record<Instrument, Link>>;
}

const rowOf = ({ links, ...fields }: SetupFields) => ({ ...fields, ...links });

export function insertSetup(db: Db, id: string, fields: SetupFields): void {
  prepared(
    db,
    `INSERT INTO setup (id, name, machine_id, grinder_id, basket_id, scale, machine_link,
       refractometer, colour_meter, created_at)
     VALUES (@id, @name, @machineId, @grinderId, @basketId, @scale, @machineLink, @refractometer,
       @colourMeter, @at)`,
  ).run({ ...rowOf(fields), id, at: now() });
}

/** False when someone else changed the setup since `rowVersion` was read. */
export function updateSetup(
  db: Db,
  { id, rowVersion }: { id: string; rowVersion: number },
  fields: SetupFields,
): boolean {
  const { changes } = prepared(
    db,
    `UPDATE setup SET name = @name, machine_id = @machineId, grinder_id = @grinderId,
         basket_id = @basketId, scale = @scale, machine_link = @machineLink,
         refractometer = @refractometer, colour_meter = @colourMeter, row_version = row_version + 1
       WHERE id = @id AND row_version = @rowVersion`,
  ).run({ ...rowOf(fields), id, rowVersion });
  return changes === 1;
}
