/** A database of the first version, with a house in it, opened by this one. */
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { signInAs } from '../../tests/support/door';
import { LEAD, newId, send, TODAY } from '../../tests/support/house';
import { openDatabase } from './database';
import { listDecided } from '@/views/history';
import { findHouse } from './house';
import { hasSignIns, listPeople } from './people';
import { readRelease } from '@/views/release';
import { openSetUp } from './setUpCode';

const AT = '2026-05-10T08:00:00.000Z';

/** A house as version 1 left it: one lead without a sign-in, one release with a shot. */
function firstVersion(file: string): void {
  const db = new Database(file);
  db.exec(readFileSync('src/data/migrations/0001_bag_to_card.sql', 'utf8'));
  db.pragma('user_version = 1');
  db.exec(`
    INSERT INTO house (id, name, created_at) VALUES (1, 'Lanternfell Coffee', '${AT}');
    INSERT INTO person VALUES ('p1', 'Ines', 'lead', '${AT}');
    INSERT INTO machine VALUES ('s1', 'Machine', 1, NULL, 0);
    INSERT INTO grinder VALUES ('s1', 'Grinder', 0.5, 'lower', 0, 30, 2, NULL);
    INSERT INTO basket VALUES ('s1', 'Double', 58, 18);
    INSERT INTO setup VALUES ('s1', 'Window bench', 's1', 's1', 's1', 1, '${AT}');
    INSERT INTO release VALUES ('r1', 'Dembi Ridge', '["bergamot"]', 1, '${AT}', 'p1');
    INSERT INTO component VALUES ('r1-1', 'r1', 1, 100, 'Ethiopia', '', '', '', NULL, 'washed', NULL, NULL);
    INSERT INTO batch VALUES ('r1-1', 'r1', '2026-05-08', 0);
    INSERT INTO dial_in VALUES ('d1', 'r1', 'r1-1', 's1', 'classic', '${AT}');
    INSERT INTO recipe_draft VALUES ('q1', 'd1', 1, 'both', 18, 36, 93, 26, 30, 'pump', '9 bar', 8, 21, 12, '', NULL, '${AT}', 'p1');
    INSERT INTO shot VALUES ('t1', 'q1', '${AT}', 'p1', 12, 18, NULL, 36, 28, 6, 'pump', 93, 0, NULL, 2, '[]', '', NULL, NULL);
  `);
  db.close();
}

it('keeps everything of the first version, and lets its lead choose a sign-in', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'kettlebrand-'));
  const file = join(folder, 'kettlebrand.sqlite');
  firstVersion(file);
  const db = openDatabase(file);
  const { release, batch, bench } = readRelease(db, findHouse(db)!, 'r1', { today: TODAY })!;
  expect(release).toMatchObject({ name: 'Dembi Ridge', serving: 'both' });
  expect(batch).toMatchObject({ roastDate: '2026-05-08', label: '', leftG: null });
  expect(bench!.setup.machine).toMatchObject({ flowControl: false, preinfusion: false });
  expect(bench!.shots).toHaveLength(1);
  expect(hasSignIns(db)).toBe(false);
  const entry = { houseName: 'ignored', code: openSetUp(), ...LEAD, name: 'Ines O.' };
  send(db, 'setUpHouse', entry, newId(), null);
  expect(findHouse(db)!.name).toBe('Lanternfell Coffee');
  expect(listPeople(db)).toHaveLength(1);
  expect(await signInAs(db, 'ines', LEAD.password)).toMatchObject({ id: 'p1', name: 'Ines O.' });
  expect(db.pragma('foreign_key_check')).toEqual([]);
  db.close();
  rmSync(folder, { recursive: true });
});

/** A house as version 2 left it: one recipe public, one withdrawn, both before versions knew their recipe. */
function secondVersion(file: string): void {
  firstVersion(file);
  const db = new Database(file);
  db.exec(readFileSync('src/data/migrations/0002_house_at_work.sql', 'utf8'));
  db.pragma('user_version = 2');
  const hash = (digit: string) => digit.repeat(64);
  db.exec(`
    INSERT INTO release (id, name, created_at, created_by) VALUES ('r2', 'Old Quay', '${AT}', 'p1');
    INSERT INTO component (id, release_id, position, share_pct, process) VALUES ('r2-1', 'r2', 1, 100, 'natural');
    INSERT INTO batch (id, release_id, roast_date, roast_level) VALUES ('r2-1', 'r2', '2026-05-01', 0);
    INSERT INTO dial_in VALUES ('d2', 'r2', 'r2-1', 's1', 'classic', '${AT}');
    INSERT INTO recipe_draft SELECT 'q2', 'd2', 1, 'both', 18, 34, 91, 26, 30, 'pump', '9 bar', 8, 21, 14, '', NULL, '${AT}', 'p1';
    INSERT INTO recipe_draft SELECT 'q3', 'd1', 2, 'both', 18, 40, 93, 26, 30, 'pump', '9 bar', 8, 21, 12, '', NULL, '2026-05-12T08:00:00.000Z', 'p1';
    INSERT INTO recipe_version VALUES ('v1', 'r1', 1, '{}', '${hash('a')}', '2026-05-11T08:00:00.000Z', 'p1');
    INSERT INTO recipe_version VALUES ('v2', 'r2', 1, '{}', '${hash('b')}', '2026-05-11T08:00:00.000Z', 'p1');
    INSERT INTO publication (release_id, token, version_id) VALUES ('r1', 'token-of-twenty-signs', 'v1');
    INSERT INTO publication (release_id, token, version_id, withdrawn_at, withdrawn_why)
      VALUES ('r2', 'token-of-twenty-other', 'v2', '2026-05-13T08:00:00.000Z', 'over');
  `);
  db.close();
}

it('finds the recipe each older version was made from, and learns from what is not withdrawn', () => {
  const folder = mkdtempSync(join(tmpdir(), 'kettlebrand-'));
  const file = join(folder, 'kettlebrand.sqlite');
  secondVersion(file);
  const db = openDatabase(file);
  // The revision made after the publication is not what was published.
  expect(
    db.prepare('SELECT id, draft_id AS draftId FROM recipe_version ORDER BY id').all(),
  ).toEqual([
    { id: 'v1', draftId: 'q1' },
    { id: 'v2', draftId: 'q2' },
  ]);
  const house = findHouse(db)!;
  expect(house).toMatchObject({ rules: [], halfLife: 50 });
  expect(listDecided(db, house)).toMatchObject([
    { version: 1, dial: 12, draft: { releaseId: 'r1', recipe: { yieldG: 36 } } },
  ]);
  expect(() => db.exec("UPDATE recipe_version SET number = 9 WHERE id = 'v1'")).toThrow(
    /never changes/,
  );
  expect(db.pragma('foreign_key_check')).toEqual([]);
  db.close();
  rmSync(folder, { recursive: true });
});
