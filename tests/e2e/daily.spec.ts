/** What a bench does every day: cups that move a recipe, sheets by keys, a new batch on the last recipe. */
import { expect, test, type Page } from '../support/browserTest';
import type { RunningServer } from '../support/server';
import { press, tabTo } from '../support/keyboard';
import { openPage, openRelease, untilReady } from '../support/openRelease';
import { signIn } from '../support/signIn';

let server: RunningServer;
test.beforeAll(async ({ demoHouse }) => {
  server = await demoHouse.asMade();
});

test.beforeEach(({ page }) => signIn(page, server.url));

/** Shots one can taste: those of this dial-in. */
async function shotsOf(page: Page): Promise<number> {
  return page.getByLabel('The shot in the cup').locator('option').count();
}

test('taste changes the recipe by one move, and the old shots keep their own', async ({ page }) => {
  await openRelease(page, server.url, 'Las Veredas', 'pull');
  const plate = page.getByLabel('Recipe in force');
  await expect(plate).toContainText('42.0');
  // A shot that landed: what it lacks is for the tongue to say.
  const shots = page.getByLabel('Ledger of shots').getByRole('row');
  const before = await shots.count();
  await page.getByLabel('Time, s', { exact: true }).fill('28');
  await page.keyboard.press('Enter');
  await expect(shots).toHaveCount(before + 1);
  await page.locator('body').press('4');
  await page.waitForURL(/\/taste$/);
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

test('a cup sheet is filled scale by scale with digits and Tab alone, corrected and deleted', async ({
  page,
}) => {
  await openRelease(page, server.url, 'Kibira Slope', 'taste');
  const row = (name: string) => page.getByRole('radiogroup', { name, exact: true });
  const answers = {
    Acidity: '6',
    'Sharp acidity': '3',
    Sweetness: '7',
    Bitterness: '2',
    Dryness: '1',
    Body: '5',
    Clarity: '4',
    Liking: '10',
  };
  await tabTo(page, row('Acidity').getByRole('radio').first());
  for (const digits of Object.values(answers)) {
    await page.keyboard.type(digits);
    await page.keyboard.press('Tab');
  }
  for (const [name, digits] of Object.entries(answers))
    await expect(row(name).getByRole('radio', { checked: true })).toHaveAccessibleName(digits);
  await press(page, 'Keep this cup sheet');
  const sheets = page.getByRole('region', { name: 'Cup sheets' });
  const newest = sheets.getByRole('row').nth(1);
  await expect(newest.getByRole('cell').nth(2)).toHaveText('10');
  const all = await sheets.getByRole('row').count();
  // An empty one is refused, and nothing of it is kept.
  await press(page, 'Keep this cup sheet');
  await expect(page.getByText(/This cup sheet is empty/)).toBeVisible();
  await newest.getByRole('button', { name: /^Correct/ }).press('Enter');
  await tabTo(page, row('Liking').getByRole('radio', { name: '10' }));
  await page.keyboard.type('8');
  await press(page, 'Keep the correction');
  await expect(newest.getByRole('cell').nth(2)).toHaveText('8');
  await newest.getByRole('button', { name: /^Delete/ }).press('Enter');
  await expect(sheets.getByRole('row')).toHaveCount(all - 1);
});

test('a new batch is carried over from Today, confirmed by one shot and one cup, and republished', async ({
  page,
}) => {
  await openPage(page, server.url);
  await press(page, 'Carry the recipe of Harbour Lamp over');
  await page.waitForURL(/\/pull$/);
  await untilReady(page);
  const advice = page.getByLabel('Next move');
  await expect(advice).toContainText('A new batch on the last recipe');
  // Taken back and carried over once more on Pull itself: plate and next move follow at once.
  await page.locator('body').press('z');
  await expect(page.getByLabel('Recipe in force')).toContainText('Approved');
  await press(page, 'Carry the recipe over');
  await expect(advice).toContainText('A new batch on the last recipe');
  await expect(page.getByLabel('Recipe in force')).toContainText('On the bench');
  await tabTo(page, page.getByLabel('Time, s', { exact: true }));
  await page.keyboard.type('27.1');
  await page.keyboard.press('Enter');
  await expect(advice).toContainText('The recipe carries over');
  await page.keyboard.press('4');
  await page.waitForURL(/\/taste$/);
  await untilReady(page);
  const scale = (name: string) => page.getByRole('radiogroup', { name, exact: true });
  for (const [name, digit] of Object.entries({
    'Sharp acidity': '2',
    Sweetness: '6',
    Bitterness: '2',
    Liking: '8',
  })) {
    await tabTo(page, scale(name).getByRole('radio').first());
    await page.keyboard.type(digit);
  }
  await press(page, 'Keep this cup sheet');
  await expect(advice).toContainText('approved');
  await page.locator('body').press('6');
  await page.waitForURL(/\/publish$/);
  await untilReady(page);
  // Two presses: what changed stands there already.
  await press(page, /^Publish version/);
  await expect(page.getByRole('dialog')).toContainText('never changes');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/New batch, roasted/).first()).toBeVisible();
  await expect(page.getByRole('button', { name: /^Publish version 5/ })).toBeVisible();
});

