/** What the server does by itself: a backup each night, where the house names a folder; files not made yet. */
import { backupState, isBackupDue } from '@/data/backup';
import type { Db } from '@/data/database';
import { findHouse } from '@/data/house';
import { log } from '@/data/log';
import { makeBackup } from '@/data/makeBackup';
import { troubleOfDatabase } from '@/data/trouble';
import { learnAll } from '@/views/learners';
import { feedFolder } from './feedFolder';
import { publishPlanned } from './planned';
import { pressNew } from './press';
import { brokenVersions } from './versions';

/** How often it looks whether one is due, and how soon after the start. */
const [LOOK_MS, FIRST_LOOK_MS] = [10 * 60_000, 5_000];
/** How often it looks whether the day of a planned card has come. */
const PLANNED_MS = 60_000;

/** Whether the disk still holds what was written is looked at this often. */
const CHECK_MS = 24 * 3_600_000;

export function startNightly(db: Db): void {
  setInterval(() => checkAll(db), CHECK_MS).unref();
  const look = () =>
    void backUpIfDue(db).catch((err: unknown) => log.error({ err }, 'no backup was made'));
  setTimeout(look, FIRST_LOOK_MS).unref();
  setTimeout(
    () =>
      void pressNew(db).catch((err: unknown) => log.error({ err }, 'public files were not made')),
    FIRST_LOOK_MS,
  ).unref();
  setInterval(look, LOOK_MS).unref();
  const lookForPlanned = () =>
    void publishDue(db).catch((err: unknown) => log.error({ err }, 'planned cards did not go out'));
  setTimeout(lookForPlanned, FIRST_LOOK_MS).unref();
  setInterval(lookForPlanned, PLANNED_MS).unref();
  setTimeout(() => void learnAll(db), FIRST_LOOK_MS).unref();
}

/** What was planned for today goes out, with its files. */
async function publishDue(db: Db): Promise<void> {
  if (publishPlanned(db) === 0) return;
  await pressNew(db);
  await feedFolder(db);
}

async function backUpIfDue(db: Db): Promise<void> {
  const house = findHouse(db);
  if (!house || house.backupFolder === '' || !isBackupDue(backupState(db))) return;
  await makeBackup(db, house);
  log.info('a backup was made');
}

/** Says what is damaged; the page of troubles says it to people. */
function checkAll(db: Db): void {
  const words = [troubleOfDatabase(), ...brokenVersions(db).map((name) => `${name} is not whole.`)];
  for (const found of words) if (found) log.error(found);
}
