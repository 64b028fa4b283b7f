/**
 * Every route and every command, signed out and as reader: no write, and no fact that was not
 * published. Routes are found on disk, so that a new one is walked without being named here.
 */
import { randomBytes } from 'node:crypto';
import { readdirSync } from 'node:fs';
import Database from 'better-sqlite3';
import { expect, test, type APIRequestContext, type Page } from '../support/browserTest';
import { commands } from '@/app/commands';
import type { RunningServer } from '../support/server';
import { comeIn, signIn } from '../support/signIn';

let server: RunningServer;
test.beforeAll(async ({ demoHouse }) => {
  server = await demoHouse.asMade();
});

/** Paths of all pages and handlers, as the framework reads them from the folders of src/app. */
function routes(folder = 'src/app', path = ''): { path: string; isPage: boolean }[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    if (entry.isDirectory()) {
      const part = /^\(.*\)$/.test(entry.name) ? '' : `/${entry.name}`;
      return routes(`${folder}/${entry.name}`, path + part);
    }
    if (!/^(page|route)\.tsx?$/.test(entry.name)) return [];
    return [{ path: path || '/', isPage: entry.name.startsWith('page') }];
  });
}

interface Facts {
  readonly releaseId: string;
  readonly unpublished: readonly string[];
  readonly token: string;
  /** Of a flight that is tasted blind just now. */
  readonly flightCode: string;
  /** Of one café's link, and what belongs to the others. */
  readonly secret: string;
  readonly ofOthers: readonly string[];
}

/** Names and words of the house that no stranger may read, and a public address. */
function factsOf(file: string): Facts {
  const db = new Database(file, { readonly: true });
  const all = <T>(sql: string) => db.prepare(sql).all() as T[];
  const names = all<{ id: string; name: string }>(
    'SELECT id, name FROM release WHERE id NOT IN (SELECT release_id FROM publication)',
  );
  const people = all<{ name: string }>('SELECT name FROM person');
  const { token } = all<{ token: string }>(
    'SELECT token FROM publication WHERE withdrawn_at IS NULL',
  )[0]!;
  const [flight] = all<{ code: string }>('SELECT code FROM flight WHERE revealed_at IS NULL');
  const [cafe, ...others] = all<{ name: string; people: string; secret: string; id: string }>(
    'SELECT id, name, people, secret FROM partner ORDER BY name',
  );
  const texts = all<{ body: string }>('SELECT body FROM outbox_message');
  db.close();
  return {
    secret: cafe!.secret,
    ofOthers: [
      ...others.flatMap(({ name, people, secret, id }) => [name, people, secret, id]),
      ...texts.map(({ body }) => body.slice(0, 60)),
    ],
    flightCode: flight!.code,
    releaseId: names[0]!.id,
    unpublished: [...names, ...people].map(({ name }) => name),
    token,
  };
}

const counted = [
  'release',
  'batch',
  'shot',
  'tasting',
  'recipe_version',
  'flight',
  'flight_sheet',
  'person',
  'event',
  'house',
  'partner',
  'field_visit',
  'field_check',
];

/** How much there is of everything: a write of any kind changes it. */
function weigh(file: string): string {
  const db = new Database(file, { readonly: true });
  const sizes = counted.map(
    (table) => (db.prepare(`SELECT count(*) AS n FROM ${table}`).get() as { n: number }).n,
  );
  db.close();
  return sizes.join();
}

/** Public by design: each of these is looked at on its own elsewhere. */
const OPEN = ['/sign-in', '/status', '/trouble', '/welcome', '/schema/[file]'];
/** What the server itself gives, before the house's pages. */
const GIVEN = ['/p/[token]', '/p/[token]/card.pdf', '/p/[token]/recipe.json', '/schema/[file]'];
const isPublic = (path: string) =>
  /^\/(p|invitation|flight|check|api\/flights|api\/checks)(\/|$)/.test(path);

async function walk(request: APIRequestContext, path: string) {
  return request.get(server.url + path, { maxRedirects: 0 });
}

