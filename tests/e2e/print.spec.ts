/** On paper: by day, whose it is, what is to be read, lines to write on, and nothing to press. */
import { expect, test, type Page } from '../support/browserTest';
import { pathOf } from '../support/openRelease';
import type { RunningServer } from '../support/server';
import { signIn } from '../support/signIn';

let server: RunningServer;
test.beforeAll(async ({ demoHouse }) => {
  server = await demoHouse.asMade();
});
test.use({ colorScheme: 'dark' });

/** A page as it is printed from a browser that is dark. */
async function onPaper(page: Page, path: string): Promise<void> {
  await page.goto(server.url + path);
  await page.emulateMedia({ media: 'print', colorScheme: 'dark' });
  const pressed = page.locator('button:visible').filter({ hasNot: page.locator('xpath=..//th') });
  const words = (await pressed.allInnerTexts()).filter(Boolean);
  const heads = await page.locator('th button:visible').allInnerTexts();
  expect(words.filter((word) => !heads.includes(word))).toEqual([]);
  const paper = await page.evaluate(() => getComputedStyle(document.body).backgroundColor);
  expect(paper).toBe('rgb(255, 255, 255)');
  const ink = await page.evaluate(() => getComputedStyle(document.body).color);
  expect(ink).toBe('rgb(16, 32, 26)');
}

test('Today is a list to tick, Pull a sheet to write on, a release and Patterns are read', async ({
  page,
}) => {
  await signIn(page, server.url);
  const bench = await pathOf(page, server.url, 'Serra do Lume');
  await onPaper(page, '/');
  await expect(page.getByRole('heading', { name: /^Today, \d+ \w+ \d{4}$/ })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Due' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'New release' })).toBeHidden();
  await expect(page.locator('section[aria-label="Rest strips"]')).toBeHidden();

  await onPaper(page, `${bench}/pull`);
  await expect(page.getByRole('heading', { name: 'Serra do Lume' })).toBeVisible();
  const sheet = page.getByRole('region', { name: 'Bench sheet' });
  await expect(sheet.getByRole('row')).toHaveCount(9);
  // It goes on where the ledger ends.
  await expect(sheet.getByRole('cell').first()).toHaveText('4');
  await expect(page.getByLabel('Recipe in force')).toBeVisible();
  await expect(page.getByRole('form')).toHaveCount(0);
  await expect(page.getByRole('region', { name: 'Ledger of shots' })).toContainText('Time, s');

  await onPaper(page, `${bench}/read`);
  await expect(page.getByRole('heading', { name: 'Serra do Lume' })).toBeVisible();
  await expect(page.getByRole('navigation', { name: 'Stages' })).toBeHidden();

  await onPaper(page, '/patterns');
  await expect(page.getByText('What the cups said, by process and roast')).toBeVisible();
  await expect(page.getByLabel('Narrow to')).toBeHidden();
});
