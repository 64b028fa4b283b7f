/** What anybody may read: kept as it was made, told apart by its hash, gone within a minute. */
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { gzipSync } from 'node:zlib';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import Database from 'better-sqlite3';
import { expect, test, type APIRequestContext } from '../support/browserTest';
import { findHouse } from '@/data/house';
import { hasNginx, servedFolder, startNginx } from '../support/nginx';
import type { RunningServer } from '../support/server';
import { signIn } from '../support/signIn';

let server: RunningServer;
let token: string;
let releaseId: string;

test.beforeAll(async ({ demoHouse }) => {
  server = await demoHouse.asMade();
  const db = new Database(server.databaseFile, { readonly: true });
  const found = db
    .prepare(
      `SELECT token, release_id AS releaseId FROM publication WHERE withdrawn_at IS NULL LIMIT 1`,
    )
    .get() as { token: string; releaseId: string };
  db.close();
  ({ token, releaseId } = found);
});

const FILES = ['', '/card.pdf', '/recipe.json', '/de/', '/fr/bag.pdf', '/label.pdf', '/card.png'];
/** HTML with its styles, and its first script, gzip. */
const MOST_PAGE_BYTES = 40_000;

const get = (request: APIRequestContext, path: string, headers: Record<string, string> = {}) =>
  request.get(`${server.url}/p/${token}${path}`, { headers });

async function etags(request: APIRequestContext): Promise<string[]> {
  const answers = await Promise.all(FILES.map((path) => get(request, path)));
  return answers.map((answer) => answer.headers().etag!);
}

const command = (request: APIRequestContext, kind: string, input: object) =>
  request.post(`${server.url}/api/commands`, {
    data: { id: `public-test-${kind}-${Date.now()}`, kind, input },
  });

test('each file has its hash, is fresh for less than a minute, and is not sent twice', async ({
  request,
}) => {
  for (const path of FILES) {
    const answer = await get(request, path);
    const { etag, 'cache-control': cache } = answer.headers();
    expect(etag, path).toMatch(/^"[\w-]{43}"$/);
    expect(Number(/max-age=(\d+)/.exec(cache!)![1]), path).toBeLessThan(60);
    const again = await get(request, path, { 'if-none-match': `"other", W/${etag!}` });
    expect([path, again.status(), (await again.body()).length]).toEqual([path, 304, 0]);
    expect((await get(request, path, { 'if-none-match': '"other"' })).status()).toBe(200);
    const head = await request.head(`${server.url}/p/${token}${path}`);
    expect(head.headers()['content-length']).toBe(String((await answer.body()).length));
  }
});

test('the page is a small document that does without a script, in six languages', async ({
  browser,
  request,
}) => {
  const html = await (await get(request, '')).text();
  const scripts = [...html.matchAll(/<script[^>]*src="([^"]+)"/g)].map(([, path]) => path!);
  expect(scripts).toEqual(['/card/start.js']);
  expect(html.match(/<script/g)).toHaveLength(1);
  expect(html).not.toMatch(/javascript:|_next/i);
  const start = await (await request.get(`${server.url}/card/start.js`)).body();
  expect(gzipSync(html).length + gzipSync(start).length).toBeLessThan(MOST_PAGE_BYTES);
  for (const language of ['en', 'de', 'fr', 'it', 'es', 'pt']) {
    const page = await (await get(request, `/${language}/`)).text();
    expect(page).toMatch(new RegExp(`<html lang="${language}-`));
  }
  const page = await (await browser.newContext({ javaScriptEnabled: false })).newPage();
  const refused: string[] = [];
  page.on('console', (message) => refused.push(message.text()));
  await page.goto(`${server.url}/p/${token}`);
  // Its styles and its font are let in by its own policy.
  await expect(page.locator('h1')).toHaveCSS('font-family', /Archivo/);
  await expect(page.locator('h1')).not.toHaveCSS('font-size', '32px');
  expect(refused).toEqual([]);
  await page.context().close();
});

test('what a version says never changes, and what is taken back is gone, files and all', async ({
  page,
}) => {
  const { request } = page;
  await signIn(page, server.url);
  const before = await etags(request);
  await server.kill();
  await server.restart();
  expect(await etags(request)).toEqual(before);
  expect((await command(request, 'withdraw', { releaseId, why: 'For a test.' })).status()).toBe(
    200,
  );
  for (const path of FILES)
    expect([path, (await get(request, path)).status()]).toEqual([path, 410]);
  await page.goto(`${server.url}/p/${token}`);
  await expect(page.getByText('For a test.')).toBeVisible();
  expect((await command(request, 'showAgain', { releaseId })).status()).toBe(200);
  expect(await etags(request)).toEqual(before);
});

