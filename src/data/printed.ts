/** Papers that were printed, and cards that are planned to go out on a day. */
import { z } from 'zod';
import type { Paper } from '@/core/papers';
import { prepared, type Db } from './database';
import { invalidate } from './cache';
import { IDS } from './many';
import { json, now } from './rows';

export interface Printed {
  readonly paper: Paper;
  readonly versionNumber: number;
  readonly copies: number;
}

/** The newest version each paper of a release was printed of, with its copies. */
export function newestPrinted(db: Db, releaseId: string): Printed[] {
  return prepared(
    db,
    `SELECT paper, version_number AS versionNumber, sum(copies) AS copies FROM printed_paper q
     WHERE release_id = @releaseId AND version_number =
       (SELECT max(version_number) FROM printed_paper WHERE release_id = @releaseId AND paper = q.paper)
     GROUP BY paper, version_number ORDER BY paper`,
  ).all({ releaseId }) as Printed[];
}

export function insertPrinted(
  db: Db,
  id: string,
  { releaseId, paper, versionNumber, copies }: Printed & { readonly releaseId: string },
  personId: string,
): void {
  prepared(
    db,
    `INSERT INTO printed_paper (id, release_id, version_number, paper, copies, printed_at, printed_by)
     VALUES (@id, @releaseId, @versionNumber, @paper, @copies, @at, @personId)`,
  ).run({ id, releaseId, versionNumber, paper, copies, at: now(), personId });
}

const plannedRow = z.object({
  releaseId: z.string(),
  onDay: z.string(),
  card: json(z.record(z.string(), z.unknown())),
  plannedAt: z.string(),
  plannedBy: z.string(),
  plannedById: z.string(),
  heldBecause: z.string().nullable(),
});
export type PlannedPublication = z.output<typeof plannedRow>;

const SELECT_PLANNED = `
  SELECT q.release_id AS releaseId, q.on_day AS onDay, q.card, q.planned_at AS plannedAt,
    p.name AS plannedBy, p.id AS plannedById, q.held_because AS heldBecause
  FROM planned_publication q JOIN person p ON p.id = q.planned_by`;

export function findPlanned(db: Db, releaseId: string): PlannedPublication | null {
  const row = prepared(db, `${SELECT_PLANNED} WHERE q.release_id = ?`).get(releaseId);
  return row === undefined ? null : plannedRow.parse(row);
}

/** Why the planned card of each of these releases was held back; null where none was. */
export function heldCards(
  db: Db,
  releaseIds: readonly string[],
): (releaseId: string) => string | null {
  const rows = prepared(
    db,
    `SELECT release_id AS releaseId, held_because AS why FROM planned_publication
     WHERE release_id IN ${IDS} AND held_because IS NOT NULL`,
  ).all(JSON.stringify(releaseIds)) as { releaseId: string; why: string }[];
  const whys = new Map(rows.map(({ releaseId, why }) => [releaseId, why]));
  return (releaseId) => whys.get(releaseId) ?? null;
}

/** Those whose day has come, and that were not held before. */
export function listPlannedUntil(db: Db, day: string): PlannedPublication[] {
  return prepared(db, `${SELECT_PLANNED} WHERE q.on_day <= ? AND q.held_because IS NULL`)
    .all(day)
    .map((row) => plannedRow.parse(row));
}

export function setPlanned(
  db: Db,
  { releaseId, onDay, card }: { releaseId: string; onDay: string; card: object },
  personId: string,
): void {
  prepared(
    db,
    `INSERT INTO planned_publication (release_id, on_day, card, planned_at, planned_by)
     VALUES (@releaseId, @onDay, @card, @at, @personId)
     ON CONFLICT (release_id) DO UPDATE SET on_day = @onDay, card = @card, planned_at = @at,
       planned_by = @personId, held_because = NULL`,
  ).run({ releaseId, onDay, card: JSON.stringify(card), at: now(), personId });
}

/** False where nothing was planned. */
export function removePlanned(db: Db, releaseId: string): boolean {
  return (
    prepared(db, 'DELETE FROM planned_publication WHERE release_id = ?').run(releaseId).changes > 0
  );
}

/** No command does this: what is kept of it in memory is told here. */
export function holdPlanned(db: Db, releaseId: string, why: string): void {
  prepared(db, 'UPDATE planned_publication SET held_because = ? WHERE release_id = ?').run(
    why,
    releaseId,
  );
  invalidate(db, ['publication']);
}
