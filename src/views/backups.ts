/** How the house's backups stand, in words for the screens. Server only. */
import { dayWords } from '@/core/dayWords';
import { backupState, isBackupOld, type BackupState } from '@/data/backup';
import type { Db } from '@/data/database';
import { dayOf } from '@/data/today';

export interface BackupView extends BackupState {
  readonly isOld: boolean;
}

export function readBackups(db: Db): BackupView {
  const state = backupState(db);
  return { ...state, isOld: isBackupOld(state) };
}

/** What the lead is told where the last good backup is too old; null where it is not. */
export function backupWarning(db: Db, folder: string): string | null {
  const { good, failed, isOld } = readBackups(db);
  if (!isOld) return null;
  const last = good
    ? `The last good backup is of ${dayWords(dayOf(good.at))}.`
    : 'There is no backup of this house.';
  if (folder === '') return `${last} Name a folder on another disk, and one is made every night.`;
  return failed ? `${last} ${failed.fault}` : last;
}
