/** Machines, grinders and baskets. Each is described once and may stand in several setups. */
import {
  BASKET,
  GRINDER,
  MACHINE,
  type Part,
  type PartInput,
  type PartRow,
} from '@/core/entity/equipment';
import type { Fields } from '@/core/entity/field';
import { prepared, type Db } from './database';
import { tableOf, updateRow, type Seen, type SqlTable } from './table';

export interface Identity {
  readonly id: string;
  readonly rowVersion: number;
}
export type StoredParts = { readonly [P in Part]: PartRow[P] & Identity };
export type StoredMachine = StoredParts['machine'];
export type StoredGrinder = StoredParts['grinder'];
export type StoredBasket = StoredParts['basket'];

export const PART_TABLES = {
  machine: tableOf('machine', MACHINE),
  grinder: tableOf('grinder', GRINDER),
  basket: tableOf('basket', BASKET),
} as const;

/** The three tables are alike in all that is asked of them here. */
const tableOfPart = (part: Part) => PART_TABLES[part] as unknown as SqlTable<Fields>;

/** Columns of a part's table; with a prefix where several parts are joined. */
export function partColumns(part: Part, prefix = ''): string {
  const identity = `${part}.id AS ${prefix}id, ${part}.row_version AS ${prefix}rowVersion`;
  return `${identity}, ${tableOfPart(part).selected(part, prefix)}`;
}

export function readPart<P extends Part>(part: P, row: unknown, prefix = ''): StoredParts[P] {
  const raw = row as Readonly<Record<string, unknown>>;
  return {
    id: raw[`${prefix}id`],
    rowVersion: raw[`${prefix}rowVersion`],
    ...tableOfPart(part).read(row, prefix),
  } as unknown as StoredParts[P];
}

const select = (part: Part) => `SELECT ${partColumns(part)} FROM ${part}`;

/** Every part of a kind in use, by name. */
export function listParts<P extends Part>(db: Db, part: P): StoredParts[P][] {
  return prepared(db, `${select(part)} WHERE removed_at IS NULL ORDER BY name, id`)
    .all()
    .map((row) => readPart(part, row));
}

/** A part, also one that was taken away: old setups still name it. */
export function findPart<P extends Part>(db: Db, part: P, id: string): StoredParts[P] | null {
  const row = prepared(db, `${select(part)} WHERE id = ?`).get(id);
  return row === undefined ? null : readPart(part, row);
}

export function insertPart<P extends Part>(
  db: Db,
  part: P,
  id: string,
  fields: PartInput[P],
): void {
  const { columns, parameters, write } = tableOfPart(part);
  prepared(db, `INSERT INTO ${part} (id, ${columns}) VALUES (@id, ${parameters})`).run({
    ...write(fields as never),
    id,
  });
}

/** False when someone else changed the part since `rowVersion` was read. */
export function updatePart<P extends Part>(
  db: Db,
  part: P,
  seen: Seen,
  fields: PartInput[P],
): boolean {
  return updateRow(db, tableOfPart(part), seen, fields as never);
}

/** Has a recipe or a shot been set on this grinder? */
export function isGrinderUsed(db: Db, id: string): boolean {
  const found = prepared(
    db,
    'SELECT 1 FROM setup u JOIN dial_in d ON d.setup_id = u.id WHERE u.grinder_id = ? LIMIT 1',
  ).get(id);
  return found !== undefined;
}
