/** Open all day, in many pages: what was typed is there again, errors lead there, keys can be off. */
import { expect, test, type Page } from '../support/browserTest';
import { fill, press, tabTo } from '../support/keyboard';
import { openPage, openRelease, pathOf } from '../support/openRelease';
import type { RunningServer } from '../support/server';
import { signIn } from '../support/signIn';

let server: RunningServer;
test.beforeAll(async ({ demoHouse }) => {
  server = await demoHouse.asMade();
});

test.beforeEach(({ page }) => signIn(page, server.url));

const isBack = (page: Page) =>
  expect(page.getByText(/is here again; it was not saved/)).toBeVisible();

test('half a new release, a figure of the next shot and a remark of a cup survive leaving the page', async ({
  page,
}) => {
  await openPage(page, `${server.url}/releases/new`);
  await fill(page, 'Name of the release', 'Half a');
  await tabTo(page, page.getByRole('button', { name: 'Create and read it' }));
  await page.keyboard.press('h');
  await expect(page).toHaveTitle('Today · Kettlebrand');
  await openPage(page, `${server.url}/releases/new`);
  await isBack(page);
  await expect(page.getByLabel('Name of the release')).toHaveValue('Half a');
  await press(page, 'Start again');
  await expect(page.getByLabel('Name of the release')).toHaveValue('');

  await openRelease(page, server.url, 'Kibira Slope', 'pull');
  await fill(page, 'Yield, g', '38.5');
  await page.keyboard.press('Escape');
  await page.keyboard.press('4');
  await page.waitForURL(/\/taste$/);
  await expect(page).toHaveTitle('Taste · Kibira Slope · Kettlebrand');
  await fill(page, 'Remark', 'like a plum');
  await page.keyboard.press('Escape');
  await page.reload();
  await isBack(page);
  await expect(page.getByLabel('Remark')).toHaveValue('like a plum');
  await page.goBack();
  await page.waitForURL(/\/pull$/);
  await expect(page.getByLabel('Yield, g')).toHaveValue('38.5');

  // A figure of the proposal, and words of the card.
  await openRelease(page, server.url, 'Kibira Slope', 'start');
  await fill(page, 'Yield, g', '41.5');
  await page.reload();
  await isBack(page);
  await expect(page.getByLabel('Yield, g')).toHaveValue('41.5');
  await openRelease(page, server.url, 'Kibira Slope', 'publish');
  await fill(page, 'How it tastes when right', 'Plum and cane sugar');
  await page.reload();
  await isBack(page);
  await expect(page.getByLabel('How it tastes when right')).toHaveValue('Plum and cane sugar');
});

test('a refused form leads to its first wrong field, and a figure that may be two is asked about', async ({
  page,
}) => {
  await openPage(page, `${server.url}/releases/new`);
  await fill(page, 'Altitude, m', '1,850');
  await press(page, 'Create and read it');
  await expect(page.getByText(/“1,850” may mean 1850 or 1\.850/)).toBeVisible();
  await expect(page.getByLabel('Name of the release')).toBeFocused();
  const summary = page.getByRole('alert').filter({ hasText: 'fields need you' });
  await summary.getByRole('link', { name: 'Altitude, m' }).press('Enter');
  await expect(page.getByLabel('Altitude, m')).toBeFocused();
});

test('single keys can be turned off, and the keyboard skips to the content', async ({ page }) => {
  await openPage(page, `${server.url}/people`);
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'Skip to the content' })).toBeFocused();
  const off = page.getByRole('radio', { name: 'do nothing' });
  await tabTo(page, page.getByRole('radio', { name: 'act', exact: true }));
  await page.keyboard.press('ArrowRight');
  await expect(off).toBeChecked();
  await openRelease(page, server.url, 'Kibira Slope', 'pull');
  await page.keyboard.press('4');
  // The clock stays the hand's, and what was pressed before it has been heard by then.
  await page.keyboard.press('Space');
  await expect(page.getByText(/first drip/).first()).toBeVisible();
  await expect(page).toHaveURL(/\/pull$/);
});

test('twelve pages of one browser share one line, and all of them hear what another person did', async ({
  page,
  context,
  browser,
}) => {
  const path = `${server.url}${await pathOf(page, server.url, 'Serra do Lume')}/pull`;
  const lines: string[] = [];
  context.on('response', (response) => {
    if (response.url().endsWith('/api/stream')) lines.push(response.url());
  });
  const pages = [page];
  while (pages.length < 12) pages.push(await context.newPage());
  for (const one of pages) await one.goto(path);
  // The thirteenth is not held up by the lines of the others.
  const thirteenth = await context.newPage();
  await thirteenth.goto(`${server.url}/equipment`);
  await expect(thirteenth.getByRole('heading', { name: 'Equipment' })).toBeVisible();
  await expect.poll(() => lines).toHaveLength(1);

  const other = await browser.newContext();
  const tobin = await other.newPage();
  await signIn(tobin, server.url, 'tobin');
  await openPage(tobin, path);
  await fill(tobin, 'Time, s', '27.5');
  await tobin.keyboard.press('Enter');
  for (const one of pages)
    await expect(one.getByText(/Tobin Achterveld logged a shot/)).toBeVisible();
  expect(lines).toHaveLength(1);
  await other.close();
});
