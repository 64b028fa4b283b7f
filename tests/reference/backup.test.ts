/** Backups: whole, private, counted, rotated; and a house that comes back equal, row by row. */
import { spawnSync } from 'node:child_process';
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import Database from 'better-sqlite3';
import fc from 'fast-check';
import { backUp, backupState, isBackupDue, isBackupOld, noteBackup, rotate } from '@/data/backup';
import { backupName, outdated } from '@/data/backupRotation';
import { clock } from '@/data/clock';
import { closeDatabase, openDatabase, type Db } from '@/data/database';
import { troubleOfDatabase } from '@/data/trouble';
import { findLead } from '@/data/people';
import { restore } from '@/data/restore';
import { addDays } from '@/core/rest/day';
import { readTable, writeTable } from '@/formats/sheets/tableCsv';
import { runHouseCommand } from '@/server/houseCommands';
import { exportHouse, importHouse } from '@/server/wholeHouse';
import { copyDemoHouse } from '../support/demoHouse';
import { onNewBrowser } from '../support/door';
import { faultOf } from '../support/fault';
import { openHouse, send, shotInput, stopClock, WORDS } from '../support/house';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'kettlebrand-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));
const at = (...names: string[]) => join(folder, ...names);

const tablesOf = (db: Db) =>
  db
    .prepare(
      `SELECT name FROM sqlite_schema WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name NOT LIKE 'found%'`,
    )
    .pluck()
    .all() as string[];
const PRIVATE = ['session', 'known_browser', 'sign_in_try'];
const rowsOf = (db: Db, table: string) =>
  (db.prepare(`SELECT * FROM ${table}`).all() as object[]).map((row) => JSON.stringify(row)).sort();
const contents = (db: Db) =>
  Object.fromEntries(
    tablesOf(db)
      .filter((table) => !PRIVATE.includes(table))
      .map((table) => [table, rowsOf(db, table)]),
  );

it('a demo house of three years, backed up while shots come in, comes back equal', async () => {
  const file = at('house', 'kettlebrand.sqlite');
  copyDemoHouse(file);
  const db = openDatabase(file);
  stopClock(addDays(new Date().toISOString().slice(0, 10), 0));
  const { id: draftId } = db
    .prepare(
      `SELECT r.id FROM bench b JOIN recipe_draft r ON r.id = b.draft_id
       JOIN dial_in d ON d.id = r.dial_in_id JOIN setup s ON s.id = d.setup_id LIMIT 1`,
    )
    .get() as { id: string };
  const before = contents(db);
  let shots = 0;
  const writing = setInterval(() => {
    send(db, 'logShot', shotInput(draftId));
    shots++;
  }, 1);
  const made = await backUp(db, at('backups'));
  clearInterval(writing);
  expect(shots).toBeGreaterThan(0);
  const restored = restore(made.file, at('again', 'kettlebrand.sqlite'));
  expect(restored).toMatchObject({ house: 'Lanternfell Coffee' });
  const again = openDatabase(at('again', 'kettlebrand.sqlite'));
  const after = contents(db);
  for (const [table, rows] of Object.entries(contents(again))) {
    // Nothing that was there before is missing, nothing is there that the house has not.
    if (table !== 'epoch')
      expect([table, rows]).toEqual([table, expect.arrayContaining(before[table]!)]);
    if (table !== 'epoch')
      expect([table, after[table]]).toEqual([table, expect.arrayContaining(rows)]);
  }
  again.close();
  // And once nobody writes, every table is equal.
  clock.now = () => new Date(Date.now() + 120_000);
  const quiet = await backUp(db, at('backups'));
  restore(quiet.file, at('third', 'kettlebrand.sqlite'));
  const third = openDatabase(at('third', 'kettlebrand.sqlite'));
  expect(contents(third)).toEqual(contents(db));
  expect(quiet.rows).toBe(Object.values(contents(db)).reduce((sum, { length }) => sum + length, 0));
  third.close();
  db.close();
}, 120_000);

it('holds nobody’s session, is closed to others, and leaves no half file', async () => {
  const { db } = openHouse(at('kettlebrand.sqlite'));
  const browser = onNewBrowser(db, findLead(db)!);
  const { file } = await backUp(db, at('backups'));
  const bytes = readFileSync(file);
  const kept = db.prepare('SELECT token_hash FROM session').pluck().all() as string[];
  expect(kept).toHaveLength(1);
  for (const hash of kept) expect(bytes.includes(hash)).toBe(false);
  expect(statSync(file).mode & 0o777).toBe(0o600);
  expect(readdirSync(at('backups'))).toHaveLength(1);
  expect(browser.find()).not.toBeNull();
  db.close();
});

