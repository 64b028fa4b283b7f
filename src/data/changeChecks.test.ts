/** CHECKs of tables that stand: widened, dropped, refused where a row is against them; on a file of an older version too. */
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { changeChecks, withLimit, withoutWordList } from './changeChecks';
import { openDatabase, type Db } from './database';

function cups(): Db {
  const db = new Database(':memory:');
  db.pragma('foreign_keys = ON');
  db.exec(`
    CREATE TABLE cup (id INTEGER PRIMARY KEY, ml REAL CHECK (ml BETWEEN 1 AND 100), kind TEXT CHECK (kind IN ('glass', 'tin')));
    CREATE INDEX cup_kind ON cup (kind);
    CREATE TABLE sip (cup_id INTEGER REFERENCES cup (id) ON DELETE CASCADE);
    CREATE TRIGGER no_tin BEFORE INSERT ON cup WHEN NEW.kind = 'tin' BEGIN SELECT RAISE(ABORT, 'no tin'); END;
    INSERT INTO cup VALUES (1, 90, 'glass');
    INSERT INTO sip VALUES (1);
  `);
  return db;
}
const change = (db: Db, how: (sql: string) => string) =>
  db.transaction(() => changeChecks(db, 'cup', how)).immediate();
const add = (db: Db, ml: number, kind: string) => () =>
  db.prepare('INSERT INTO cup (ml, kind) VALUES (?, ?)').run(ml, kind);

it('widens a limit and drops a list of words, and leaves rows, index, trigger and references', () => {
  const db = cups();
  expect(add(db, 150, 'glass')).toThrow(/CHECK/);
  change(db, (sql) => sql.replace('AND 100', 'AND 200'));
  change(db, withoutWordList('kind'));
  add(db, 150, 'clay')();
  expect(add(db, 250, 'clay')).toThrow(/CHECK/);
  expect(add(db, 50, 'tin')).toThrow(/no tin/);
  const names = db.prepare('SELECT name FROM sqlite_schema ORDER BY name').pluck().all();
  expect(names).toEqual(['cup', 'cup_kind', 'no_tin', 'sip']);
  expect(db.prepare('SELECT count(*) FROM sip').pluck().get()).toBe(1);
  db.prepare('DELETE FROM cup WHERE id = 1').run();
  expect(db.prepare('SELECT count(*) FROM sip').pluck().get()).toBe(0);
});

it('refuses a definition that a row is against, or that changes nothing, and leaves the old one', () => {
  const db = cups();
  expect(() => change(db, (sql) => sql.replace('AND 100', 'AND 50'))).toThrow(/does not hold/);
  expect(() => change(db, withoutWordList('colour'))).toThrow(/is not there/);
  add(db, 95, 'glass')();
  expect(add(db, 150, 'glass')).toThrow(/CHECK/);
  // Nobody writes definitions by hand but this.
  expect(() => db.exec(`UPDATE sqlite_schema SET sql = '' WHERE name = 'cup'`)).toThrow();
});

it('widens a limit, of the column it names alone', () => {
  const db = cups();
  const add = (ml: number) => () =>
    db.prepare(`INSERT INTO cup (ml, kind) VALUES (?, 'glass')`).run(ml);
  expect(add(150)).toThrow(/CHECK/);
  changeChecks(db, 'cup', withLimit('ml', [100, 200]));
  add(150)();
  expect(add(201)).toThrow(/CHECK/);
  // Not there, or not as it is said to be.
  for (const limit of [withLimit('ml', [100, 300]), withLimit('gl', [200, 300])])
    expect(() => changeChecks(db, 'cup', limit)).toThrow(/is not there/);
});

it('a file from before takes another language and school, and refuses what it refused else', () => {
  const folder = mkdtempSync(join(tmpdir(), 'kettlebrand-'));
  const file = join(folder, 'kettlebrand.sqlite');
  const old = new Database(file);
  const ofOld = readdirSync('src/data/migrations')
    .filter((name) => name < '0023')
    .sort();
  for (const name of ofOld) old.exec(readFileSync(`src/data/migrations/${name}`, 'utf8'));
  old.pragma(`user_version = ${ofOld.length}`);
  const at = '2026-05-10T08:00:00.000Z';
  old.exec(`INSERT INTO house (id, name, created_at) VALUES (1, 'Lanternfell Coffee', '${at}')`);
  const set = (db: Db, what: string) => () => db.exec(`UPDATE house SET ${what}`);
  expect(set(old, `card_language = 'nl'`)).toThrow(/CHECK/);
  const names = (db: Db) =>
    db.prepare('SELECT name FROM sqlite_schema ORDER BY name').pluck().all();
  const had = names(old);
  old.close();
  const db = openDatabase(file);
  expect(names(db)).toEqual(had);
  set(db, `card_language = 'nl', rest_school = 'byMoon', name = 'Still here'`)();
  // Grinders keep more than they were once thought to.
  const grinder = (retentionG: number) => () =>
    db
      .prepare(
        `INSERT INTO grinder (id, name, step_size, finer_is, dial_min, dial_max, retention_g)
         VALUES (?, 'Chamber', 1, 'lower', 0, 40, ?)`,
      )
      .run(`g${retentionG}`, retentionG);
  grinder(22.5)();
  expect(grinder(61)).toThrow(/CHECK/);
  expect(set(db, `clock = 'sundial'`)).toThrow(/CHECK/);
  expect(db.pragma('integrity_check', { simple: true })).toBe('ok');
  expect(db.pragma('foreign_key_check')).toEqual([]);
  db.close();
  rmSync(folder, { recursive: true });
});
