/** The eras of the house's grinders. */
import type { Era } from '@/core/grinder/era';
import { prepared, type Db } from './database';
import { now } from './rows';

export interface StoredEra extends Era {
  readonly id: string;
  readonly grinderId: string;
  readonly reason: string;
  readonly createdBy: string;
}

const SELECT_ERA = `
  SELECT e.id, e.grinder_id AS grinderId, e.kind, e.shift, e.reason, e.began_at AS beganAt,
    p.name AS createdBy
  FROM grinder_era e JOIN person p ON p.id = e.created_by`;

/** Every era, oldest first. */
export function listEras(db: Db): StoredEra[] {
  return prepared(db, `${SELECT_ERA} ORDER BY e.began_at, e.rowid`).all() as StoredEra[];
}

/** The eras of a grinder, oldest first. */
export function erasOf(db: Db, grinderId: string): StoredEra[] {
  return prepared(db, `${SELECT_ERA} WHERE e.grinder_id = ? ORDER BY e.began_at, e.rowid`).all(
    grinderId,
  ) as StoredEra[];
}

export function insertEra(
  db: Db,
  era: Omit<StoredEra, 'beganAt' | 'createdBy'>,
  personId: string,
): void {
  prepared(
    db,
    `INSERT INTO grinder_era (id, grinder_id, kind, shift, reason, began_at, created_by)
     VALUES (@id, @grinderId, @kind, @shift, @reason, @beganAt, @personId)`,
  ).run({ ...era, beganAt: now(), personId });
}
