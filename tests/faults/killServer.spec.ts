/** The server is killed again and again while shots are logged: none acknowledged is lost, none doubled; `npm run faults` kills 500 times. */
import { randomBytes } from 'node:crypto';
import Database from 'better-sqlite3';
import { expect, test } from '../support/browserTest';
import { cookieOf } from '../support/signIn';
import { startServer } from '../support/server';

const KILLS = 12;

test('kill -9 of the server, again and again, during logging', async () => {
  const server = await startServer({ demo: true });
  const cookie = await cookieOf(server.url);
  const read = () => new Database(server.databaseFile, { readonly: true });
  const db = read();
  const { draftId } = db
    .prepare(
      `SELECT r.id AS draftId FROM recipe_draft r JOIN dial_in d ON d.id = r.dial_in_id
       JOIN release l ON l.id = d.release_id WHERE l.name = 'Serra do Lume'`,
    )
    .get() as { draftId: string };
  const count = (from: Database.Database) =>
    (from.prepare('SELECT count(*) AS n FROM shot').get() as { n: number }).n;
  const before = count(db);
  db.close();

  /** One shot; the answer when there was one, null when the server was not there. */
  const log = (id: string) =>
    fetch(`${server.url}/api/commands`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', cookie },
      body: JSON.stringify({
        id,
        kind: 'logShot',
        input: {
          draftId,
          dial: 12,
          doseG: 18,
          yieldG: 33,
          timeS: 26,
          clock: 'pump',
          temperatureC: 92.5,
          purged: false,
          seen: [],
          remark: '',
        },
      }),
    }).then(
      (response) => response.status,
      () => null,
    );

  const acknowledged = new Set<string>();
  const sent = new Set<string>();
  let isOver = false;
  // As a bench does: the same id again until it is answered, then the next one.
  const logging = (async () => {
    while (!isOver) {
      const id = randomBytes(16).toString('hex');
      sent.add(id);
      for (;;) {
        const status = await log(id);
        if (status === 200) {
          acknowledged.add(id);
          break;
        }
        if (status !== null) throw new Error(`answered ${status}`);
        if (isOver) return;
        await new Promise((resolve) => setTimeout(resolve, 30));
      }
    }
  })();
  for (let kill = 0; kill < KILLS; kill++) {
    // While it stores: it has answered since its start, and is killed at another moment of a write each time.
    const seen = acknowledged.size;
    await expect.poll(() => acknowledged.size).toBeGreaterThan(seen);
    await new Promise((resolve) => setTimeout(resolve, 60 + ((kill * 37) % 190)));
    await server.kill();
    await server.restart();
  }
  isOver = true;
  await logging;

  const after = read();
  const stored = (after.prepare('SELECT id FROM shot').all() as { id: string }[]).map(
    ({ id }) => id,
  );
  expect(acknowledged.size).toBeGreaterThan(KILLS);
  expect([...acknowledged].filter((id) => !stored.includes(id))).toEqual([]);
  expect(new Set(stored).size).toBe(stored.length);
  const own = stored.filter((id) => sent.has(id));
  expect(own.length).toBe(count(after) - before);
  // At most the one that was never answered.
  expect(own.length - acknowledged.size).toBeLessThanOrEqual(1);
  expect(after.pragma('integrity_check', { simple: true })).toBe('ok');
  after.close();
  await server.close();
});
