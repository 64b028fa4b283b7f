/** A backup becomes the house again: looked at first, into an empty place, never over anything. */
import {
  chmodSync,
  closeSync,
  copyFileSync,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  renameSync,
  rmSync,
} from 'node:fs';
import { dirname } from 'node:path';
import Database from 'better-sqlite3';
import { userFault } from '@/core/errors';
import { newestSchema, openDatabase } from './database';
import { findHouse } from './house';
import { knownWords } from './storage';

export interface Restored {
  readonly house: string;
  readonly releases: number;
  readonly versions: number;
}

/**
 * @param backup the file; @param file where the house's database is to be.
 * @throws UserFault when the file is no good backup, or something is there already; nothing is changed then.
 */
export function restore(backup: string, file: string): Restored {
  const refuse = (message: string) => userFault('storage', 'file', message);
  if (existsSync(file))
    throw refuse(
      `There is a database in ${dirname(file)} already, and it was left alone. Name an empty folder by KETTLEBRAND_DATA, or put that database aside.`,
    );
  if (!existsSync(backup)) throw refuse(`There is no file ${backup}. Correct its name.`);
  const fault = faultOf(backup);
  if (fault !== null) throw refuse(`${backup} is no good backup: ${fault}. Take another one.`);
  const part = `${file}.part`;
  try {
    mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
    copyFileSync(backup, part);
    chmodSync(part, 0o600);
    const handle = openSync(part, 'r+');
    fsyncSync(handle);
    closeSync(handle);
    renameSync(part, file);
  } catch (error) {
    rmSync(part, { force: true });
    throw refuse(`It was not restored: ${knownWords(error, dirname(file)) ?? String(error)}`);
  }
  const db = openDatabase(file);
  try {
    const count = (table: string) =>
      db.prepare(`SELECT count(*) FROM ${table}`).pluck().get() as number;
    return {
      house: findHouse(db)?.name ?? '',
      releases: count('release'),
      versions: count('recipe_version'),
    };
  } finally {
    db.close();
  }
}

/** Why a file cannot become a house; null when it can. */
function faultOf(backup: string): string | null {
  let db: Database.Database | undefined;
  try {
    db = new Database(backup, { readonly: true, fileMustExist: true });
    const version = db.pragma('user_version', { simple: true }) as number;
    if (version === 0) return 'it is another kind of file';
    if (version > newestSchema()) return 'a newer Kettlebrand wrote it';
    const found = db.pragma('integrity_check(1)', { simple: true });
    if (found !== 'ok') return 'it is damaged';
    const houses = db.prepare('SELECT count(*) FROM house').pluck().get() as number;
    return houses === 1 ? null : 'there is no house in it';
  } catch {
    return 'it is damaged, or another kind of file';
  } finally {
    db?.close();
  }
}