it('is refused in words where it cannot be written, and leaves nothing', async () => {
  const { db } = openHouse();
  writeFileSync(at('a-file'), '');
  await expect(backUp(db, at('a-file', 'inside'))).rejects.toMatchObject({
    code: 'storage',
    message: expect.stringMatching(
      /No backup was made: .*is not there. Correct the name/,
    ) as string,
  });
});

describe('restoring', () => {
  const makeBackup = async () => {
    const { db } = openHouse(at('kettlebrand.sqlite'));
    const { file } = await backUp(db, at('backups'));
    db.close();
    return file;
  };
  const messageOf = (act: () => unknown) => {
    try {
      act();
    } catch (error) {
      return (error as Error).message;
    }
    return 'restored';
  };

  it('never overwrites, and says where to go', async () => {
    const file = await makeBackup();
    const before = readFileSync(at('kettlebrand.sqlite'));
    expect(messageOf(() => restore(file, at('kettlebrand.sqlite')))).toMatch(
      /already, and it was left alone/,
    );
    expect(readFileSync(at('kettlebrand.sqlite')).equals(before)).toBe(true);
  });

  it('refuses what is no good backup, and leaves the place empty', async () => {
    const file = await makeBackup();
    const broken: Record<string, (path: string) => void> = {
      empty: (path) => truncateSync(path, 0),
      half: (path) => truncateSync(path, 40_000),
      torn: (path) => {
        const bytes = readFileSync(path);
        bytes.fill(0xab, 8192, 24_576);
        writeFileSync(path, bytes);
      },
      text: (path) => writeFileSync(path, 'release,roast date\n'),
      newer: (path) => {
        const db = new Database(path);
        db.pragma('user_version = 9999');
        db.close();
      },
    };
    for (const [name, breakIt] of Object.entries(broken)) {
      const path = at(`${name}.sqlite`);
      copyFileSync(file, path);
      breakIt(path);
      expect([name, messageOf(() => restore(path, at('new', 'kettlebrand.sqlite')))]).toEqual([
        name,
        expect.stringMatching(/is no good backup: .*Take another one/),
      ]);
      expect(existsSync(at('new', 'kettlebrand.sqlite'))).toBe(false);
    }
    expect(messageOf(() => restore(at('nothing'), at('new', 'x.sqlite')))).toMatch(
      /There is no file/,
    );
  });
});

describe('a damaged, empty or closed file', () => {
  const openingOf = (file: string) => {
    try {
      openDatabase(file).close();
    } catch (error) {
      return (error as Error).message;
    }
    return 'opened';
  };

  it('is refused with one sentence and its remedy, and left as it is', () => {
    for (const [name, bytes, words] of [
      ['empty', '', /is empty.*restore FILE/],
      [
        'text',
        'not a database at all, but long enough to be looked at'.repeat(20),
        /is damaged.*restore FILE/,
      ],
    ] as const) {
      const file = at(name, 'kettlebrand.sqlite');
      spawnSync('mkdir', [at(name)]);
      writeFileSync(file, bytes);
      expect([name, openingOf(file)]).toEqual([name, expect.stringMatching(words)]);
      expect(readFileSync(file, 'utf8')).toBe(bytes);
    }
    spawnSync('mkdir', ['-p', at('folder', 'kettlebrand.sqlite')]);
    expect(openingOf(at('folder', 'kettlebrand.sqlite'))).toMatch(/cannot open its database/);
  });

  it('is made so that nobody else of the machine reads it', () => {
    openHouse(at('new', 'kettlebrand.sqlite')).db.close();
    expect(statSync(at('new')).mode & 0o777).toBe(0o700);
    expect(statSync(at('new', 'kettlebrand.sqlite')).mode & 0o777).toBe(0o600);
  });
});

