/** The bench with the server stopped: it opens, says what it knows, keeps what is entered, and sends it once. */
import Database from 'better-sqlite3';
import { expect, test, type Page } from '../support/browserTest';
import { OFFLINE_PAGES } from '@/workers/offlinePages';
import { pathOf, untilReady } from '../support/openRelease';
import type { RunningServer } from '../support/server';
import { signIn } from '../support/signIn';

test.use({ serviceWorkers: 'allow' });

let server: RunningServer;
test.beforeEach(async ({ demoHouse }) => {
  server = await demoHouse.asMade();
});

/** Today, with the service worker installed. */
async function open(page: Page): Promise<void> {
  await signIn(page, server.url);
  await page.goto(server.url);
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
}

const countOf = (table: 'shot' | 'tasting') => {
  const db = new Database(server.databaseFile, { readonly: true });
  const count = db.prepare(`SELECT count(*) FROM ${table}`).pluck().get() as number;
  db.close();
  return count;
};

test('the bench opens without the server, keeps shots and cups, and each goes up once', async ({
  page,
}) => {
  await open(page);
  const address = server.url + (await pathOf(page, server.url, 'Serra do Lume'));
  await page.goto(`${address}/pull`);
  const isKept = (stage: string) =>
    page.evaluate(
      async ([cache, end]) =>
        (await (await caches.open(cache!)).keys()).some(({ url }) => url.endsWith(end!)),
      [OFFLINE_PAGES, stage],
    );
  await expect.poll(() => isKept('/pull')).toBe(true);
  // It may be kept before it answers to keys.
  await untilReady(page);
  await page.keyboard.press('4');
  await expect(page.getByRole('form', { name: 'Cup sheet' })).toBeVisible();
  await expect.poll(() => isKept('/taste')).toBe(true);
  const before = { shots: countOf('shot'), cups: countOf('tasting') };

  await server.kill();
  await page.goto(`${address}/pull`);
  await expect(page.getByText('The server is not reached.', { exact: true })).toBeVisible();
  await expect(page.getByText(/This is what was known at \d+ \w+ \d{4}, \d\d:\d\d/)).toBeVisible();
  await page.getByLabel('Time, s').fill('26.4');
  await page.getByRole('button', { name: 'Log it' }).click();
  await expect(page.getByText(/1 shot waits to go up/)).toBeVisible();

  await page.keyboard.press('4');
  await expect(page.getByRole('form', { name: 'Cup sheet' })).toBeVisible();
  const liking = page.getByRole('radiogroup', { name: 'Liking' });
  await liking.getByRole('radio').first().focus();
  await page.keyboard.press('7');
  await page.getByRole('button', { name: 'Keep this cup sheet' }).click();
  await expect(page.getByText(/1 cup waits to go up/)).toBeVisible();
  await page.goto(`${server.url}/people`);
  await expect(page.getByRole('heading', { name: 'The server is not reached' })).toBeVisible();
  await page.getByRole('link', { name: 'Taste · Serra do Lume · Kettlebrand' }).click();
  await expect(page.getByText(/1 cup waits to go up/)).toBeVisible();

  await server.restart();
  await expect(page.getByText('The server is not reached.', { exact: true })).toBeHidden();
  await expect(page.getByText(/waits to go up/)).toBeHidden();
  await expect.poll(() => countOf('shot')).toBe(before.shots + 1);
  await expect.poll(() => countOf('tasting')).toBe(before.cups + 1);
});

test('whoever signs out leaves no page of the house in the browser', async ({ page }) => {
  await open(page);
  const kept = () =>
    page.evaluate(async (name) => (await (await caches.open(name)).keys()).length, OFFLINE_PAGES);
  await expect.poll(kept).toBeGreaterThan(0);
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByRole('button', { name: /Sign in/ }).first()).toBeVisible();
  expect(await kept()).toBe(0);
  await server.kill();
  await page.goto(`${server.url}/`).catch(() => undefined);
  await expect(page.getByText('Las Veredas')).toBeHidden();
});

test('a new version is offered and not forced', async ({ page }) => {
  await open(page);
  await page.reload();
  // As the next build does: another worker for the same pages.
  await page.evaluate(async () => void (await navigator.serviceWorker.register('/sw.js?next')));
  await expect(page.getByText('A new version of Kettlebrand is ready.')).toBeVisible();
  // Till somebody takes it, the page and its worker stay as they are.
  const waits = () =>
    page.evaluate(async () => (await navigator.serviceWorker.ready).waiting !== null);
  await page.evaluate(() => document.body.setAttribute('data-before', ''));
  expect(await waits()).toBe(true);
  await page.getByRole('button', { name: 'Use it now' }).click();
  await expect(page.locator('body[data-before]')).toHaveCount(0);
  await expect.poll(() => waits().catch(() => true)).toBe(false);
});
