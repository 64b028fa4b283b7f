/** What the trial of a release may change and take. */
import { TRIAL, type TrialInput } from '@/core/entity/trial';
import { prepared, type Db } from './database';
import { now } from './rows';
import { tableOf } from './table';

const TABLE = tableOf('trial', TRIAL);

export interface StoredTrial extends TrialInput {
  /** 0 before anything was said. */
  readonly rowVersion: number;
}

export function findTrial(db: Db, releaseId: string): StoredTrial {
  const row = prepared(
    db,
    `SELECT row_version AS rowVersion, ${TABLE.selected()} FROM trial WHERE release_id = ?`,
  ).get(releaseId) as { rowVersion: number } | undefined;
  if (row === undefined) return { rowVersion: 0 };
  return { ...TABLE.read(row), rowVersion: row.rowVersion };
}

/** False when somebody else changed it since `rowVersion` was read. */
export function setTrial(
  db: Db,
  { releaseId, rowVersion }: { readonly releaseId: string; readonly rowVersion: number },
  fields: TrialInput,
  personId: string,
): boolean {
  if (findTrial(db, releaseId).rowVersion !== rowVersion) return false;
  prepared(
    db,
    `INSERT INTO trial (release_id, set_at, set_by, ${TABLE.columns})
     VALUES (@releaseId, @at, @personId, ${TABLE.parameters})
     ON CONFLICT (release_id) DO UPDATE SET ${TABLE.sets}, set_at = @at, set_by = @personId,
       row_version = row_version + 1`,
  ).run({ ...TABLE.write(fields), releaseId, at: now(), personId });
  return true;
}
