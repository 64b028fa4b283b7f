/** Practice: a first-time user with the advice, and one who plays alone till the bag is empty. */
import { expect, test } from '@playwright/test';
import { openPage } from '../support/openRelease';
import { startServer, type RunningServer } from '../support/server';
import { signIn } from '../support/signIn';

let server: RunningServer;
test.beforeEach(async ({ page }) => {
  server = await startServer({ demo: true });
  await signIn(page, server.url);
  await openPage(page, `${server.url}/practice`);
});
test.afterEach(() => server.close());

test('from a new coffee to confirmed in at most five shots on the medium level, by keyboard', async ({
  page,
}) => {
  await page.getByRole('button', { name: 'Pull it' }).waitFor();
  await page.getByLabel('Dial', { exact: true }).focus();
  const confirmed = page.getByText(/Confirmed in (\d+) shots/);
  for (let shot = 1; shot <= 5 && !(await confirmed.isVisible()); shot++) {
    await page.getByLabel('Dial', { exact: true }).press('Enter');
    await expect(
      page.getByRole('region', { name: 'Shots of this round' }).getByRole('row'),
    ).toHaveCount(shot + 1);
    await page.waitForTimeout(150);
  }
  await expect(confirmed).toBeVisible();
  await expect(page.getByText(/middle of the window lay at dial [\d.]+/)).toBeVisible();
  await expect(page.getByText(/the advice would have been confirmed after \d shots/)).toBeVisible();
});

test('alone, with an empty bag: the truth is told and another coffee dealt', async ({ page }) => {
  await page.getByText('Hidden till the end').click();
  await page.getByLabel('Dial', { exact: true }).waitFor();
  for (let shot = 1; shot <= 11; shot++) {
    await page.getByLabel('Dial', { exact: true }).fill('36');
    await page.getByRole('button', { name: 'Pull it' }).click();
    await expect(
      page.getByRole('region', { name: 'Shots of this round' }).getByRole('row'),
    ).toHaveCount(shot + 1);
    if (shot < 11) await expect(page.getByRole('button', { name: 'Pull it' })).toBeEnabled();
  }
  await expect(page.getByText('The bag is empty. Here is what it was.')).toBeVisible();
  await expect(page.getByText(/one step changed the time by 9 %/)).toBeVisible();
  await page.getByRole('button', { name: 'Another coffee' }).click();
  await expect(page.getByText(/Coffee 2\./)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Pull it' })).toBeEnabled();
});