it('a copy in passing keeps the newest few, and leaves the nightly one due', async () => {
  const { db } = openHouse(at('kettlebrand.sqlite'));
  db.close();
  mkdirSync(at('copies'));
  const older = ['2026-05-01', '2026-05-02', '2026-05-03'].map((day) => backupName(day, '10:00'));
  for (const name of [...older, 'notes.txt']) writeFileSync(at('copies', name), '');
  const run = (...words: string[]) => runHouseCommand('backup', ['--to', at('copies'), ...words]);
  const before = process.env.KETTLEBRAND_DATA;
  process.env.KETTLEBRAND_DATA = at('.');
  try {
    for (const wrong of [['--keep'], ['--keep', '0'], ['--keep', 'all'], ['--kept', '2']])
      await expect(run(...wrong)).rejects.toThrow('Say: kb backup --to FOLDER [--keep NUMBER]');
    const { file } = (await run('--keep', '2')) as { file: string };
    expect(readdirSync(at('copies')).sort()).toEqual([older[2], basename(file), 'notes.txt']);
  } finally {
    if (before === undefined) delete process.env.KETTLEBRAND_DATA;
    else process.env.KETTLEBRAND_DATA = before;
  }
  const again = openDatabase(at('kettlebrand.sqlite'));
  expect(isBackupDue(backupState(again))).toBe(true);
  again.close();
});

describe('which backups stay', () => {
  const nights = (from: string, count: number) =>
    Array.from({ length: count }, (_, i) => backupName(addDays(from, i), '02:00'));

  it('the newest of each of seven days and of each of eight weeks', () => {
    const names = [...nights('2026-01-01', 120), backupName('2026-04-30', '16:30')];
    const gone = new Set(outdated(names, { days: 7, weeks: 8 }));
    const stay = names.filter((name) => !gone.has(name));
    expect(stay.at(-1)).toBe('kettlebrand-2026-04-30-1630.sqlite');
    expect(stay).not.toContain('kettlebrand-2026-04-30-0200.sqlite');
    // Seven days, the last of which is this week's, and the Sunday of seven weeks before, one of them among the seven.
    expect(stay).toHaveLength(13);
  });

  it('however many there are: never another file, always the newest, no more than days and weeks', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 0, max: 800 }), { minLength: 1, maxLength: 60 }),
        fc.integer({ min: 1, max: 20 }),
        fc.integer({ min: 0, max: 20 }),
        (days, keptDays, keptWeeks) => {
          const names = days.map((day) => backupName(addDays('2026-01-01', day), '02:00'));
          const all = [...names, 'kettlebrand.sqlite', 'notes.txt', `${names[0]!}.part`];
          const gone = outdated(all, { days: keptDays, weeks: keptWeeks });
          const stay = names.filter((name) => !gone.includes(name));
          return (
            gone.every((name) => names.includes(name)) &&
            stay.includes([...names].sort().at(-1)!) &&
            stay.length <= keptDays + keptWeeks
          );
        },
      ),
    );
  });

  it('and the others are taken off the disk', () => {
    for (const name of nights('2026-05-01', 12)) writeFileSync(at(name), '');
    writeFileSync(at('mine.txt'), '');
    rotate(folder, { days: 2, weeks: 1 });
    expect(readdirSync(folder).sort()).toEqual([
      'kettlebrand-2026-05-11-0200.sqlite',
      'kettlebrand-2026-05-12-0200.sqlite',
      'mine.txt',
    ]);
  });
});

