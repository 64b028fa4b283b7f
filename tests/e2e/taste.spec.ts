/** A sharp cup on target becomes a longer recipe on the bench, in one press. */
import { expect, test } from '@playwright/test';
import { startServer, type RunningServer } from '../support/server';

let server: RunningServer;
test.beforeAll(async () => {
  server = await startServer({ demo: true });
});
test.afterAll(() => server.close());

test('taste changes the recipe by one move, and the old shots keep their own', async ({ page }) => {
  await page.goto(server.url);
  await page.getByRole('link', { name: /Las Veredas/ }).click();
  const plate = page.getByLabel('Recipe in force');
  await expect(plate).toContainText('39.0');
  await page.keyboard.press('4');
  const score = (scale: string, value: string) =>
    page
      .getByRole('radiogroup', { name: scale, exact: true })
      .getByRole('radio', { name: value, exact: true })
      .press(value);
  await score('Sharp acidity', '9');
  await score('Body', '3');
  await expect(page.getByText(/Far under-extracted/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep this cup sheet' }).press('Enter');
  const advice = page.getByLabel('Next move');
  await expect(advice).toContainText(/Longer: 39 → 4\d/);
  await advice.getByRole('button', { name: 'Put it on the bench' }).press('Enter');
  await expect(plate).not.toContainText('39.0');
  await expect(plate).toContainText('On the bench');
  await expect(advice).toContainText('Pull the first shot of the new recipe');
  await page.keyboard.press('3');
  await expect(page.getByText('Ledger: 5 shots')).toBeVisible();
});

test('a style the machine cannot make is named with the nearest it can', async ({ page }) => {
  await page.goto(server.url);
  await page.getByRole('link', { name: /Dembi Ridge/ }).click();
  await expect(page.getByRole('heading', { name: /will resist/ })).toBeVisible();
  await page.keyboard.press('2');
  await page.getByRole('radio', { name: 'Soak first' }).press('Space');
  await expect(
    page.getByText(/cannot make soak first\. The nearest it can make is classic/),
  ).toBeVisible();
  await expect(page).toHaveURL(/style=soakFirst/);
  await page.getByLabel('Dose, g').fill('17');
  await page.getByLabel(/Why you overrule/).fill('Room for the puck');
  await page.getByRole('button', { name: 'Put it on the bench' }).press('Enter');
  await expect(page.getByLabel('Recipe in force')).toContainText('17.0');
});
