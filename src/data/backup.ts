/**
 * A copy of the whole house in one file, made while it is used (SQLite's online backup): checked whole,
 * counted row by row against the house, without anybody's session, and only then given its name.
 */
import {
  chmodSync,
  closeSync,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { userFault } from '@/core/errors';
import { backupName, backupsAmong, outdated, type Kept } from './backupRotation';
import { clock } from './clock';
import { prepared, type Db } from './database';
import { wordsOfStorage } from './storage';
import { now } from './rows';
import { dayOf, timeOf } from './today';

export interface Backup {
  readonly file: string;
  readonly bytes: number;
  readonly rows: number;
}

/** What lets somebody in stays here: a copy in other hands opens no door. */
const LEFT_OUT = ['session', 'known_browser', 'sign_in_try'] as const;

/** @throws UserFault, in words to act on, when no good copy could be made; none is left behind then. */
export async function backUp(db: Db, folder: string): Promise<Backup> {
  const at = now();
  const file = join(folder, backupName(dayOf(at), timeOf(at)));
  const part = `${file}.part`;
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    rmSync(part, { force: true });
    const before = countRows(db);
    await db.backup(part);
    const rows = finish(part, [before, countRows(db)]);
    sync(part);
    renameSync(part, file);
    sync(folder);
    return { file, bytes: statSync(file).size, rows };
  } catch (error) {
    if (existsSync(part)) rmSync(part);
    throw userFault('storage', 'folder', `No backup was made: ${wordsOfStorage(error, folder)}`);
  }
}

/** Makes the copy a file that stands alone, and looks whether it is whole; answers its rows. */
function finish(file: string, [before, after]: readonly [Counts, Counts]): number {
  const copy = new Database(file);
  try {
    chmodSync(file, 0o600);
    // What is deleted is overwritten, and the log goes into the file.
    copy.pragma('secure_delete = ON');
    copy.pragma('journal_mode = DELETE');
    for (const table of LEFT_OUT) copy.exec(`DELETE FROM ${table}`);
    const found = copy.pragma('integrity_check', { simple: true });
    if (found !== 'ok') throw new Error(`the copy is damaged (${String(found)})`);
    if ((copy.pragma('foreign_key_check') as unknown[]).length > 0)
      throw new Error('rows of the copy point at nothing');
    const counts = countRows(copy);
    for (const [table, count] of counts) {
      const [low, high] = [before.get(table) ?? 0, after.get(table) ?? 0].sort((a, b) => a - b);
      if (count < low! || count > high!)
        throw new Error(`table ${table} has ${count} rows in the copy and ${high} in the house`);
    }
    return [...counts.values()].reduce((sum, count) => sum + count, 0);
  } finally {
    copy.close();
  }
}

type Counts = ReadonlyMap<string, number>;

function countRows(db: Db): Counts {
  const tables = db
    .prepare(
      `SELECT name FROM sqlite_schema WHERE type = 'table' AND name NOT LIKE 'sqlite_%'
         AND name NOT LIKE 'found%' AND name NOT IN (${LEFT_OUT.map((name) => `'${name}'`).join(', ')})`,
    )
    .pluck()
    .all() as string[];
  return new Map(
    tables.map((name) => [
      name,
      db.prepare(`SELECT count(*) FROM ${name}`).pluck().get() as number,
    ]),
  );
}

/** On the disk, not only in its cache. */
function sync(path: string): void {
  const handle = openSync(path, 'r');
  try {
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
}

/** Takes away backups beyond those that are kept. */
export function rotate(folder: string, kept: Kept): string[] {
  const gone = outdated(readdirSync(folder), kept);
  for (const name of gone) rmSync(join(folder, name));
  return gone;
}

/** Takes away all backups of a folder but so many of the newest. */
export function keepNewest(folder: string, count: number): void {
  for (const name of backupsAmong(readdirSync(folder)).slice(count)) rmSync(join(folder, name));
}

export interface NotedBackup {
  readonly at: string;
  readonly file: string;
  readonly bytes: number;
  readonly fault: string;
}

export function noteBackup(db: Db, { file, bytes, fault }: Omit<NotedBackup, 'at'>): void {
  prepared(db, 'INSERT INTO backup (at, file, bytes, fault) VALUES (?, ?, ?, ?)').run(
    now(),
    file,
    bytes,
    fault,
  );
}

export interface BackupState {
  /** The last good one, and what went wrong since; null where there was none. */
  readonly good: NotedBackup | null;
  readonly failed: NotedBackup | null;
}

export function backupState(db: Db): BackupState {
  const newest = (isGood: boolean) =>
    (prepared(
      db,
      `SELECT at, file, bytes, fault FROM backup WHERE (fault = '') = ? ORDER BY at DESC, id DESC LIMIT 1`,
    ).get(Number(isGood)) as NotedBackup | undefined) ?? null;
  const [good, failed] = [newest(true), newest(false)];
  return { good, failed: failed && (!good || failed.at > good.at) ? failed : null };
}

/** Nights begin at this hour of the house. */
const NIGHT_HOUR = 2;
const HOUR_MS = 3_600_000;

/** Is a nightly backup due: was there a night since the last good one? After a failure, an hour later again. */
export function isBackupDue({ good, failed }: BackupState): boolean {
  const at = clock.now();
  if (failed && at.getTime() - Date.parse(failed.at) < HOUR_MS) return false;
  const night = new Date(at);
  night.setHours(NIGHT_HOUR, 0, 0, 0);
  if (night > at) night.setDate(night.getDate() - 1);
  return !good || Date.parse(good.at) < night.getTime();
}

/** A good backup older than this is told about. */
const OLD_MS = 48 * HOUR_MS;

export function isBackupOld({ good }: BackupState): boolean {
  return !good || clock.now().getTime() - Date.parse(good.at) > OLD_MS;
}