test('all of it as a folder, served by nginx: each file is what its hash says, each link leads on', async ({
  request,
}) => {
  test.skip(!hasNginx, 'There is no nginx on this machine.');
  const folder = mkdtempSync(join(tmpdir(), 'kettlebrand-site-'));
  const out = join(folder, 'site');
  const made = spawnSync('node', ['scripts/kb.mjs', 'site', '--out', out], {
    env: { ...process.env, KETTLEBRAND_DATA: dirname(server.databaseFile) },
  });
  const nginx = await startNginx(({ port }) => servedFolder(port, out));
  const at = (path: string) => request.get(`http://127.0.0.1:${nginx.port}/${path}`);
  try {
    expect(made.stderr.toString()).toBe('');
    const { cards } = JSON.parse(made.stdout.toString()) as { cards: number };
    expect(cards).toBeGreaterThan(2);
    const hashes = (await (await at('hashes.json')).json()) as object;
    for (const [path, hash] of Object.entries(hashes)) {
      const found = createHash('sha256')
        .update(await (await at(path)).body())
        .digest('hex');
      expect([path, found]).toEqual([path, hash]);
    }
    const pages = Object.keys(hashes).filter((path) => path.endsWith('.html'));
    // Each card in six languages and without one, earlier versions, and the list of them all.
    expect(pages.length).toBeGreaterThanOrEqual(7 * cards + 1);
    const links = new Map<string, string>();
    for (const page of pages)
      for (const [, address] of (await (await at(page)).text()).matchAll(
        /(?:href="|src="|url\()(\/[^")]*)/g,
      ))
        links.set(address!.slice(1), page);
    for (const [link, page] of links)
      expect([page, link, (await at(link)).status()]).toEqual([page, link, 200]);
    expect(links.size).toBeGreaterThan(cards * 3);
    const kinds = [...links.keys()].map(async (link) => (await at(link)).headers()['content-type']);
    expect([...new Set(await Promise.all(kinds))].sort().join(' ')).toMatch(
      /application\/json.*application\/pdf.*font\/woff2.*text\/html/,
    );
  } finally {
    await nginx.close();
    rmSync(folder, { recursive: true });
  }
});

test('a folder the house names is fed with each version, and emptied of what is taken back', async ({
  page,
}) => {
  const { request } = page;
  await signIn(page, server.url);
  const folder = mkdtempSync(join(tmpdir(), 'kettlebrand-fed-'));
  const db = new Database(server.databaseFile, { readonly: true });
  const house = findHouse(db)!;
  db.close();
  const { rowVersion, rules: _rules, halfLife: _half, ...fields } = house;
  const kept = { rowVersion, house: { ...fields, siteFolder: folder } };
  const own = join(folder, 'p', token);
  try {
    expect((await command(request, 'saveHouse', kept)).status()).toBe(200);
    await expect.poll(() => existsSync(join(own, 'de/index.html'))).toBe(true);
    writeFileSync(join(folder, 'own.txt'), 'the host’s own file');
    await command(request, 'withdraw', { releaseId, why: 'For a test.' });
    await expect.poll(() => existsSync(join(own, 'index.html'))).toBe(false);
    expect(existsSync(join(folder, 'index.html'))).toBe(true);
    expect(existsSync(join(folder, 'own.txt'))).toBe(true);
    await command(request, 'showAgain', { releaseId });
    // The list of hashes is written last: then nothing is on its way into the folder any more.
    const listed = () => readFileSync(join(folder, 'hashes.json'), 'utf8').includes(token);
    await expect.poll(listed).toBe(true);
    expect(existsSync(join(own, 'index.html'))).toBe(true);
  } finally {
    rmSync(folder, { recursive: true });
  }
});

test('addresses beside them are not found, whatever they ask for', async ({ request }) => {
  for (const path of [
    '/p/',
    '/p/../../etc/passwd',
    `/p/${'x'.repeat(3000)}`,
    `/p/${token}/..%2f..%2fpackage.json`,
    '/fonts/archivo-..%2f-wdth-normal.woff2',
    '/fonts/archivo-none-wdth-normal.woff2',
    '/fonts/noto-sans-none.woff2',
    '/card/none.js',
    '/calendar/not-the-secret-of-this-house.ics',
    `/p/${token}/xx/`,
    `/p/${token}/v/99/`,
    '/schema/recipe-document-99.json',
    '/schema/recipe-document-1.json/x',
  ])
    expect([path.slice(0, 60), (await request.get(server.url + path)).status()]).toEqual([
      path.slice(0, 60),
      404,
    ]);
  for (const path of [`/p/${token}`, `/p/${token}/card.pdf`, '/schema/x', '/fonts/x'])
    expect([path, (await request.post(server.url + path)).status()]).toEqual([path, 405]);
});
