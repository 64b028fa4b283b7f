/** Is the database there and whole? Looked at now and then, however many ask. */
import Database from 'better-sqlite3';
import { UserFault } from '@/core/errors';
import { clock } from './clock';
import { damageOf, database, databaseFile } from './database';
import { knownWords } from './storage';

const LOOK_EVERY_MS = 30_000;
let last: { readonly at: number; readonly words: string | null } | null = null;

/** What is wrong with it in words, without where it stands; null when nothing is. */
export function troubleOfDatabase(): string | null {
  const at = clock.now().getTime();
  if (last === null || Math.abs(at - last.at) > LOOK_EVERY_MS) last = { at, words: look() };
  return last.words;
}

const NAMED = 'The database';

function look(): string | null {
  try {
    database();
    // What is on the disk, not what this process remembers of it.
    const fresh = new Database(databaseFile(), { readonly: true, fileMustExist: true });
    try {
      return damageOf(fresh, NAMED);
    } finally {
      fresh.close();
    }
  } catch (error) {
    if (error instanceof UserFault)
      return 'Kettlebrand cannot open its database. What the server prints says why.';
    return knownWords(error, NAMED) ?? 'Kettlebrand cannot open its database.';
  }
}
