/** What `kb` does with a whole house, while it is used or into an empty place. */
import { existsSync } from 'node:fs';
import { UserFault, userFault } from '@/core/errors';
import { backUp, noteBackup } from '@/data/backup';
import { databaseFile, openDatabase, type Db } from '@/data/database';
import { restore } from '@/data/restore';
import { writeSite } from './site';
import { exportHouse, importHouse } from './wholeHouse';

type Words = readonly string[];

const HOUSE_COMMANDS: Readonly<Record<string, { usage: string; run: (words: Words) => unknown }>> =
  {
    backup: {
      usage: 'backup --to FOLDER',
      run: ([option, folder, ...more]) => {
        if (option !== '--to' || !folder || more.length > 0) return null;
        return withHouse(async (db) => {
          const made = await backUp(db, folder);
          noteBackup(db, { ...made, fault: '' });
          return made;
        });
      },
    },
    export: {
      usage: 'export --all --to FOLDER',
      run: ([all, option, folder, ...more]) => {
        if (all !== '--all' || option !== '--to' || !folder || more.length > 0) return null;
        return withHouse((db) => exportHouse(db, folder));
      },
    },
    import: {
      usage: 'import --all FOLDER',
      run: ([all, folder, ...more]) =>
        all !== '--all' || !folder || more.length > 0 ? null : importHouse(folder, databaseFile()),
    },
    site: {
      usage: 'site --out FOLDER',
      run: ([option, folder, ...more]) =>
        option !== '--out' || !folder || more.length > 0
          ? null
          : withHouse((db) => writeSite(db, folder)),
    },
    restore: {
      usage: 'restore FILE',
      run: ([file, ...more]) => (!file || more.length > 0 ? null : restore(file, databaseFile())),
    },
  };

export const houseCommandWords = Object.values(HOUSE_COMMANDS).map(({ usage }) => usage);

/** Runs a command of a house and prints what came of it; null where it is none. */
export async function runHouseCommand([name = '', ...words]: Words): Promise<number | null> {
  const command = Object.hasOwn(HOUSE_COMMANDS, name) ? HOUSE_COMMANDS[name]! : null;
  if (!command) return null;
  try {
    const answer = await command.run(words);
    if (answer === null) throw userFault('badInput', '', `Say: kb ${command.usage}`);
    process.stdout.write(`${JSON.stringify(answer, null, 2)}\n`);
    return 0;
  } catch (error) {
    if (!(error instanceof UserFault)) throw error;
    process.stderr.write(`${error.message}\n`);
    return 2;
  }
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
    return await work(db);
  } finally {
    db.close();
  }
}
