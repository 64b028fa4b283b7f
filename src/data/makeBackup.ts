/** A backup as the house wants it: into its folder, noted, with those gone that are past their time. */
import { UserFault, userFault } from '@/core/errors';
import { faultWords } from '@/words/faults';
import { backUp, noteBackup, rotate, type Backup } from './backup';
import type { Db } from './database';
import type { House } from './house';

let isAtIt = false;

/** @throws UserFault when none was made, also because one is being made. */
export async function makeBackup(
  db: Db,
  { backupFolder, backupDays, backupWeeks }: House,
): Promise<Backup> {
  if (isAtIt)
    throw userFault('conflict', '', 'A backup is being made just now. Look again in a minute.');
  isAtIt = true;
  try {
    const made = await backUp(db, backupFolder);
    noteBackup(db, { ...made, fault: '' });
    rotate(backupFolder, { days: backupDays, weeks: backupWeeks });
    return made;
  } catch (error) {
    if (error instanceof UserFault)
      noteBackup(db, { file: backupFolder, bytes: 0, fault: faultWords(error) });
    throw error;
  } finally {
    isAtIt = false;
  }
}
