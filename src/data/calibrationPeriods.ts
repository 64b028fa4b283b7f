/** The periods of the house's grinders. */
import type { CalibrationPeriod } from '@/core/grinder/calibrationPeriod';
import { prepared, type Db } from './database';
import { now } from './rows';

export interface StoredPeriod extends CalibrationPeriod {
  readonly id: string;
  readonly grinderId: string;
  readonly reason: string;
  readonly createdBy: string;
}

const SELECT_ERA = `
  SELECT e.id, e.grinder_id AS grinderId, e.kind, e.shift, e.reason, e.began_at AS beganAt,
    p.name AS createdBy
  FROM grinder_era e JOIN person p ON p.id = e.created_by`;

/** Every period, oldest first. */
export function listPeriods(db: Db): StoredPeriod[] {
  return prepared(db, `${SELECT_ERA} ORDER BY e.began_at, e.rowid`).all() as StoredPeriod[];
}

/** The periods of a grinder, oldest first. */
export function periodsOf(db: Db, grinderId: string): StoredPeriod[] {
  return prepared(db, `${SELECT_ERA} WHERE e.grinder_id = ? ORDER BY e.began_at, e.rowid`).all(
    grinderId,
  ) as StoredPeriod[];
}

export function insertPeriod(
  db: Db,
  period: Omit<StoredPeriod, 'beganAt' | 'createdBy'>,
  personId: string,
): void {
  prepared(
    db,
    `INSERT INTO grinder_era (id, grinder_id, kind, shift, reason, began_at, created_by)
     VALUES (@id, @grinderId, @kind, @shift, @reason, @beganAt, @personId)`,
  ).run({ ...period, beganAt: now(), personId });
}
