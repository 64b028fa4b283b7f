import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { BATCH, openHouse, RELEASE, send } from '../../tests/support/house';
import { openDatabase } from './database';

describe('the database', () => {
  let folder: string;
  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), 'kettlebrand-'));
  });
  afterEach(() => rmSync(folder, { recursive: true }));
  const file = () => join(folder, 'deep', 'kettlebrand.sqlite');

  it('is made with WAL, full sync, foreign keys and strict tables', () => {
    const db = openDatabase(file());
    const pragma = (name: string) => db.pragma(name, { simple: true });
    expect(pragma('journal_mode')).toBe('wal');
    expect(pragma('synchronous')).toBe(2);
    expect(pragma('foreign_keys')).toBe(1);
    const loose = db
      .prepare(
        `SELECT name FROM pragma_table_list WHERE schema = 'main' AND type = 'table' AND strict = 0 AND name NOT LIKE 'sqlite_%'`,
      )
      .all();
    expect(loose).toEqual([]);
    db.close();
  });

  it('keeps its data when opened again, and applies no migration twice', () => {
    const { db } = openHouse(file());
    db.close();
    const again = openDatabase(file());
    expect(again.prepare('SELECT name FROM release').all()).toEqual([{ name: RELEASE.name }]);
    again.close();
  });

  it('is refused untouched when a newer program wrote it', () => {
    openDatabase(file()).close();
    const newer = new Database(file());
    newer.pragma('user_version = 9999');
    newer.close();
    expect(() => openDatabase(file())).toThrow(/schema 9999.*left untouched.*Update Kettlebrand/);
    const after = new Database(file());
    expect(after.pragma('user_version', { simple: true })).toBe(9999);
    after.close();
  });

  it('refuses absurd values by itself, behind the schemas', () => {
    const { db } = openHouse();
    expect(() => db.exec('UPDATE recipe_draft SET dose_g = 400')).toThrow(/CHECK/);
    expect(() => db.exec(`UPDATE release SET name = ''`)).toThrow(/CHECK/);
    expect(() => db.exec(`DELETE FROM event`)).toThrow(/append-only/);
  });

  it('rolls a failing command back whole', () => {
    const { db } = openHouse();
    const before = db.prepare('SELECT count(*) AS n FROM component').get();
    const batch = { ...BATCH, roastDate: '2031-01-01' };
    expect(() => send(db, 'createRelease', { release: RELEASE, batch })).toThrow(/future/);
    expect(db.prepare('SELECT count(*) AS n FROM component').get()).toEqual(before);
  });
});
