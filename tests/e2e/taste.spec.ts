/** A sharp cup on target becomes a longer recipe on the bench, in one press. */
import { expect, test, type Page } from '@playwright/test';
import { startServer, type RunningServer } from '../support/server';
import { openRelease } from '../support/openRelease';
import { signIn } from '../support/signIn';

let server: RunningServer;
test.beforeAll(async () => {
  server = await startServer({ demo: true });
});
test.afterAll(() => server.close());

test.beforeEach(({ page }) => signIn(page, server.url));

/** Shots one can taste: those of this dial-in. */
async function shotsOf(page: Page): Promise<number> {
  return page.getByLabel('The shot in the cup').locator('option').count();
}

test('taste changes the recipe by one move, and the old shots keep their own', async ({ page }) => {
  await openRelease(page, server.url, 'Las Veredas');
  const plate = page.getByLabel('Recipe in force');
  await expect(plate).toContainText('42.0');
  await page.keyboard.press('4');
  const score = (scale: string, value: string) =>
    page
      .getByRole('radiogroup', { name: scale, exact: true })
      .getByRole('radio', { name: value, exact: true })
      .press(value);
  await score('Sharp acidity', '9');
  await score('Body', '3');
  await expect(page.getByText(/Far under-extracted/)).toBeVisible();
  const ledger = await shotsOf(page);
  await page.getByRole('button', { name: 'Keep this cup sheet' }).press('Enter');
  const advice = page.getByLabel('Next move');
  await expect(advice).toContainText(/Longer: 42\.0 → 4\d/);
  await advice.getByRole('button', { name: 'Use this recipe' }).press('Enter');
  await expect(plate).not.toContainText('42.0');
  await expect(plate).toContainText('On the bench');
  await expect(advice).toContainText('Pull the first shot of the new recipe');
  await page.keyboard.press('3');
  await expect(page.getByText(new RegExp(`Ledger: ${ledger} shots`))).toBeVisible();
});

test('a style the machine cannot make is named with the nearest it can', async ({ page }) => {
  await openRelease(page, server.url, 'Dembi Ridge');
  await expect(page.getByRole('heading', { name: /will resist/ })).toBeVisible();
  await page.keyboard.press('2');
  await page.getByRole('radio', { name: 'Soak first' }).press('Space');
  await expect(
    page.getByText(/makes soak first only in part\. The nearest it can make is classic with/),
  ).toBeVisible();
  await expect(page).toHaveURL(/style=soakFirst/);
  await page.getByLabel('Dose, g').fill('17');
  await page.getByRole('checkbox', { name: 'This setup' }).press('Space');
  await page.getByRole('button', { name: 'Use this recipe' }).press('Enter');
  await expect(page.getByLabel('Recipe in force')).toContainText('17.0');
  await page.getByRole('link', { name: 'Who did what when' }).click();
  await expect(
    page.getByText(/recipe on the bench.*overruling the proposal on dose: This setup/),
  ).toBeVisible();
});