test('signed out: no page of the house opens, known or unknown alike, and nothing leaks', async ({
  request,
}) => {
  const { releaseId, unpublished, token, flightCode, secret } = factsOf(server.databaseFile);
  const walked: string[] = [];
  const given = GIVEN.map((path) => ({ path, isPage: false }));
  for (const { path, isPage } of [...routes(), ...given]) {
    const known = path
      .replace('[id]', releaseId)
      .replace('[token]', token)
      .replace('[code]', flightCode)
      .replace('[secret]', secret)
      .replace('[file]', 'recipe-document-1.json');
    const unknown = path
      .replace('[id]', 'guess')
      .replace('[token]', 'guess')
      .replace('[code]', 'guess')
      .replace('[secret]', 'guess')
      .replace('[file]', 'guess');
    for (const address of [known, unknown]) {
      const response = await walk(request, address);
      const body = await response.text();
      walked.push(address);
      // The demo's own sign-in page names its invented people on purpose.
      if (address !== '/sign-in')
        for (const fact of unpublished) expect(body, `${address} says ${fact}`).not.toContain(fact);
      if (OPEN.includes(path) || isPublic(path)) continue;
      if (isPage) {
        expect(response.status(), address).toBe(307);
        expect(response.headers().location, address).toBe('/sign-in');
      } else {
        // The others take no reading request at all.
        const isRead = /^\/api\/(exports|find|stream)/.test(path);
        expect(response.status(), address).toBe(isRead ? 401 : 405);
      }
    }
  }
  expect(walked.length).toBeGreaterThan(40);
});

test("a café's link opens its own sheet: nothing of other cafés, nothing that was not published", async ({
  request,
}) => {
  const { secret, ofOthers, unpublished } = factsOf(server.databaseFile);
  const sheet = await request.get(`${server.url}/api/checks/${secret}`);
  expect(sheet.status()).toBe(200);
  const body = await sheet.text();
  expect(body).toContain('Harbour Lamp');
  for (const fact of [...ofOthers, ...unpublished]) expect(body).not.toContain(fact);
  // A secret opens nothing else, and commands of the house ask for a person all the same.
  for (const path of ['/field', '/field/week', '/api/exports/shots', '/api/find?q=lamp']) {
    const answer = await request.get(`${server.url}${path}`, {
      maxRedirects: 0,
      headers: { cookie: `secret=${secret}`, authorization: `Bearer ${secret}` },
    });
    expect([307, 401]).toContain(answer.status());
  }
  const closed = await request.get(`${server.url}/api/checks/${'a'.repeat(22)}`);
  expect(closed.status()).toBe(410);
  const { faults } = (await closed.json()) as { faults: { message: string }[] };
  expect(faults[0]!.message).toBe(
    'This link does not open a check sheet. Ask Lanternfell Coffee for your café’s link.',
  );
});

test('a full sheet of long remarks in a large script is taken, and more than that is not', async ({
  request,
}) => {
  const { secret } = factsOf(server.databaseFile);
  const sheet = (await (await request.get(`${server.url}/api/checks/${secret}`)).json()) as {
    result: { coffees: { releaseId: string }[] };
  };
  // Four bytes each.
  const remark = '𠀀'.repeat(400);
  const checks = sheet.result.coffees.map(({ releaseId }) => ({
    releaseId,
    check: { doseG: 18, yieldG: 36, timeS: 27, remark },
  }));
  const send = (help: string) =>
    request.post(`${server.url}/api/commands`, {
      data: {
        id: randomBytes(16).toString('hex'),
        kind: 'sendChecks',
        input: { secret, checks, help },
      },
    });
  const taken = await send(remark);
  expect(Buffer.byteLength(JSON.stringify({ checks, help: remark }))).toBeGreaterThan(4_000);
  expect([taken.status(), await taken.text()]).toEqual([200, expect.stringContaining('result')]);
  const tooLong = await send('x'.repeat(70_000));
  expect(tooLong.status()).toBe(400);
  expect(await tooLong.text()).toContain('That is over 64 kB. Send less at once.');
});

test('addresses nothing was published at answer 404 alike', async ({ request }) => {
  for (const path of ['/p/guess', '/p/guess/recipe.json', '/p/guess/card.pdf', '/p/', '/nowhere']) {
    const response = await request.get(server.url + path);
    expect(response.status(), path).toBe(404);
    expect(await response.text()).toMatch(/nothing (at|is published at) this address/i);
  }
});