describe('a house as open files', () => {
  const exported = () => {
    const { db, releaseId, draftId } = openHouse();
    // Every sign that is something to CSV, SQL or a spreadsheet.
    const remark = `"quoted", 'single'; = + - @ \r\n\ttab \u00a0 end '`;
    send(db, 'logShot', shotInput(draftId, { remark: '=1+1', puck: "'", seen: ['mud'] }));
    send(
      db,
      'logShot',
      shotInput(draftId, { remark: remark.replace(/[\r\n\t]/g, ' '), timeS: 27.35 }),
    );
    send(db, 'publish', { releaseId, draftId, ...WORDS });
    return { db, made: exportHouse(db, at('out')) };
  };

  it('comes back equal, field by field', () => {
    const { db, made } = exported();
    expect(importHouse(at('out'), at('new', 'kettlebrand.sqlite'))).toEqual({ rows: made.rows });
    const again = openDatabase(at('new', 'kettlebrand.sqlite'));
    const [{ epoch: _a, findable: _b, findable_state: _c, ...before }, after] = [
      contents(db),
      contents(again),
    ];
    expect(after).toMatchObject(before);
    expect(again.pragma('foreign_key_check')).toEqual([]);
    expect(readdirSync(at('out', 'recipes'))).toEqual([
      expect.stringMatching(/^dembi-ridge-.*-v1\.json$/),
    ]);
    again.close();
  });

  it('takes any text and figure through CSV and back', () => {
    const columns = [
      { name: 'a', kind: 'text' },
      { name: 'b', kind: 'number' },
      { name: 'c', kind: 'text' },
    ] as const;
    const text = fc.oneof(
      fc.string({ unit: 'binary' }),
      fc.constantFrom('', "'", "''", "'=x", '=x', '-1', '\r\n', '"', ',', ' ', 'NULL'),
    );
    const value = fc.option(text);
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(value, fc.option(fc.double({ noNaN: true, noDefaultInfinity: true })), value),
        ),
        (rows) => {
          const read = readTable(writeTable(columns, rows), 't', columns);
          const plain = rows.map((row) => row.map((cell) => (cell === 0 ? 0 : cell)));
          expect(read).toEqual(plain);
        },
      ),
    );
  });

  it('is refused as a whole when a file is missing, changed, or of another version', () => {
    exported();
    const target = at('new', 'kettlebrand.sqlite');
    const tries: [string, () => void, RegExp][] = [
      [
        'changed',
        () => writeFileSync(at('out', 'tables', 'shot.csv'), 'id\r\n'),
        /its hash is another/,
      ],
      ['missing', () => rmSync(at('out', 'tables', 'shot.csv')), /is missing/],
      [
        'version',
        () => {
          const said = JSON.parse(readFileSync(at('out', 'manifest.json'), 'utf8')) as object;
          writeFileSync(at('out', 'manifest.json'), JSON.stringify({ ...said, schema: 3 }));
        },
        /another version/,
      ],
      ['no manifest', () => rmSync(at('out', 'manifest.json')), /has no manifest.json/],
    ];
    for (const [name, breakIt, words] of tries) {
      breakIt();
      expect([name, faultOf(() => importHouse(at('out'), target)).message]).toEqual([
        name,
        expect.stringMatching(words),
      ]);
      expect([name, existsSync(target)]).toEqual([name, false]);
    }
  });

  it('never goes into a folder that has something, nor over a house', () => {
    const { db } = exported();
    expect(faultOf(() => exportHouse(db, at('out'))).message).toMatch(/is not empty/);
    openHouse(at('kettlebrand.sqlite')).db.close();
    expect(faultOf(() => importHouse(at('out'), at('kettlebrand.sqlite'))).message).toMatch(
      /left alone/,
    );
  });
});

it('is due once a night, again an hour after one that failed, and old after two days', () => {
  const { db } = openHouse();
  const move = (hours: number) => {
    const now = clock.now().getTime() + hours * 3_600_000;
    clock.now = () => new Date(now);
  };
  const state = () => backupState(db);
  expect([isBackupDue(state()), isBackupOld(state())]).toEqual([true, true]);
  noteBackup(db, { file: 'x', bytes: 1, fault: '' });
  expect([isBackupDue(state()), isBackupOld(state())]).toEqual([false, false]);
  move(24);
  expect(isBackupDue(state())).toBe(true);
  noteBackup(db, { file: 'x', bytes: 0, fault: 'the disk is full.' });
  expect(isBackupDue(state())).toBe(false);
  expect(state().failed?.fault).toBe('the disk is full.');
  move(2);
  expect(isBackupDue(state())).toBe(true);
  move(24);
  expect(isBackupOld(state())).toBe(true);
  noteBackup(db, { file: 'y', bytes: 1, fault: '' });
  expect(state()).toMatchObject({ good: { file: 'y' }, failed: null });
});

it('damage of the file is seen on the disk, whatever this process remembers', () => {
  const file = at('kettlebrand.sqlite');
  openHouse(file).db.close();
  const folderBefore = process.env.KETTLEBRAND_DATA;
  process.env.KETTLEBRAND_DATA = folder;
  try {
    clock.now = () => new Date('2026-05-20T12:00:00Z');
    expect(troubleOfDatabase()).toBeNull();
    const bytes = readFileSync(file);
    bytes.fill(0xab, 4096 * 8, 4096 * 40);
    writeFileSync(file, bytes);
    clock.now = () => new Date('2026-05-20T12:01:00Z');
    expect(troubleOfDatabase()).toMatch(/^The database is damaged.*restore FILE/);
  } finally {
    closeDatabase();
    if (folderBefore === undefined) delete process.env.KETTLEBRAND_DATA;
    else process.env.KETTLEBRAND_DATA = folderBefore;
  }
});
