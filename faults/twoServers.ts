/** Two servers on one file, and everything sent to both: each thing is stored once. */
import Database from 'better-sqlite3';
import { DEMO_PEOPLE } from '@/features/people/demoPeople';
import { startServer } from '../tests/support/server';
import { cookieOf } from '../tests/support/signIn';
import { newId, shotInput } from '../tests/support/house';
import type { Counts } from './counts';

export async function sendToBoth(shots: number, counts: Counts): Promise<void> {
  const one = await startServer({ demo: true });
  const other = await startServer({ demo: true, databaseFile: one.databaseFile });
  try {
    const cookie = await cookieOf(one.url, DEMO_PEOPLE[0].signInName);
    const db = new Database(one.databaseFile, { readonly: true });
    const { draftId } = db.prepare('SELECT draft_id AS draftId FROM bench LIMIT 1').get() as {
      draftId: string;
    };
    const count = (id: string) =>
      db.prepare('SELECT count(*) FROM shot WHERE id = ?').pluck().get(id) as number;
    for (let n = 0; n < shots; n++) {
      const id = newId();
      const body = JSON.stringify({ id, kind: 'logShot', input: shotInput(draftId) });
      const answers = await Promise.all(
        [one, other].map(({ url }) =>
          fetch(`${url}/api/commands`, {
            method: 'POST',
            headers: { 'content-type': 'application/json', cookie },
            body,
          }).then((answer) => answer.status),
        ),
      );
      counts.inputs += 2;
      counts.serverErrors += answers.filter((status) => status >= 500).length;
      if (count(id) > 1) counts.doubled++;
      if (answers.includes(200) && count(id) < 1) counts.lost++;
    }
    db.close();
  } finally {
    await other.close();
    await one.close();
  }
}
