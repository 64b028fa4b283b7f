/** Rows as they were before an edit, so that the edit can be taken back. */
import { prepared, type Db } from './database';

export const EDITABLE = [
  'house',
  'release',
  'batch',
  'machine',
  'grinder',
  'basket',
  'setup',
  'programme',
  'shot',
  'tasting',
] as const;
export type Editable = (typeof EDITABLE)[number];

export interface Edit {
  readonly what: Editable;
  readonly rowId: string;
  /** Version of the row the edit made: taken back only while that still stands. */
  readonly madeVersion: number;
  /** What was entered before. */
  readonly before: unknown;
}

/** Keeps what a row was before the command of this id changed it from the version that was seen. */
export function keepBefore(
  db: Db,
  id: string,
  { rowVersion, ...edit }: Omit<Edit, 'madeVersion'> & { readonly rowVersion: number },
): void {
  prepared(
    db,
    `INSERT INTO edit (id, what, row_id, made_version, before)
     VALUES (@id, @what, @rowId, @madeVersion, @before)`,
  ).run({ ...edit, id, madeVersion: rowVersion + 1, before: JSON.stringify(edit.before) });
}

/** The rows one command changed; most change one. */
export function findEdits(db: Db, id: string): Edit[] {
  const rows = prepared(
    db,
    'SELECT what, row_id AS rowId, made_version AS madeVersion, before FROM edit WHERE id = ?',
  ).all(id) as (Edit & { before: string })[];
  return rows.map((row) => ({ ...row, before: JSON.parse(row.before) as unknown }));
}
