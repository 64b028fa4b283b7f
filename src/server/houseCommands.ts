/** What `kb` does with a whole house, while it is used or into an empty place. */
import { existsSync } from 'node:fs';
import { userFault } from '@/core/errors';
import { backUp, keepNewest, noteBackup } from '@/data/backup';
import { databaseFile, openDatabase, type Db } from '@/data/database';
import { findHouse } from '@/data/house';
import { restore } from '@/data/restore';
import { liveIn } from '@/data/timeZone';
import { HOUSE_USAGE, type HouseCommand } from './houseUsage';
import { writeSite } from './site';
import { exportHouse, importHouse } from './wholeHouse';

type Words = readonly string[];

/** Null where it is said in another way than it is meant to be. */
const RUN: Readonly<Record<HouseCommand, (words: Words) => unknown>> = {
  backup: ([option, folder, keep, count, ...more]) => {
    if (option !== '--to' || !folder || more.length > 0) return null;
    if (keep === undefined)
      return withHouse(async (db) => {
        const made = await backUp(db, folder);
        noteBackup(db, { ...made, fault: '' });
        return made;
      });
    if (keep !== '--keep' || !/^[1-9]\d{0,2}$/.test(count ?? '')) return null;
    // A copy in passing: the house's own nightly backups stay due.
    return withHouse(async (db) => {
      const made = await backUp(db, folder);
      keepNewest(folder, Number(count));
      return made;
    });
  },
  restore: ([file, ...more]) => (!file || more.length > 0 ? null : restore(file, databaseFile())),
  export: ([all, option, folder, ...more]) => {
    if (all !== '--all' || option !== '--to' || !folder || more.length > 0) return null;
    return withHouse((db) => exportHouse(db, folder));
  },
  import: ([all, folder, ...more]) =>
    all !== '--all' || !folder || more.length > 0 ? null : importHouse(folder, databaseFile()),
  site: ([option, folder, ...more]) =>
    option !== '--out' || !folder || more.length > 0
      ? null
      : withHouse((db) => writeSite(db, folder)),
};

/**
 * Runs a command of a house.
 * @throws UserFault when it is said wrongly or cannot be done.
 */
export async function runHouseCommand(name: HouseCommand, words: Words): Promise<unknown> {
  const answer = await RUN[name](words);
  if (answer === null) throw userFault('badInput', '', `Say: kb ${HOUSE_USAGE[name]}`);
  return answer;
}

async function withHouse<T>(work: (db: Db) => T | Promise<T>): Promise<T> {
  const file = databaseFile();
  if (!existsSync(file))
    throw userFault(
      'notFound',
      '',
      `There is no house at ${file}. Set KETTLEBRAND_DATA to its folder.`,
    );
  const db = openDatabase(file);
  try {
    liveIn(findHouse(db)?.timeZone ?? '');
    return await work(db);
  } finally {
    db.close();
  }
}