/** Tries every command and every writing address; answers the status each got. */
async function tryEverything(request: APIRequestContext): Promise<Map<string, number>> {
  const statuses = new Map<string, number>();
  let n = 0;
  for (const kind of commands.keys()) {
    const id = `access-test-${String(n++).padStart(8, '0')}-${Date.now()}`;
    const response = await request.post(`${server.url}/api/commands`, {
      data: { id, kind, input: { anything: true } },
    });
    statuses.set(kind, response.status());
    const { faults } = (await response.json()) as { faults: { message: string }[] };
    expect(faults[0]!.message.length, kind).toBeGreaterThan(10);
  }
  const form = {
    file: {
      name: 'x.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from('release,roast_date\nA,2026-01-01\n'),
    },
    asked: JSON.stringify({
      step: 'take',
      id: `access-import-${Date.now()}`,
      mapping: {},
      dateOrder: 'ymd',
    }),
  };
  const imported = await request.post(`${server.url}/api/imports`, { multipart: form });
  statuses.set('POST /api/imports', imported.status());
  const password = { password: 'guess guess guess', next: 'something long enough' };
  const changed = await request.put(`${server.url}/api/session`, { data: password });
  statuses.set('PUT /api/session', changed.status());
  return statuses;
}

test('signed in: a release that is not there says so, on a page that works', async ({ page }) => {
  const broken: string[] = [];
  page.on('pageerror', (error) => broken.push(String(error)));
  await signIn(page, server.url);
  const response = await page.goto(`${server.url}/releases/nothing-here/pull`);
  expect(response!.status()).toBe(404);
  await expect(page.getByRole('heading')).toHaveText('There is nothing at this address');
  await page.getByRole('link', { name: 'House' }).click();
  await expect(page).toHaveURL(`${server.url}/house`);
  expect(broken).toEqual([]);
});

test('signed out: every write is refused with words, and nothing is stored', async ({
  request,
}) => {
  const before = weigh(server.databaseFile);
  const statuses = await tryEverything(request);
  for (const { kind, duty } of commands.values())
    expect([kind, statuses.get(kind)]).toEqual([kind, duty === 'open' ? 400 : 401]);
  expect(statuses.get('POST /api/imports')).toBe(401);
  expect(statuses.get('PUT /api/session')).toBe(401);
  expect(weigh(server.databaseFile)).toBe(before);
});

test('as reader: every page opens, and every write is refused with 403 and words', async ({
  page,
}) => {
  await signIn(page, server.url, 'wren');
  const before = weigh(server.databaseFile);
  const statuses = await tryEverything(page.request);
  const expected = { open: 400, self: 400, bench: 403, lead: 403 };
  for (const { kind, duty } of commands.values())
    expect([kind, statuses.get(kind)]).toEqual([kind, expected[duty]]);
  expect(statuses.get('POST /api/imports')).toBe(403);
  // A wrong password of their own.
  expect(statuses.get('PUT /api/session')).toBe(403);
  expect(weigh(server.databaseFile)).toBe(before);
  await lookForWrites(page);
});

/** No page offers a reader a button that would write. */
async function lookForWrites(page: Page): Promise<void> {
  const { releaseId } = factsOf(server.databaseFile);
  const stages = ['read', 'start', 'pull', 'taste', 'rest', 'publish', 'field', 'log'];
  const paths = [
    '/',
    '/find?q=tea',
    '/equipment',
    '/house',
    '/house/rules',
    '/open',
    '/patterns',
    '/practice',
    '/programmes',
    '/field',
    '/field/week',
    ...stages.map((stage) => `/releases/${releaseId}/${stage}`),
  ];
  const offers =
    /^(Save|Add|Correct|Publish|Withdraw|Log it|Keep this|Put it|Use|Undo|Take|take|change|Make a link|Read a recipe)/;
  for (const path of paths) {
    const response = await page.goto(server.url + path);
    expect(response!.status(), path).toBe(200);
    const enabled = page.getByRole('button', { name: offers, disabled: false });
    expect(await enabled.allTextContents(), path).toEqual([]);
  }
}

