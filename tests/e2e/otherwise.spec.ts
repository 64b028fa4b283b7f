/** Benches that measure otherwise, by real keys: a clock from the first drip, a dial with letters, marked cups. */
import { expect, test, type Page } from '../support/browserTest';
import { fill, pick, press, tabTo } from '../support/keyboard';
import { openPage, openRelease, untilReady } from '../support/openRelease';
import type { RunningServer } from '../support/server';
import { signIn } from '../support/signIn';

let server: RunningServer;
test.beforeAll(async ({ demoHouse }) => {
  server = await demoHouse.asMade();
});

test.beforeEach(({ page }) => signIn(page, server.url));

/** Types a time into the shot and logs it; everything else stands as advised. */
async function logTime(page: Page, timeS: number): Promise<void> {
  const ledger = page.getByText(/^Ledger: \d+ shot/);
  const count = async () => Number(/\d+/.exec((await ledger.textContent())!)![0]);
  const before = await count();
  await fill(page, 'Time, s', timeS.toFixed(1));
  await page.keyboard.press('Enter');
  await expect.poll(count).toBe(before + 1);
}

test('a house that counts from the first drip dials in to confirmed without ever noting a drip', async ({
  page,
}) => {
  await openPage(page, `${server.url}/house`);
  await pick(page, 'Time counts', 'from the first drip');
  await press(page, 'Save the house');
  await expect(page.getByText(/^Saved/)).toBeVisible();
  await openRelease(page, server.url, 'Kibira Slope', 'start');
  await tabTo(page, page.getByLabel('Setup', { exact: true }));
  await page.keyboard.press('b');
  await expect(page.getByText('Counted from the first drip')).toBeVisible();
  const [low, high] = [
    Number(await page.getByLabel('Time from, s').inputValue()),
    Number(await page.getByLabel('Time to, s').inputValue()),
  ];
  // Seconds to the drip are no part of the window.
  expect(high).toBeLessThan(28);
  await press(page, 'Use this recipe');
  await page.waitForURL(/\/pull$/);
  await untilReady(page);
  await expect(page.getByLabel('Recipe in force')).toContainText(
    `${low}-${high} s from the first drip`,
  );
  const advice = page.getByLabel('Next move');
  await logTime(page, low - 6);
  await expect(advice).toContainText(/s from the first drip is .* too fast/);
  await expect(advice).toContainText(/Finer/);
  await page.keyboard.press('p');
  const middle = (low + high) / 2;
  for (let i = 0; i < 5; i++) {
    if (await advice.getByText('On target: taste it').isVisible()) break;
    await logTime(page, middle + (i % 2 === 0 ? 0.3 : -0.3));
  }
  await expect(advice).toContainText('On target: taste it');
  await page.keyboard.press('4');
  await page.waitForURL(/\/taste$/);
  await untilReady(page);
  const row = (name: string) => page.getByRole('radiogroup', { name, exact: true });
  await tabTo(page, row('Acidity').getByRole('radio').first());
  for (const digits of ['6', '2', '7', '2', '1', '6', '7', '8']) {
    await page.keyboard.type(digits);
    await page.keyboard.press('Tab');
  }
  await press(page, 'Keep this cup sheet');
  await expect(advice).toContainText('Approved');
  await page.keyboard.press('3');
  await page.waitForURL(/\/pull$/);
  // No drip was ever noted.
  const drips = page.getByRole('region', { name: 'Ledger of shots' }).locator('td:nth-child(6)');
  await expect.poll(async () => (await drips.allTextContents()).join('')).toBe('');
});

test('dials with letters and yields in millilitres are typed, shown and judged as they are', async ({
  page,
}) => {
  await openPage(page, `${server.url}/equipment`);
  await press(page, 'Add a setup');
  const form = page.getByRole('form', { name: 'New setup' });
  await fill(page, 'Name of the setup', 'Van');
  await pick(page, 'Which grinder', 'A new one');
  await tabTo(page, form.getByLabel('Grinder', { exact: true }));
  await page.keyboard.type('Lettered');
  await pick(page, 'The dial shows', 'letters: 9 C');
  await fill(page, 'Letters to a number', '8');
  await fill(page, 'Lowest dial', '0 A');
  await fill(page, 'Highest dial', '10 K');
  await press(page, 'Add the setup');
  await expect(page.getByText(/“10 K” is no setting of this grinder.*A to H/)).toBeVisible();
  await fill(page, 'Highest dial', '10 H');
  await press(page, 'Add the setup');
  await expect(page.getByText(/Dial 0 A to 10 H in steps of 1 letter/)).toBeVisible();

  await openRelease(page, server.url, 'Serra do Lume', 'start');
  await tabTo(page, page.getByLabel('Setup', { exact: true }));
  // One letter: the page answers to the choice at once.
  await page.keyboard.press('v');
  await expect(page.getByLabel('Dial to start at')).toHaveValue(/^\d+ [A-H]$/);
  await fill(page, 'Dial to start at', '5c');
  await press(page, 'Use this recipe');
  await page.waitForURL(/\/pull$/);
  await untilReady(page);
  await expect(page.getByLabel('Dial', { exact: true })).toHaveValue('5 C');
  await fill(page, 'Dial', '5 K');
  await fill(page, 'Time, s', '12');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/“5 K” is no setting of this grinder/)).toBeVisible();
  await fill(page, 'Dial', '5 C');
  await fill(page, 'Yield, g', '48 ml');
  await expect(page.getByLabel('Yield, ml')).toHaveValue('48');
  await expect(page.getByText('about 36 g, rough')).toBeVisible();
  await page.keyboard.press('Enter');
  const first = page.getByRole('region', { name: 'Ledger of shots' }).getByRole('row').nth(1);
  await expect(first).toContainText('5 C');
  await expect(first).toContainText('48 ml, rough');
  // Twelve seconds is far too fast whatever the crema hides; the move is said in letters.
  await expect(page.getByLabel('Next move')).toContainText(/Finer, 5 C → \d [A-H]/);
});

test('several releases are archived at once, and one key takes it back', async ({ page }) => {
  await openPage(page, `${server.url}/releases`);
  for (const name of ['Cerro Bruma', 'Monte Calado']) {
    await tabTo(page, page.getByRole('checkbox', { name, exact: true }));
    await page.keyboard.press('Space');
  }
  await page.keyboard.press('c');
  await press(page, 'Archive');
  await expect(page.getByText('2 releases: archived.')).toBeVisible();
  await expect(page.getByRole('link', { name: 'Monte Calado' })).toHaveCount(0);
  await page.keyboard.press('z');
  await expect(page.getByRole('link', { name: 'Monte Calado' })).toBeVisible();
});
