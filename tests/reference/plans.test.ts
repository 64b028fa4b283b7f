/**
 * The statements the screens really run, explained: a screen of one release reads no table of the house
 * from end to end. What is about the whole house may, and is named here.
 */
import { UserFault } from '@/core/errors';
import type { Db } from '@/data/database';
import { listEvents, listEventsAfter, newestEvent } from '@/data/events';
import { findHouse } from '@/data/house';
import { findPublished, findVersionByHash, listPassedChecks } from '@/data/publications';
import { openInvitation } from '@/data/invitations';
import { findLead, findSignIn } from '@/data/people';
import { findReleaseNamed } from '@/data/releases';
import { isOpenSession, listSessions } from '@/data/session';
import { readPull } from '@/views/pull';
import { readRelease } from '@/views/release';
import { readToday } from '@/views/today';
import { signInAs, onNewBrowser } from '../support/door';
import { openHouse, send, shotInput, TODAY, WORDS } from '../support/house';

/** Tables that grow with the years; of releases there are a thousand in ten. */
const LARGE = [
  'component',
  'batch',
  'dial_in',
  'recipe_draft',
  'bench',
  'shot',
  'trace',
  'tasting',
  'recipe_version',
  'publication',
  'gate_pass',
  'event',
  'edit',
  'invitation',
];

/** Walked from the newest until a few were found. */
const STOPS_EARLY = ['shot_with_overrun'];

/** Statements of a database, as they are prepared. */
function listen(db: Db): Set<string> {
  const heard = new Set<string>();
  const prepare = db.prepare.bind(db);
  db.prepare = ((sql: string) => {
    heard.add(sql);
    return prepare(sql);
  }) as typeof db.prepare;
  return heard;
}

/** Tables a statement reads from end to end, by no index. */
function scanned(db: Db, sql: string): string[] {
  const unbound = sql.replace(/\?|@\w+/g, 'NULL');
  const steps = db.prepare(`EXPLAIN QUERY PLAN ${unbound}`).all() as { detail: string }[];
  const aliases = new Map(
    [...sql.matchAll(/(?:FROM|JOIN)\s+(\w+)(?:\s+(?:AS\s+)?(\w+))?/gi)].map(
      ([, table, alias = table]) => [alias!, table!],
    ),
  );
  return steps.flatMap(({ detail }) => {
    if (STOPS_EARLY.some((index) => detail.includes(`USING INDEX ${index}`))) return [];
    const name = /^SCAN (\w+)/.exec(detail)?.[1];
    const table = name === undefined ? undefined : (aliases.get(name) ?? name);
    return table !== undefined && LARGE.includes(table) ? [table] : [];
  });
}

const isRead = (sql: string) => /^\s*(SELECT|WITH)/i.test(sql);

it('pages of one release find their rows by index', async () => {
  const { db, releaseId, draftId } = openHouse();
  send(db, 'logShot', shotInput(draftId));
  send(db, 'publish', { releaseId, draftId, ...WORDS });
  const heard = listen(db);
  const house = findHouse(db)!;
  const view = readRelease(db, house, releaseId, { today: TODAY })!;
  readToday(db, house, { today: TODAY });
  readPull(db, house, view, view.bench!);
  listEvents(db, releaseId);
  listEventsAfter(db, 0);
  newestEvent(db);
  listPassedChecks(db, releaseId);
  findPublished(db, 'token');
  findVersionByHash(db, 'hash');
  findReleaseNamed(db, 'Dembi Ridge');
  findSignIn(db, 'ines');
  expect(() => openInvitation(db, 'token')).toThrow(UserFault);
  const browser = onNewBrowser(db, findLead(db)!);
  browser.find();
  listSessions(db, findLead(db)!.id);
  isOpenSession(db, 'nobody’s');
  await expect(signInAs(db, 'ines', 'a wrong password')).rejects.toThrow(UserFault);
  const scans = [...heard]
    .filter(isRead)
    .flatMap((sql) => scanned(db, sql).map((table) => `${table}: ${sql}`));
  expect(scans).toEqual([]);
  expect(heard.size).toBeGreaterThan(15);
});