test('the shots and cups of the batch before are one choice away, and its recipe goes back on the bench and off it again', async ({
  page,
}) => {
  await openRelease(page, server.url, 'Harbour Lamp', 'pull');
  const shots = page.getByLabel('Ledger of shots').getByRole('row');
  await expect(shots).toHaveCount(2);
  const batch = page.getByLabel('Batch', { exact: true });
  const before = batch
    .locator('option', { hasNotText: 'on the bench' })
    .filter({ hasText: /\d shots/ });
  const words = (await before.first().innerText()).trim();
  await batch.selectOption({ label: words });
  await expect(shots).toHaveCount(Number(/(\d+) shots/.exec(words)![1]) + 1);
  const other = page.getByRole('region', { name: 'Another batch' });
  await expect(other).toContainText('not on the bench');
  await page.locator('body').press('4');
  await page.waitForURL(/\/taste\?dialIn=/);
  await untilReady(page);
  await expect(other).toBeVisible();
  await expect(page.getByText('Nothing to taste yet')).toHaveCount(0);
  await press(page, 'Put on the bench');
  await expect(other).toHaveCount(0);
  await expect(page.getByText(/The batch roasted .* is on the bench again/)).toBeVisible();
  await page.locator('body').press('z');
  await expect(other).toContainText('not on the bench');
});

test('Rest says what age asks of the grinder today, and which checks have coffee', async ({
  page,
}) => {
  await openRelease(page, server.url, 'Monte Calado', 'taste');
  await page.locator('body').press('5');
  await page.waitForURL(/\/rest$/);
  await expect(page.getByRole('status')).toContainText(
    /^Day \d+: (half a step|one step|[\d.]+ steps) finer than on day \d+, or \d+\.\d s faster is age, not you\.$/,
  );
  const checks = page.getByRole('region', { name: 'Checks planned' });
  await expect(checks.getByRole('row')).toHaveCount(5);
  await expect(checks.getByRole('row', { name: /^As it fades/ })).toContainText('ahead');
  const ageing = page.getByRole('region', { name: 'How this batch ages' });
  await ageing.getByRole('button', { name: 'As a table' }).press('Enter');
  const table = page.getByRole('region', { name: 'Seconds by rest day at one dial' });
  const seconds = (await table.getByRole('row').allInnerTexts())
    .slice(1)
    .map((row) => Number(row.split('\t')[1]));
  // It runs faster day by day.
  expect([...seconds].sort((a, b) => b - a)).toEqual(seconds);
  await expect(page.getByText('No reason yet to differ from the school.')).toBeVisible();
});
