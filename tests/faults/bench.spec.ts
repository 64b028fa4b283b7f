/** Faults at the bench: a killed server, a lost answer, two sites, absurd entries. */
import Database from 'better-sqlite3';
import { expect, test, type Page } from '../support/browserTest';
import type { RunningServer } from '../support/server';
import { openRelease } from '../support/openRelease';
import { signIn } from '../support/signIn';

let server: RunningServer;
test.beforeEach(async ({ demoHouse, page }) => {
  server = await demoHouse.asMade();
  await signIn(page, server.url);
});

function countShots(): number {
  const db = new Database(server.databaseFile, { readonly: true });
  const { n } = db.prepare('SELECT count(*) AS n FROM shot').get() as { n: number };
  db.close();
  return n;
}

async function openPull(page: Page): Promise<void> {
  await openRelease(page, server.url, 'Serra do Lume', 'pull');
  await page.getByLabel('Time, s').waitFor();
}

async function logShot(page: Page, timeS: string): Promise<void> {
  await page.getByLabel('Time, s').fill(timeS);
  await page.getByRole('button', { name: 'Log it' }).click();
}

test('kill -9 between two shots keeps the acknowledged one', async ({ page }) => {
  const before = countShots();
  await openPull(page);
  await logShot(page, '25.1');
  await expect(page.getByText(/Ledger: 4 shots/)).toBeVisible();
  await server.kill();
  expect(countShots()).toBe(before + 1);
  await page.getByLabel('Time, s').fill('26.2');
  await page.getByRole('button', { name: 'Log it' }).click();
  await expect(page.getByText(/1 shot waits to go up/)).toBeVisible();
  await expect(page.getByText(/26.2 s.*server is not reached.*goes up by itself/)).toBeVisible();
  await server.restart();
  await expect(page.getByText(/Ledger: 5 shots/)).toBeVisible();
  expect(countShots()).toBe(before + 2);
});

test('a lost answer stores one shot', async ({ page }) => {
  const before = countShots();
  await openPull(page);
  let isFirst = true;
  await page.route('**/api/commands', async (route) => {
    if (!isFirst) return route.continue();
    isFirst = false;
    // The server gets the shot; its answer never arrives.
    await route.fetch();
    return route.abort();
  });
  await logShot(page, '25.4');
  // It waits, goes up once more under its id, and is answered with what is stored already.
  await expect(page.getByText(/Ledger: 4 shots/)).toBeVisible();
  expect(countShots()).toBe(before + 1);
});

test('Enter held or pressed twice logs one shot', async ({ page }) => {
  const before = countShots();
  await openPull(page);
  await page.getByLabel('Time, s').fill('25.4');
  await page.getByLabel('Time, s').press('Enter', { noWaitAfter: true });
  await page.keyboard.press('Enter');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Ledger: 4 shots/)).toBeVisible();
  // What the other presses might have sent would be here before this one.
  await logShot(page, '26.1');
  await expect(page.getByText(/Ledger: 5 shots/)).toBeVisible();
  expect(countShots()).toBe(before + 2);
});

test('absurd entries get a message at their field and store nothing', async ({ page }) => {
  const before = countShots();
  await openPull(page);
  await page.getByLabel('Dose, g').fill('180');
  await logShot(page, '500');
  await expect(page.getByText(/Dose 180 g is outside 3-40 g\. Enter 3-40 g\./)).toBeVisible();
  await expect(page.getByText(/Time 500 s is outside 1-180 s/)).toBeVisible();
  await expect(page.getByLabel('Dose, g')).toHaveValue('180');
  expect(countShots()).toBe(before);
});

test('another site cannot write, and bad bodies are 4xx with words', async ({ page }) => {
  const { request } = page;
  const post = (headers: Record<string, string>, data: string) =>
    request.post(`${server.url}/api/commands`, { headers, data });
  const json = { 'content-type': 'application/json' };
  const refusals = [
    [await post({ ...json, origin: 'http://elsewhere.test' }, '{}'), 403],
    [await post({ ...json, origin: 'null' }, '{}'), 403],
    [await post({ ...json, 'sec-fetch-site': 'cross-site' }, '{}'), 403],
    [await post({ 'content-type': 'text/plain' }, '{}'), 400],
    [await post(json, 'crema'), 400],
    [await post(json, '[]'), 400],
    [await post(json, '{"id":"x","kind":"logShot"}'), 400],
    [
      await post(
        json,
        JSON.stringify({ id: 'a'.repeat(20), kind: 'removeShot', input: { shotId: 'none' } }),
      ),
      404,
    ],
    [await post(json, `"${'x'.repeat(500_000)}"`), 400],
  ] as const;
  for (const [response, status] of refusals) {
    expect(response.status()).toBe(status);
    const { faults } = (await response.json()) as { faults: { message: string }[] };
    expect(faults[0]!.message.length).toBeGreaterThan(10);
  }
});
