/** The whole job by keyboard: from an empty house to a page a stranger brews from. */
import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '../support/browserTest';
import { enterDay, fill, follow, pick, press, tabTo } from '../support/keyboard';
import { openPage, untilReady } from '../support/openRelease';
import { startServer, type RunningServer } from '../support/server';

let server: RunningServer;
test.beforeAll(async () => {
  server = await startServer();
});
test.afterAll(() => server.close());

/** A grinder and coffee the advice has never seen: 28 s at dial 11, 8 % a step of half a number. */
const trueTimeS = (dial: number) => 28 * Math.exp((-0.08 * (dial - 11)) / 0.5);

/** Pulls one shot with the bench clock: pump, first drip, stop, log. Answers the dial it was at. */
async function pullShot(page: Page): Promise<number> {
  const dial = Number(await page.getByLabel('Dial', { exact: true }).inputValue());
  if (await page.getByText(/The dial moves/).isVisible()) await page.keyboard.press('p');
  const milliseconds = Math.round(trueTimeS(dial) * 1000);
  await page.keyboard.press('Space');
  await page.clock.runFor(6000);
  await page.keyboard.press('Space');
  await page.clock.runFor(milliseconds - 6000);
  await page.keyboard.press('Space');
  await expect(page.getByLabel('Yield, g')).toBeFocused();
  await page.keyboard.press('Enter');
  return dial;
}

/** Presses Publish and answers the one question before a recipe leaves the house. */
async function publish(page: Page, version: number): Promise<void> {
  await press(page, `Publish version ${version}`);
  await expect(page.getByRole('dialog')).toContainText('never changes');
  const yes = page.getByRole('dialog').getByRole('button', { name: 'Publish', exact: true });
  await tabTo(page, yes);
  await page.keyboard.press('Enter');
}

