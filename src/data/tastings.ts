/** Tastings: what somebody made of the cup of a shot. */
import { TASTING, type StoredTastingRow } from '@/core/entity/tasting';
import type { Input } from '@/core/entity/field';
import type { Taste } from '@/core/schema/shot';
import { prepared, type Db } from './database';
import { groupedByOwner, IDS } from './many';
import { now } from './rows';
import { tableOf, type Seen } from './table';

export interface StoredTasting extends StoredTastingRow {
  readonly id: string;
  readonly rowVersion: number;
  readonly shotId: string;
  readonly tastedAt: string;
  readonly tastedBy: string;
  readonly tastedById: string;
  /** Tasted in a flight, before anybody knew which cup was which. */
  readonly isBlind: boolean;
  readonly scales: Taste;
}

export const TASTING_TABLE = tableOf('tasting', TASTING);

/** Who tasted `t`, kept by person `p`: a guest of a flight is one taster by name over all flights. */
export const TASTER_COLUMNS = `
  COALESCE(t.guest, p.name) AS tastedBy,
  CASE WHEN t.guest IS NULL THEN t.tasted_by ELSE 'guest ' || lower(t.guest) END AS tastedById`;

/** Columns of a tasting `t` kept by a person `p`. */
export const TASTING_COLUMNS = `
  t.id, t.row_version AS rowVersion, t.shot_id AS shotId, t.tasted_at AS tastedAt, ${TASTER_COLUMNS},
  t.flight_id IS NOT NULL AS isBlind, t.scales, ${TASTING_TABLE.selected('t')}`;

export function completeTasting(row: unknown): StoredTasting {
  const { id, rowVersion, shotId, tastedAt, tastedBy, tastedById, isBlind, scales } =
    row as StoredTasting;
  return {
    id,
    rowVersion,
    shotId,
    tastedAt,
    tastedBy,
    tastedById,
    isBlind: Boolean(isBlind),
    scales: JSON.parse(String(scales)) as Taste,
    ...TASTING_TABLE.read(row),
  };
}

/** Tastings of the shots of these dial-ins, oldest first. */
export function tastingsOfDialIns(
  db: Db,
  dialInIds: readonly string[],
): (dialInId: string) => readonly StoredTasting[] {
  const sql = `
    SELECT r.dial_in_id AS owner, ${TASTING_COLUMNS}
    FROM tasting t JOIN shot s ON s.id = t.shot_id AND t.removed_at IS NULL
    JOIN recipe_draft r ON r.id = s.recipe_draft_id JOIN person p ON p.id = t.tasted_by
    WHERE r.dial_in_id IN ${IDS} AND s.removed_at IS NULL ORDER BY t.tasted_at, t.rowid`;
  return groupedByOwner(db, sql, dialInIds, completeTasting);
}

/** Tastings of a dial-in's shots, oldest first. */
export function listTastings(db: Db, dialInId: string): readonly StoredTasting[] {
  return tastingsOfDialIns(db, [dialInId])(dialInId);
}

export interface TastingFields extends Input<typeof TASTING> {
  readonly shotId: string;
  readonly scales: Taste;
  /** Name of a taster who is not of the house. */
  readonly guest?: string | undefined;
  /** Now when absent. */
  readonly tastedAt?: string | undefined;
}

export function insertTasting(db: Db, id: string, fields: TastingFields, personId: string): void {
  const { shotId, scales, guest = null, tastedAt = now() } = fields;
  prepared(
    db,
    `INSERT INTO tasting (id, shot_id, tasted_at, tasted_by, guest, scales, ${TASTING_TABLE.columns})
     VALUES (@id, @shotId, @tastedAt, @personId, @guest, @scales, ${TASTING_TABLE.parameters})`,
  ).run({
    ...TASTING_TABLE.write(fields),
    id,
    shotId,
    tastedAt,
    personId,
    guest,
    scales: JSON.stringify(scales),
  });
}

/** Whose sheet it is and of which release; null when there is none, deleted ones included. */
export function findTasting(
  db: Db,
  id: string,
): (StoredTasting & { readonly releaseId: string }) | null {
  const row = prepared(
    db,
    `SELECT ${TASTING_COLUMNS}, d.release_id AS releaseId
     FROM tasting t JOIN shot s ON s.id = t.shot_id
     JOIN recipe_draft r ON r.id = s.recipe_draft_id JOIN dial_in d ON d.id = r.dial_in_id
     JOIN person p ON p.id = t.tasted_by WHERE t.id = ?`,
  ).get(id) as { releaseId: string } | undefined;
  return row ? { ...completeTasting(row), releaseId: row.releaseId } : null;
}

export type CorrectedTasting = Input<typeof TASTING> & Pick<TastingFields, 'scales'>;

/** False when someone else changed or deleted the sheet since `rowVersion` was read. */
export function updateTasting(db: Db, { id, rowVersion }: Seen, fields: CorrectedTasting): boolean {
  const { changes } = prepared(
    db,
    `UPDATE tasting SET ${TASTING_TABLE.sets}, scales = @scales, row_version = row_version + 1
     WHERE id = @id AND row_version = @rowVersion AND removed_at IS NULL`,
  ).run({ ...TASTING_TABLE.write(fields), scales: JSON.stringify(fields.scales), id, rowVersion });
  return changes === 1;
}

/** Deletes a sheet, or restores it; the row is kept. */
export function setTastingRemoved(db: Db, id: string, removed: boolean): void {
  prepared(db, 'UPDATE tasting SET removed_at = ? WHERE id = ?').run(removed ? now() : null, id);
}
