/** Setups: a machine, a grinder and a basket that stand together. */
import { PART_NAMES } from '@/core/entity/equipment';
import { SETUP, SETUP_LINKS, type SetupLinks } from '@/core/entity/setup';
import { prepared, type Db } from './database';
import { partColumns, readPart, type StoredParts } from './equipment';
import { now } from './rows';
import { tableOf, type Seen } from './table';

export interface StoredSetup extends StoredParts {
  readonly id: string;
  readonly name: string;
  readonly rowVersion: number;
  /** Instruments that send what they read; 'none' is read by hand. */
  readonly links: SetupLinks;
}

export const SETUP_TABLE = tableOf('setup', SETUP);
export const LINKS_TABLE = tableOf('setup', SETUP_LINKS);

/** A setup with its parts, in one go: each part's names carry a prefix. */
const SELECT = `
  SELECT u.id, u.row_version AS rowVersion, ${SETUP_TABLE.selected('u')}, ${LINKS_TABLE.selected('u')},
         ${PART_NAMES.map((part) => partColumns(part, part)).join(', ')}
  FROM setup u ${PART_NAMES.map((part) => `JOIN ${part} ON ${part}.id = u.${part}_id`).join(' ')}`;

function complete(row: unknown): StoredSetup {
  const { id, rowVersion } = row as StoredSetup;
  return {
    id,
    rowVersion,
    ...SETUP_TABLE.read(row),
    links: LINKS_TABLE.read(row),
    machine: readPart('machine', row, 'machine'),
    grinder: readPart('grinder', row, 'grinder'),
    basket: readPart('basket', row, 'basket'),
  };
}

/** Setups in use, oldest first. */
export function listSetups(db: Db): StoredSetup[] {
  return prepared(db, `${SELECT} WHERE u.removed_at IS NULL ORDER BY u.created_at, u.rowid`)
    .all()
    .map(complete);
}

/** Every setup by its id, also those that were taken away: old shots still stand on them. */
export function allSetups(db: Db): Map<string, StoredSetup> {
  const setups = prepared(db, SELECT).all().map(complete);
  return new Map(setups.map((setup) => [setup.id, setup]));
}

/** A setup, also one that was deleted. */
export function findSetup(db: Db, id: string): StoredSetup | null {
  const row = prepared(db, `${SELECT} WHERE u.id = ?`).get(id);
  return row === undefined ? null : complete(row);
}

export interface SetupFields {
  readonly name: string;
  readonly machineId: string;
  readonly grinderId: string;
  readonly basketId: string;
  readonly links: SetupLinks;
}

const PART_SETS = PART_NAMES.map((part) => `${part}_id = @${part}Id`).join(', ');

function parametersOf(fields: SetupFields) {
  const { machineId, grinderId, basketId, links } = fields;
  return {
    ...SETUP_TABLE.write(fields),
    ...LINKS_TABLE.write(links),
    machineId,
    grinderId,
    basketId,
  };
}

export function insertSetup(db: Db, id: string, fields: SetupFields): void {
  prepared(
    db,
    `INSERT INTO setup (id, machine_id, grinder_id, basket_id, created_at, ${SETUP_TABLE.columns},
       ${LINKS_TABLE.columns})
     VALUES (@id, @machineId, @grinderId, @basketId, @at, ${SETUP_TABLE.parameters},
       ${LINKS_TABLE.parameters})`,
  ).run({ ...parametersOf(fields), id, at: now() });
}

/** False when someone else changed the setup since `rowVersion` was read. */
export function updateSetup(db: Db, { id, rowVersion }: Seen, fields: SetupFields): boolean {
  const { changes } = prepared(
    db,
    `UPDATE setup SET ${SETUP_TABLE.sets}, ${LINKS_TABLE.sets}, ${PART_SETS},
       row_version = row_version + 1
     WHERE id = @id AND row_version = @rowVersion`,
  ).run({ ...parametersOf(fields), id, rowVersion });
  return changes === 1;
}
