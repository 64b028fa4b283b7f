/** What cafés sent: visits and their checks. */
import { CAFE_CHECK, type CafeCheckInput, type CafeCheckRow } from '@/core/entity/cafeCheck';
import type { Clock } from '@/core/vocabulary';
import { prepared, type Db } from './database';
import { now } from './rows';
import { tableOf } from './table';

/** The recipe a check was judged by, on the café's clock. */
export interface CheckTarget {
  readonly doseG: number;
  readonly yieldG: number;
  readonly timeS: readonly [number, number];
  readonly clock: Clock;
}

export interface StoredCheck extends CafeCheckRow {
  readonly id: string;
  readonly visitId: string;
  readonly partnerId: string;
  readonly visitedAt: string;
  readonly releaseId: string;
  readonly versionNumber: number;
  readonly roastDate: string | null;
  readonly target: CheckTarget;
  /** Order in which visits arrived. */
  readonly visitRow: number;
}

export interface StoredVisit {
  readonly id: string;
  readonly partnerId: string;
  readonly visitedAt: string;
  readonly receivedAt: string;
  readonly isDatedHere: boolean;
  readonly enteredBy: string | null;
  readonly help: string;
  readonly helpSettledAt: string | null;
}

const TABLE = tableOf('field_check', CAFE_CHECK);

const SELECT = `
  SELECT c.id, c.visit_id AS visitId, v.partner_id AS partnerId, v.visited_at AS visitedAt,
    c.release_id AS releaseId, c.version_number AS versionNumber, c.roast_date AS roastDate,
    c.target_dose_g AS targetDoseG, c.target_yield_g AS targetYieldG, c.target_from_s AS fromS,
    c.target_to_s AS toS, c.clock AS clock, v.rowid AS visitRow, ${TABLE.selected('c')}
  FROM field_visit v JOIN field_check c ON c.visit_id = v.id
  WHERE c.removed_at IS NULL`;

interface CheckRow extends Omit<StoredCheck, keyof CafeCheckRow | 'target'> {
  readonly targetDoseG: number;
  readonly targetYieldG: number;
  readonly fromS: number;
  readonly toS: number;
  readonly clock: Clock;
}

function checkOf(row: unknown): StoredCheck {
  const { targetDoseG, targetYieldG, fromS, toS, clock, ...known } = row as CheckRow;
  const { id, visitId, partnerId, visitedAt, releaseId, versionNumber, roastDate, visitRow } =
    known;
  return {
    ...{ id, visitId, partnerId, visitedAt, releaseId, versionNumber, roastDate, visitRow },
    target: { doseG: targetDoseG, yieldG: targetYieldG, timeS: [fromS, toS], clock },
    ...TABLE.read(row),
  };
}

/** Checks of all cafés since a moment, oldest first. */
export function checksSince(db: Db, moment: string): StoredCheck[] {
  return prepared(db, `${SELECT} AND v.visited_at >= ? ORDER BY v.visited_at, v.id, c.rowid`)
    .all(moment)
    .map(checkOf);
}

/** Checks of visits that arrived after another, in the order they arrived. */
export function checksAfter(db: Db, visitRow: number): StoredCheck[] {
  return prepared(db, `${SELECT} AND v.rowid > ? ORDER BY v.rowid, c.rowid`)
    .all(visitRow)
    .map(checkOf);
}

/** Checks of one café since a moment, oldest first. */
export function checksOfPartner(db: Db, partnerId: string, moment: string): StoredCheck[] {
  return prepared(
    db,
    `${SELECT} AND v.partner_id = ? AND v.visited_at >= ? ORDER BY v.visited_at, v.id, c.rowid`,
  )
    .all(partnerId, moment)
    .map(checkOf);
}

/** What a café said of one version of a coffee, and where its cups were pulled: means, s on the café's clock. */
export interface TastedVersion {
  readonly partnerId: string;
  readonly releaseId: string;
  readonly versionNumber: number;
  readonly clock: Clock;
  readonly ratio: number;
  readonly timeS: number;
  readonly fine: number;
  readonly sour: number;
  readonly bitter: number;
}

/** A cup whose time or yield was off by more than this share is another drink. House heuristic. */
const OTHER_DRINK_FROM = 0.3;

