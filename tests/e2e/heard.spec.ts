/** A whole release by what a screen reader is told alone: names, roles and keys, with single keys off. */
import { expect, test } from '../support/browserTest';
import { enterDay, fill, follow, pick, press, tabTo } from '../support/keyboard';
import { openPage, untilReady } from '../support/openRelease';
import type { RunningServer } from '../support/server';
import { signIn } from '../support/signIn';

let server: RunningServer;
test.beforeAll(async ({ demoHouse }) => {
  server = await demoHouse.asMade();
});

/** A coffee that runs 28 s at dial 13, 12 % a whole number. */
const timeS = (dial: number) => 28 * Math.exp(-0.12 * (dial - 13));

test('from the bag to the card by names and roles, single keys off', async ({ page }) => {
  await signIn(page, server.url);
  await page.addInitScript(() => localStorage.setItem('single keys', 'off'));
  await openPage(page, `${server.url}/releases/new`);
  await fill(page, 'Name of the release', 'Heard Hill');
  await enterDay(page, 'Roast date', new Date(Date.now() - 10 * 86_400_000));
  await pick(page, 'Roast, in the house’s word', 'Medium');
  await fill(page, 'Country', 'Kenya');
  await pick(page, 'Process', 'Washed');
  await fill(page, 'Altitude, m', '1800');
  await press(page, 'Create and read it');
  await expect(page.getByRole('link', { name: 'Propose a first recipe' })).toBeVisible();

  await follow(page, 'Propose a first recipe');
  await fill(page, 'Dial to start at', '15');
  await press(page, 'Use this recipe');
  await page.waitForURL(/\/pull$/);
  await untilReady(page);

  const move = page.getByRole('region', { name: 'Next move' });
  const MOST_SHOTS = 9;
  for (let shots = 1; shots <= MOST_SHOTS; shots++) {
    const dial = page.getByRole('textbox', { name: 'Dial', exact: true });
    const time = timeS(Number(await dial.inputValue()));
    if (await page.getByText(/The dial moves/).isVisible()) {
      await tabTo(page, page.getByRole('checkbox', { name: /^Purged/ }));
      await page.keyboard.press('Space');
    }
    await fill(page, 'Time, s', time.toFixed(1));
    await press(page, 'Log it');
    await expect(page.getByText(new RegExp(`Ledger: ${shots} shot`))).toBeVisible();
    if (await move.getByText('On target: taste it').isVisible()) break;
  }
  await expect(move).toContainText('On target');
  // A letter is nobody's now.
  await page.keyboard.press('Escape');
  await page.keyboard.press('h');
  await expect(page).toHaveURL(/\/pull$/);

  await follow(page, /Taste/);
  await page.waitForURL(/\/taste$/);
  for (const [name, digit] of Object.entries({
    'Sharp acidity': '2',
    Sweetness: '7',
    Bitterness: '2',
    Liking: '8',
  })) {
    const row = page.getByRole('radiogroup', { name, exact: true });
    await tabTo(page, row.getByRole('radio').first());
    await page.keyboard.type(digit);
  }
  await press(page, 'Keep this cup sheet');
  await expect(move).toContainText('Approved');

  await follow(page, /Publish/);
  await page.waitForURL(/\/publish$/);
  await fill(page, 'How it tastes when right', 'Blackcurrant, sweet and long.');
  await fill(page, 'When short, and what to do', 'Sharp: let it run longer.');
  await fill(page, 'When long, and what to do', 'Thin: stop earlier.');
  await fill(page, 'Publish all the same, because', 'alone in the house until Monday');
  await press(page, 'Publish version 1');
  const yes = page.getByRole('dialog').getByRole('button', { name: 'Publish', exact: true });
  await tabTo(page, yes);
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Version 1 is public/)).toBeVisible();
  const card = page.getByRole('link', { name: 'Open the public page' });
  await page.goto(server.url + (await card.getAttribute('href')));
  await expect(page.getByRole('heading', { name: 'Heard Hill', level: 1 })).toBeVisible();
});
