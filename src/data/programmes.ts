/** The house's own programmes, and which of them its styles begin with. */
import { z } from 'zod';
import { programmeSchema } from '@/core/programme/programme';
import { STYLES } from '@/core/vocabulary';
import { prepared, type Db } from './database';
import { bool, json, now } from './rows';

const programmeRow = z.object({
  id: z.string(),
  name: z.string(),
  style: z.enum(STYLES),
  steps: json(programmeSchema),
  /** Start begins its style with this one. */
  isFirst: bool,
  rowVersion: z.number(),
});
export type StoredProgramme = z.output<typeof programmeRow>;

/** Programmes in use by name; at most one of a style is its first. */
export function listProgrammes(db: Db): StoredProgramme[] {
  return prepared(
    db,
    `SELECT id, name, style, steps, is_first AS isFirst, row_version AS rowVersion
     FROM programme WHERE removed_at IS NULL ORDER BY name COLLATE NOCASE, id`,
  )
    .all()
    .map((row) => programmeRow.parse(row));
}

export type ProgrammeFields = Omit<StoredProgramme, 'id' | 'rowVersion'>;

/** The columns of what is saved, by whom and when. */
function rowOf({ steps, isFirst, ...fields }: ProgrammeFields, personId: string) {
  const kept = { steps: JSON.stringify(steps), isFirst: Number(isFirst) };
  return { ...fields, ...kept, at: now(), personId };
}

/** A style begins with one programme: a new first takes the place of the old, of one taken away too. */
function makeRoom(db: Db, { style, isFirst }: ProgrammeFields): void {
  if (isFirst) prepared(db, 'UPDATE programme SET is_first = 0 WHERE style = ?').run(style);
}

export function insertProgramme(
  db: Db,
  id: string,
  fields: ProgrammeFields,
  personId: string,
): void {
  makeRoom(db, fields);
  prepared(
    db,
    `INSERT INTO programme (id, name, style, steps, is_first, saved_at, saved_by)
     VALUES (@id, @name, @style, @steps, @isFirst, @at, @personId)`,
  ).run({ ...rowOf(fields, personId), id });
}

/** False when someone else changed the programme since `rowVersion` was read. */
export function updateProgramme(
  db: Db,
  { id, rowVersion }: { id: string; rowVersion: number },
  fields: ProgrammeFields,
  personId: string,
): boolean {
  makeRoom(db, fields);
  const { changes } = prepared(
    db,
    `UPDATE programme SET name = @name, style = @style, steps = @steps, is_first = @isFirst,
       saved_at = @at, saved_by = @personId, row_version = row_version + 1
     WHERE id = @id AND row_version = @rowVersion AND removed_at IS NULL`,
  ).run({ ...rowOf(fields, personId), id, rowVersion });
  return changes === 1;
}
