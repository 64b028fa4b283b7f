/** A database of the first version, with a house in it, opened by this one. */
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { LEAD, newId, send, TODAY } from '../../tests/support/house';
import { openDatabase } from './database';
import { findHouse } from './house';
import { hasSignIns, listPeople } from './people';
import { readRelease } from './releaseView';
import { signIn } from './signIn';

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

it('keeps everything of the first version, and lets its lead choose a sign-in', () => {
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
  send(db, 'setUpHouse', { houseName: 'ignored', ...LEAD, name: 'Ines O.' }, newId(), null);
  expect(findHouse(db)!.name).toBe('Lanternfell Coffee');
  expect(listPeople(db)).toHaveLength(1);
  expect(signIn(db, 'ines', LEAD.password)).toMatchObject({ id: 'p1', name: 'Ines O.' });
  expect(db.pragma('foreign_key_check')).toEqual([]);
  db.close();
  rmSync(folder, { recursive: true });
});