test('from an empty house to a published card, by keyboard only', async ({ page, browser }) => {
  await openPage(page, server.url);

  await test.step('first set-up', async () => {
    await fill(page, 'Code', 'AAAA-BBBB-CCCC');
    await fill(page, 'Name of the roastery', 'Lanternfell Coffee');
    await fill(page, 'Your name, as the quality lead', 'Ines');
    await fill(page, 'Sign-in name', 'ines');
    await fill(page, 'Password', 'short');
    await page.keyboard.press('Enter');
    await expect(page.getByText(/Password is too short/)).toBeVisible();
    await fill(page, 'Password', 'kettle at six');
    await page.keyboard.press('Enter');
    await expect(page.getByText(/That is not the code/)).toBeVisible();
    await fill(page, 'Code', server.setUpCode());
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'No coffee here yet' })).toBeVisible();
    await untilReady(page, '/');
    await follow(page, 'Describe machine, grinder and basket');
    await untilReady(page, '/equipment');
    await press(page, 'Describe it all instead');
    await fill(page, 'Name of the setup', 'Window bench');
    await fill(page, 'Machine', 'Two-group at the window');
    await fill(page, 'Grinder', 'Flat-burr, left');
    await fill(page, /One step on the dial/, '0.5');
    await fill(page, 'Basket', 'Straight double');
    await press(page, 'Add the setup');
    // The next step is there at once.
    await expect(page.getByRole('heading', { name: 'A new release' })).toBeVisible();
    await untilReady(page, '/releases/new');
  });

  await test.step('read', async () => {
    await tabTo(page, page.getByLabel('Name of the release'));
    await page.keyboard.type('Dembi Ridge');
    await enterDay(page, 'Roast date', new Date(Date.now() - 9 * 86_400_000));
    await pick(page, 'Roast, in the house’s word', 'Medium');
    await fill(page, 'Country', 'Ethiopia');
    await pick(page, 'Variety class', 'Dense landrace');
    await pick(page, 'Process', 'Washed');
    await fill(page, 'Altitude, m', '2050');
    await fill(page, 'Promised notes', 'bergamot, apricot');
    await press(page, 'Create and read it');
    await expect(page.getByRole('heading', { name: /hard to extract/ })).toBeVisible();
    await expect(page.getByText('Variety: dense landrace')).toBeVisible();
  });

  await test.step('start', async () => {
    await follow(page, 'Propose a first recipe');
    await expect(page.getByText(/Rules only/)).toBeVisible();
    await fill(page, 'Dial to start at', '14');
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(/\/pull$/);
    await expect(page.getByRole('heading', { name: 'Recipe in force' })).toHaveCount(0);
    await expect(page.getByLabel('Recipe in force')).toContainText('On the bench');
  });

  await test.step('pull until the setting is on target', async () => {
    await page.clock.install();
    const dials: number[] = [];
    for (let shots = 1; shots <= 8; shots++) {
      dials.push(await pullShot(page));
      await expect(page.getByText(new RegExp(`Ledger: ${shots} shot`))).toBeVisible();
      if (await page.getByText(/On target in/).isVisible()) break;
    }
    await expect(page.getByLabel('Recipe in force')).toContainText('On target, not tasted');
    expect(dials.length).toBeLessThanOrEqual(6);
    expect(dials.at(-1)).toBe(dials.at(-2));
  });

  await test.step('take a shot back and put it back', async () => {
    await page.keyboard.press('Escape');
    await page.keyboard.press('u');
    await press(page, /^Undo/);
    await expect(page.getByText(/On target in/)).toBeVisible();
  });

  await test.step('taste', async () => {
    await page.keyboard.press('4');
    await tabTo(page, page.getByLabel('TDS, %'));
    await page.keyboard.type('9,4');
    await expect(page.getByText(/9\.4 % strong, \d\d\.\d % extracted/)).toBeVisible();
    for (const [scale, digit] of [
      ['Acidity', '6'],
      ['Sharp acidity', '2'],
      ['Sweetness', '7'],
      ['Bitterness', '2'],
      ['Liking', '8'],
    ] as const) {
      const row = page.getByRole('radiogroup', { name: scale, exact: true });
      await tabTo(page, row.getByRole('radio').first());
      await page.keyboard.press(digit);
      await expect(row.getByRole('radio', { name: digit, exact: true })).toBeChecked();
    }
    await expect(page.getByText('In balance: nothing to change.')).toBeVisible();
    await tabTo(page, page.getByRole('checkbox', { name: 'bergamot' }));
    await page.keyboard.press('Space');
    await press(page, 'Keep this cup sheet');
    await expect(page.getByRole('cell', { name: 'bergamot' })).toBeVisible();
  });

  await test.step('publish', async () => {
    await page.getByRole('button', { name: 'Keep this cup sheet' }).waitFor();
    await tabTo(page, page.getByRole('link', { name: /Publish/ }));
    await page.keyboard.press('Enter');
    // All that is missing is said at once, before the question is asked.
    await press(page, 'Publish version 1');
    await expect(page.getByText(/How it tastes when right is empty/)).toBeVisible();
    await expect(page.getByText(/Tasted by two: .*Mend it, or say why it is passed/)).toBeVisible();
    await fill(page, 'How it tastes when right', 'Bergamot and apricot, light and sweet.');
    await fill(page, 'When short, and what to do', 'Sharp: let it run longer.');
    await fill(page, 'When long, and what to do', 'Thin: stop earlier.');
    await fill(page, 'Publish all the same, because', 'alone in the house until Monday');
    await publish(page, 1);
    await expect(page.getByText(/Version 1 is public/)).toBeVisible();
  });

  const address = await page
    .getByRole('link', { name: 'Open the public page' })
    .getAttribute('href');
  const stranger = await browser.newContext();
  const file = await test.step('a stranger opens the page and takes the document', async () => {
    const card = await stranger.newPage();
    await card.goto(server.url + address);
    await expect(card.getByRole('heading', { name: 'Dembi Ridge' })).toBeVisible();
    await expect(card.getByText('Time, from the pump')).toBeVisible();
    const download = card.waitForEvent('download');
    await card.getByRole('link', { name: 'Recipe document (JSON)' }).press('Enter');
    return readFileSync(await (await download).path(), 'utf8');
  });
  await stranger.close();

  await test.step('the document reads back as the same version', async () => {
    await page.keyboard.press('h');
    const chooser = page.waitForEvent('filechooser');
    await press(page, 'Read a recipe document');
    await (
      await chooser
    ).setFiles({
      name: 'recipe.json',
      mimeType: 'application/json',
      buffer: Buffer.from(file),
    });
    await expect(page.getByText('The document you read is version 1')).toBeVisible();
  });

  await test.step('a changed document is refused', async () => {
    await page.keyboard.press('h');
    const chooser = page.waitForEvent('filechooser');
    await press(page, 'Read a recipe document');
    const changed = file.replace('"Bergamot', '"Lemon');
    await (
      await chooser
    ).setFiles({
      name: 'recipe.json',
      mimeType: 'application/json',
      buffer: Buffer.from(changed),
    });
    await expect(page.getByRole('alert').getByText(/does not match its hash/)).toBeVisible();
  });

  await test.step('publishing again says what changed', async () => {
    await page.keyboard.press('Escape');
    await page.keyboard.press('Control+k');
    await expect(page.getByRole('searchbox', { name: /Release, stage/ })).toBeFocused();
    await page.keyboard.type('dembi');
    await page.keyboard.press('Enter');
    await expect(
      page.getByText(/passed “tasted by two” because: alone in the house/),
    ).toBeVisible();
    await fill(page, 'Publish all the same, because', 'still alone');
    await fill(page, 'What changed from version 1, and why', 'Clearer words for the short cup.');
    await publish(page, 2);
    await expect(page.getByText(/Version 2 is public/)).toBeVisible();
  });
});

