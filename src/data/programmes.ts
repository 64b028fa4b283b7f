/** The house's own programmes, and which of them its styles begin with. */
import { PROGRAMME, type ProgrammeInput, type ProgrammeRow } from '@/core/entity/programme';
import { prepared, type Db } from './database';
import { now } from './rows';
import { tableOf, updateRow, type Seen } from './table';

export interface StoredProgramme extends ProgrammeRow {
  readonly id: string;
  readonly rowVersion: number;
}

export const PROGRAMME_TABLE = tableOf('programme', PROGRAMME);

const SELECT = `
  SELECT id, row_version AS rowVersion, ${PROGRAMME_TABLE.selected()} FROM programme`;

function complete(row: unknown): StoredProgramme {
  const { id, rowVersion } = row as StoredProgramme;
  return { id, rowVersion, ...PROGRAMME_TABLE.read(row) };
}

/** Programmes in use by name; at most one of a style is its first. */
export function listProgrammes(db: Db): StoredProgramme[] {
  return prepared(db, `${SELECT} WHERE removed_at IS NULL ORDER BY name COLLATE NOCASE, id`)
    .all()
    .map(complete);
}

export function findProgramme(db: Db, id: string): StoredProgramme | null {
  const row = prepared(db, `${SELECT} WHERE id = ?`).get(id);
  return row === undefined ? null : complete(row);
}

/** A style begins with one programme: a new first takes the place of the old, of one taken away too. */
function makeRoom(db: Db, { style, isFirst }: ProgrammeInput): void {
  if (isFirst) prepared(db, 'UPDATE programme SET is_first = 0 WHERE style = ?').run(style);
}

export function insertProgramme(
  db: Db,
  id: string,
  fields: ProgrammeInput,
  personId: string,
): void {
  makeRoom(db, fields);
  prepared(
    db,
    `INSERT INTO programme (id, saved_at, saved_by, ${PROGRAMME_TABLE.columns})
     VALUES (@id, @at, @personId, ${PROGRAMME_TABLE.parameters})`,
  ).run({ ...PROGRAMME_TABLE.write(fields), id, at: now(), personId });
}

/** False when someone else changed the programme since `rowVersion` was read. */
export function updateProgramme(
  db: Db,
  seen: Seen,
  fields: ProgrammeInput,
  personId: string,
): boolean {
  makeRoom(db, fields);
  if (!updateRow(db, PROGRAMME_TABLE, seen, fields)) return false;
  prepared(db, 'UPDATE programme SET saved_at = ?, saved_by = ? WHERE id = ?').run(
    now(),
    personId,
    seen.id,
  );
  return true;
}