/** Words of every café since a moment, put together by version; cups far off are left out. */
export function tastedVersions(db: Db, moment: string): TastedVersion[] {
  return prepared(
    db,
    `SELECT v.partner_id AS partnerId, c.release_id AS releaseId, c.version_number AS versionNumber,
       c.clock, avg(c.yield_g / c.dose_g) AS ratio, avg(c.time_s) AS timeS,
       sum(c.taste = 'fine') AS fine, sum(c.taste = 'sour') AS sour, sum(c.taste = 'bitter') AS bitter
     FROM field_visit v JOIN field_check c ON c.visit_id = v.id
     WHERE c.removed_at IS NULL AND v.visited_at >= @moment AND c.taste IN ('fine', 'sour', 'bitter')
       AND abs(2 * c.time_s / (c.target_from_s + c.target_to_s) - 1) < @far
       AND abs(c.yield_g / c.target_yield_g - 1) < @far
     GROUP BY v.partner_id, c.release_id, c.version_number, c.clock`,
  ).all({ moment, far: OTHER_DRINK_FROM }) as TastedVersion[];
}

const VISIT = `
  SELECT id, partner_id AS partnerId, visited_at AS visitedAt, received_at AS receivedAt,
    is_dated_here AS isDatedHere, entered_by AS enteredBy, help, help_settled_at AS helpSettledAt
  FROM field_visit`;

const visitOf = (row: unknown): StoredVisit => {
  const visit = row as Omit<StoredVisit, 'isDatedHere'> & { isDatedHere: number };
  return { ...visit, isDatedHere: visit.isDatedHere === 1 };
};

/** Visits of all cafés since a moment, oldest first. */
export function visitsSince(db: Db, moment: string): StoredVisit[] {
  return prepared(db, `${VISIT} WHERE visited_at >= ? ORDER BY visited_at, id`)
    .all(moment)
    .map(visitOf);
}

/** Visits that asked for help and were not answered. */
export function openHelp(db: Db): StoredVisit[] {
  return prepared(db, `${VISIT} WHERE help <> '' AND help_settled_at IS NULL ORDER BY visited_at`)
    .all()
    .map(visitOf);
}

export function countVisitsReceivedSince(db: Db, partnerId: string, moment: string): number {
  const row = prepared(
    db,
    'SELECT count(*) AS n FROM field_visit WHERE partner_id = ? AND received_at >= ?',
  ).get(partnerId, moment);
  return (row as { n: number }).n;
}

export function insertVisit(
  db: Db,
  visit: Pick<StoredVisit, 'id' | 'partnerId' | 'visitedAt' | 'isDatedHere' | 'enteredBy' | 'help'>,
): void {
  prepared(
    db,
    `INSERT INTO field_visit (id, partner_id, visited_at, received_at, is_dated_here, entered_by, help)
     VALUES (@id, @partnerId, @visitedAt, @at, @isDatedHere, @enteredBy, @help)`,
  ).run({ ...visit, isDatedHere: Number(visit.isDatedHere), at: now() });
}

export interface NewCheck {
  readonly id: string;
  readonly visitId: string;
  readonly releaseId: string;
  readonly versionNumber: number;
  readonly roastDate: string | null;
  readonly target: CheckTarget;
  readonly fields: CafeCheckInput;
}

export function insertCheck(db: Db, { target, fields, ...check }: NewCheck): void {
  prepared(
    db,
    `INSERT INTO field_check (id, visit_id, release_id, version_number, roast_date, target_dose_g,
       target_yield_g, target_from_s, target_to_s, clock, ${TABLE.columns})
     VALUES (@id, @visitId, @releaseId, @versionNumber, @roastDate, @targetDoseG, @targetYieldG,
       @fromS, @toS, @clock, ${TABLE.parameters})`,
  ).run({
    ...TABLE.write(fields),
    ...check,
    targetDoseG: target.doseG,
    targetYieldG: target.yieldG,
    fromS: target.timeS[0],
    toS: target.timeS[1],
    clock: target.clock,
  });
}

/** The visit's café; null when its call for help is settled already or there was none. */
export function noteHelpSettled(db: Db, visitId: string, personId: string): string | null {
  const row = prepared(
    db,
    `UPDATE field_visit SET help_settled_at = ?, help_settled_by = ?
     WHERE id = ? AND help <> '' AND help_settled_at IS NULL RETURNING partner_id AS partnerId`,
  ).get(now(), personId, visitId) as { partnerId: string } | undefined;
  return row?.partnerId ?? null;
}

/** Takes a check away that was written down wrongly; false when it is gone already. */
export function removeCheck(db: Db, id: string, isRemoved: boolean): boolean {
  const { changes } = prepared(
    db,
    `UPDATE field_check SET removed_at = ? WHERE id = ? AND (removed_at IS NULL) = ?`,
  ).run(isRemoved ? now() : null, id, Number(isRemoved));
  return changes === 1;
}
