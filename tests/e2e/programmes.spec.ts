/** Programmes of the machine, by keyboard: written at Start, kept for the house, on plate and card. */
import { expect, test, type Page } from '../support/browserTest';
import { fill, pick, press, tabTo } from '../support/keyboard';
import { openPage, openRelease, untilReady } from '../support/openRelease';
import type { RunningServer } from '../support/server';
import { signIn } from '../support/signIn';

let server: RunningServer;
test.beforeEach(async ({ demoHouse, page }) => {
  server = await demoHouse.asMade();
  await signIn(page, server.url);
});

const handle = (page: Page, step: number) =>
  page.getByRole('slider', { name: `Step ${step}`, exact: true });

test('a programme written at Start goes to bench, plate and card, and is kept for the house', async ({
  page,
}) => {
  await openRelease(page, server.url, 'Dembi Ridge', 'start?style=declining');
  await pick(page, 'Setup', 'Back room');
  await page.waitForURL(/setup=/);
  await untilReady(page);
  await fill(page, 'Water, as the plate says it', 'Eight, then slow, then six');
  await press(page, 'Change the steps');
  await tabTo(page, handle(page, 1));
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(handle(page, 1)).toHaveAttribute('aria-valuetext', '8 bar for 12 s');
  await page.keyboard.press('+');
  await expect(handle(page, 2)).toBeFocused();
  await page.keyboard.press('f');
  await expect(handle(page, 2)).toHaveAttribute('aria-valuetext', '2.5 ml/s for 10 s');
  await expect(page.getByText('evenly to 6 bar over 25 s, then on to target weight')).toBeVisible();

  await press(page, 'Try it in the simulator');
  await expect(page.getByText(/window’s middle|No grind brings/)).toBeVisible();

  await press(page, 'Keep it for other coffees');
  await expect(page.getByText('Kept as “Eight, then slow, then six”.')).toBeVisible();
  await press(page, 'Use this recipe');
  await page.waitForURL(/\/pull$/);
  const plate = page.getByRole('region', { name: 'Recipe in force' });
  await expect(plate.getByText('Eight, then slow, then six')).toBeVisible();
  await expect(
    plate.getByRole('img', { name: /8 bar for 12 s; 2.5 ml\/s for 10 s; evenly to 6 bar/ }),
  ).toBeVisible();

  await openRelease(page, server.url, 'Dembi Ridge', 'publish');
  await expect(page.getByText(/^8 bar for 12 s; 2.5 ml\/s for 10 s/)).toBeVisible();
  await openPage(page, `${server.url}/programmes`);
  await expect(page.getByText('Eight, then slow, then six')).toBeVisible();
});

test('a machine without control says what is out of reach and makes the nearest', async ({
  page,
}) => {
  await openRelease(page, server.url, 'Dembi Ridge', 'start?style=soakFirst');
  await expect(page.getByLabel('Programme', { exact: true })).toContainText('Paddle soak');
  await expect(page.getByText(/All of it is out of reach of this machine/)).toBeVisible();
  await press(page, 'Take that instead');
  await expect(page.getByText(/out of reach of this machine/)).toBeHidden();
  await expect(page.getByLabel('Water, as the plate says it')).toHaveValue(
    '3 bar for 5 s; 9 bar to target weight',
  );
});

test('a programme of the house: begun from a style, refused with words, first of its style, taken away', async ({
  page,
}) => {
  await openPage(page, `${server.url}/programmes`);
  await press(page, 'Begin one from Classic');
  await handle(page, 1).waitFor();
  await press(page, 'Add the programme');
  await expect(page.getByText(/Name of the programme is empty/)).toBeVisible();
  await fill(page, 'Name', 'Seven and a half');
  await tabTo(page, handle(page, 1));
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await tabTo(page, page.getByLabel('Start begins classic with it'));
  await page.keyboard.press('Space');
  await press(page, 'Add the programme');
  await expect(
    page.getByText('Classic; Start begins with it. 7.5 bar to target weight.'),
  ).toBeVisible();
  await openRelease(page, server.url, 'Dembi Ridge', 'start?style=classic');
  await expect(page.getByLabel('Water, as the plate says it')).toHaveValue('Seven and a half');

  await openPage(page, `${server.url}/programmes`);
  await press(page, 'Delete Seven and a half');
  await expect(page.getByText('Seven and a half was deleted.')).toBeVisible();
  await press(page, /^Undo/);
  await expect(page.getByRole('button', { name: 'Change Seven and a half' })).toBeVisible();
});

test('a step is dragged with a pointer as well', async ({ page }) => {
  await openPage(page, `${server.url}/programmes`);
  await page.getByRole('button', { name: 'Begin one from Soak first' }).click();
  await handle(page, 3).waitFor();
  const box = (await handle(page, 3).boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x, y - 40, { steps: 8 });
  await page.mouse.up();
  const level = Number(await handle(page, 3).getAttribute('aria-valuenow'));
  expect(level).toBeGreaterThan(3);
  await expect(page.getByLabel('Level, ml/s')).toHaveValue(String(level));
});
