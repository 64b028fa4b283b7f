/** Behind HTTPS, as the guide sets nginx up: cookies kept to the address, cards held, and gone in time. */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { request as ask, type RequestOptions } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { chromium, expect, test } from '../support/browserTest';
import { OFFLINE_PAGES } from '@/workers/offlinePages';
import browserConfig from '../../playwright.config';
import { DEMO_PEOPLE } from '@/features/people/demoPeople';
import { documentedProxy, hasNginx, startNginx, type RunningNginx } from '../support/nginx';
import { startServer, type RunningServer } from '../support/server';

const NAME = 'recipes.example';
let server: RunningServer;
test.skip(!hasNginx, 'There is no nginx on this machine.');

let nginx: RunningNginx;
let folder: string;

test.beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'kettlebrand-tls-'));
  const certificate = { file: join(folder, 'own.pem'), key: join(folder, 'own.key') };
  const made = spawnSync('openssl', [
    ...['req', '-x509', '-newkey', 'rsa:2048', '-nodes', '-days', '2', '-subj', `/CN=${NAME}`],
    ...['-keyout', certificate.key, '-out', certificate.file],
  ]);
  if (made.status !== 0) throw new Error(made.stderr.toString());
  server = await startServer({
    demo: true,
    env: { KETTLEBRAND_ADDRESS: `https://${NAME}`, KETTLEBRAND_PROXY: '1' },
  });
  nginx = await startNginx((place) =>
    documentedProxy({ ...place, upstream: server.url, certificate }),
  );
});
test.afterAll(async () => {
  await nginx.close();
  await server.close();
  rmSync(folder, { recursive: true });
});

interface Answer {
  readonly status: number;
  readonly headers: Readonly<Record<string, string | string[] | undefined>>;
  readonly body: string;
}

/** Asks by the public name; the certificate is the test's own. */
function at(path: string, options: RequestOptions = {}, body?: object): Promise<Answer> {
  return new Promise((resolve, reject) => {
    const asked = ask(
      {
        host: '127.0.0.1',
        port: nginx.port,
        path,
        servername: NAME,
        rejectUnauthorized: false,
        ...options,
        headers: { host: NAME, 'content-type': 'application/json', ...options.headers },
      },
      (answer) => {
        let text = '';
        answer.on('data', (chunk: Buffer) => (text += chunk.toString()));
        answer.on('end', () =>
          resolve({ status: answer.statusCode!, headers: answer.headers, body: text }),
        );
      },
    );
    asked.on('error', reject);
    asked.end(body === undefined ? undefined : JSON.stringify(body));
  });
}

async function cookie(): Promise<string> {
  const { signInName, password } = DEMO_PEOPLE[0];
  const { headers } = await at(
    '/api/session',
    { method: 'POST', headers: { 'x-forwarded-for': '6.6.6.6' } },
    { signInName, password },
  );
  const cookies = [headers['set-cookie']].flat().map(String);
  const session = cookies.find((one) => one.startsWith('__Host-kettlebrand='))!;
  expect(session).toMatch(/; Secure/i);
  expect(session).toMatch(/; Path=\/(;|$)/i);
  expect(session).not.toMatch(/domain/i);
  return session.split(';')[0]!;
}

test('the way in is kept to HTTPS and to the address', async () => {
  const signIn = await at('/sign-in');
  expect(signIn.status).toBe(200);
  expect(signIn.headers['strict-transport-security']).toMatch(/max-age=\d{7,}/);
  const home = await at('/', { headers: { cookie: await cookie() } });
  expect(home.status).toBe(200);
  expect(home.body).toContain('Today');
  const log = new Database(server.databaseFile, { readonly: true });
  const from = log
    .prepare(`SELECT DISTINCT source FROM door_log WHERE source <> ''`)
    .pluck()
    .all() as string[];
  log.close();
  // What a stranger wrote down of himself is not believed.
  expect(from).toEqual([expect.stringMatching(/^127\.0\.0\.1/)]);
});

test('cards are held by the proxy, and a recipe that is taken back is gone within a minute', async () => {
  const db = new Database(server.databaseFile, { readonly: true });
  const { token, releaseId } = db
    .prepare(
      'SELECT token, release_id AS releaseId FROM publication WHERE withdrawn_at IS NULL LIMIT 1',
    )
    .get() as { token: string; releaseId: string };
  db.close();
  const files = ['', '/card.pdf', '/recipe.json'].map((file) => `/p/${token}${file}`);
  const etags = await Promise.all(files.map(async (file) => (await at(file)).headers.etag));
  const own = { headers: { cookie: await cookie() } };
  await server.kill();
  // Nobody is there to ask: what the proxy holds is given all the same.
  for (const [n, file] of files.entries()) {
    const held = await at(file, { headers: { 'if-none-match': String(etags[n]) } });
    expect([file, held.status]).toEqual([file, 304]);
  }
  expect((await at('/sign-in')).status).toBe(502);
  await server.restart();
  const withdrawn = await at(
    '/api/commands',
    { method: 'POST', headers: own.headers },
    {
      id: 'withdrawn-behind-a-proxy',
      kind: 'withdraw',
      input: { releaseId, why: 'For a test.' },
    },
  );
  expect(withdrawn.status).toBe(200);
  for (const file of files) await expect.poll(async () => (await at(file)).status).toBe(410);
});

test('over HTTPS a page opens while only the proxy answers, and says of when it is', async () => {
  const browser = await chromium.launch({
    ...browserConfig.use!.launchOptions!,
    args: [
      ...browserConfig.use!.launchOptions!.args!,
      '--ignore-certificate-errors',
      `--host-resolver-rules=MAP ${NAME}:443 127.0.0.1:${nginx.port}`,
    ],
  });
  const page = await browser.newPage({ serviceWorkers: 'allow' });
  const address = `https://${NAME}`;
  await page.goto(`${address}/sign-in`);
  await page.getByLabel('Sign-in name').fill(DEMO_PEOPLE[0].signInName);
  await page.getByLabel('Password').fill(DEMO_PEOPLE[0].password);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Due' })).toBeVisible();
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await page.reload();
  const kept = () =>
    page.evaluate(async (name) => (await (await caches.open(name)).keys()).length, OFFLINE_PAGES);
  await expect.poll(kept).toBeGreaterThan(0);
  await server.kill();
  await page.goto(`${address}/`);
  await expect(page.getByText('The server is not reached.', { exact: true })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Due' })).toBeVisible();
  await page.goto(`${address}/people`);
  await expect(page.getByRole('heading', { name: 'The server is not reached' })).toBeVisible();
  await server.restart();
  await page.goto(`${address}/people`);
  await expect(page.getByRole('heading', { name: 'People', exact: true })).toBeVisible();
  await browser.close();
});