test('from sign-up to the first shot in twelve entries', async ({ browser }) => {
  const empty = await startServer();
  const page = await browser.newPage();
  let entries = 0;
  const enter = async (label: string, value: string) => {
    entries += 1;
    await fill(page, label, value);
  };
  const choose = async (label: string, option: string) => {
    entries += 1;
    await pick(page, label, option);
  };
  await openPage(page, empty.url);
  await enter('Code', empty.setUpCode());
  await enter('Name of the roastery', 'Lanternfell Coffee');
  await enter('Your name, as the quality lead', 'Ines');
  await enter('Sign-in name', 'ines');
  await enter('Password', 'kettle at six');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'No coffee here yet' })).toBeVisible();
  await untilReady(page, '/');
  await follow(page, 'Describe machine, grinder and basket');
  await untilReady(page, '/equipment');
  await choose('Grinder', 'Grinder with steps');
  await press(page, 'Use this bench');
  await expect(page.getByRole('heading', { name: 'A new release' })).toBeVisible();
  await untilReady(page, '/releases/new');
  await enter('Name of the release', 'Dembi Ridge');
  await choose('Process', 'Washed');
  // The roast date is asked for: nothing is taken to be of today.
  await press(page, 'Create and read it');
  await expect(page.getByText(/Roast date .*(empty|missing|not a)/)).toBeVisible();
  entries += 1;
  await enterDay(page, 'Roast date', new Date(Date.now() - 12 * 86_400_000));
  await choose('Roast, in the house’s word', 'Medium');
  await press(page, 'Create and read it');
  await follow(page, 'Propose a first recipe');
  await page.waitForURL(/\/start/);
  await untilReady(page);
  await press(page, 'Use this recipe');
  await page.waitForURL(/\/pull$/);
  await untilReady(page);
  await enter('Time, s', '24');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Ledger: 1 shot/)).toBeVisible();
  expect(entries).toBeLessThanOrEqual(12);
  await page.close();
  await empty.close();
});