test('every answer carries the policy and the headers', async ({ request }) => {
  const ofPages = /script-src 'self' 'nonce-[^']+' 'strict-dynamic'.*frame-ancestors 'none'/;
  const ofOthers = /^default-src 'none'; frame-ancestors 'none'$/;
  for (const [path, policy] of [
    ['/sign-in', ofPages],
    ['/p/guess', /^default-src 'none'; style-src-elem 'sha256-/],
    ['/schema/recipe-document-2.json', ofOthers],
    ['/status', ofPages],
    ['/icon.svgfoo', ofPages],
    ['/icon.svg', ofOthers],
    ['/api/commands', ofOthers],
    ['/_next/static/nothing.js', /^default-src 'none'; frame-ancestors 'none'; script-src 'self'/],
    ['/%ff', ofOthers],
  ] as const) {
    const headers = (await request.get(server.url + path)).headers();
    expect(headers['content-security-policy'], path).toMatch(policy);
    expect(headers['x-content-type-options'], path).toBe('nosniff');
    expect(headers['referrer-policy'], path).toBe('same-origin');
  }
  const policy = async () =>
    (await request.get(`${server.url}/sign-in`)).headers()['content-security-policy'];
  expect(await policy()).not.toBe(await policy());
});

test('the session cookie cannot be read by a script or forged', async ({ page, request }) => {
  await comeIn(page, server.url);
  await page.goto(server.url);
  expect(await page.evaluate(() => document.cookie)).not.toContain('kettlebrand');
  const [cookie] = (await page.context().cookies()).filter(({ name }) => name === 'kettlebrand');
  expect(cookie).toMatchObject({ httpOnly: true, sameSite: 'Lax' });
  const forged = await request.get(server.url, {
    maxRedirects: 0,
    headers: { cookie: `kettlebrand=${cookie!.value.slice(0, -3)}abc` },
  });
  expect(forged.status()).toBe(307);
  for (const broken of ['%', 'Fe26.2*1*x*y', '"', 'a=b=c', 'x'.repeat(3000)]) {
    const answer = await request.get(server.url, {
      maxRedirects: 0,
      headers: { cookie: `kettlebrand=${broken}` },
    });
    expect([broken.slice(0, 12), answer.status()]).toEqual([broken.slice(0, 12), 307]);
  }
});

test('a browser that is signed out elsewhere is out at once, its open lines too', async ({
  browser,
  page,
}) => {
  await signIn(page, server.url);
  const other = await browser.newPage();
  await signIn(other, server.url);
  const { releaseId } = factsOf(server.databaseFile);
  await other.goto(`${server.url}/releases/${releaseId}/pull`);
  const isClosed = other.evaluate(
    (address) =>
      new Promise((resolve) => {
        const line = new EventSource(address);
        line.onerror = () => resolve(line.readyState === EventSource.CLOSED || 'ended');
      }),
    '/api/stream',
  );
  await page.goto(`${server.url}/people`);
  await page.getByRole('button', { name: 'Sign out everywhere else' }).click();
  expect(await isClosed).toBeTruthy();
  await other.goto(`${server.url}/house`);
  await expect(other).toHaveURL(`${server.url}/sign-in`);
  await expect(page.getByRole('button', { name: 'Sign out everywhere else' })).toHaveCount(0);
  await other.close();
});

test('a password given long ago is asked for again, and what was sent goes on', async ({
  page,
}) => {
  await signIn(page, server.url);
  const db = new Database(server.databaseFile);
  db.prepare(`UPDATE session SET proved_at = '2026-01-01T00:00:00.000Z'`).run();
  db.close();
  await page.goto(`${server.url}/people`);
  await page.getByLabel('Who it is for').fill('Marlow');
  await page.getByRole('button', { name: 'Make a link' }).click();
  const dialog = page.getByRole('dialog', { name: 'Your password once more' });
  await dialog.getByLabel('Password').fill('kettle at seven');
  await page.keyboard.press('Enter');
  await expect(dialog.getByText('This is not your password. Type it again.')).toBeVisible();
  await dialog.getByLabel('Password').fill('kettle at six');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Give this link to Marlow.')).toBeVisible();
});
