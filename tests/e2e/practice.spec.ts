/** Practice: a first-time user with the advice, and one who plays alone till the bag is empty. */
import { expect, test } from '../support/browserTest';
import { openPage } from '../support/openRelease';
import type { RunningServer } from '../support/server';
import { signIn } from '../support/signIn';

let server: RunningServer;
test.beforeEach(async ({ demoHouse, page }) => {
  server = await demoHouse.asMade();
  await signIn(page, server.url);
  await openPage(page, `${server.url}/practice`);
});

test('from a new coffee to on target in at most five shots on the medium level, by keyboard', async ({
  page,
}) => {
  await page.getByRole('button', { name: 'Pull it' }).waitFor();
  await page.getByLabel('Dial', { exact: true }).focus();
  const onTarget = page.getByText(/On target in (\d+) shots/);
  for (let shot = 1; shot <= 5 && !(await onTarget.isVisible()); shot++) {
    await page.getByLabel('Dial', { exact: true }).press('Enter');
    await expect(
      page.getByRole('region', { name: 'Shots of this round' }).getByRole('row'),
    ).toHaveCount(shot + 1);
    // The round goes on once the truth is told or another shot may be pulled.
    await expect(
      onTarget.or(page.getByRole('button', { name: 'Pull it', disabled: false })),
    ).toBeVisible();
  }
  await expect(onTarget).toBeVisible();
  await expect(page.getByText(/middle of the window lay at dial [\d.]+/)).toBeVisible();
  await expect(page.getByText(/the advice would have been on target after \d shots/)).toBeVisible();
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

test('staged cups: put in order by keyboard, and the truth told', async ({ page }) => {
  await page.getByText('Staged cups').click();
  await page.getByRole('region', { name: 'Cup sheets' }).waitFor();
  // The sharpest cup came first, the thinnest last: as the page itself says.
  const sheets = page.getByRole('region', { name: 'Cup sheets' });
  const codes = (await sheets.getByRole('columnheader').allTextContents())
    .filter((words) => words.startsWith('Cup '))
    .map((words) => words.replace('Cup ', ''));
  const figures = async (scale: string) =>
    (await sheets.getByRole('row', { name: scale }).getByRole('cell').allTextContents())
      .slice(1, 4)
      .map(Number);
  const body = await figures('Body');
  const order = [...codes].sort((a, b) => body[codes.indexOf(b)]! - body[codes.indexOf(a)]!);
  for (const [i, place] of ['First cup', 'Second cup', 'Last cup'].entries()) {
    const choice = page.getByRole('radiogroup', { name: place });
    await choice.getByRole('radio').first().focus();
    for (let moves = 0; moves < codes.indexOf(order[i]!); moves++)
      await page.keyboard.press('ArrowRight');
    if (codes.indexOf(order[i]!) === 0) await page.keyboard.press('Space');
    await expect(choice.getByRole('radio', { name: order[i]! })).toBeChecked();
  }
  await page
    .getByRole('radiogroup', { name: 'What the served shot asks for' })
    .getByText('Nothing')
    .click();
  await page.keyboard.press('Enter');
  await expect(page.getByText(/The order is right: \w, then \w, then \w\./)).toBeVisible();
  await expect(
    page.getByText('1 of 1 orders right. By luck alone it would be one in six.'),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Another shot' }).click();
  await expect(page.getByRole('button', { name: 'Show the truth' })).toBeDisabled();
});

test('staged cups at the bench: the changes are called, the order kept', async ({ page }) => {
  await page.getByText('Staged cups').click();
  await page.getByText('Your own, at the bench').click();
  await page.getByText('Dark', { exact: true }).click();
  const told = await page.getByText(/Have someone stick/).textContent();
  const codes = /stick (\w) .* (\w) under the second, (\w) under/.exec(told!)!.slice(1);
  await page.keyboard.press('Tab');
  await page.keyboard.press('Space');
  await expect(page.getByText('Wait for the first drip')).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByText(`Cup 1: ${codes[0]}`)).toBeVisible();
  await expect(page.getByText(`Cup 2: ${codes[1]}`)).toBeVisible();
  await expect(page.getByText(`Cup 3: ${codes[2]}`)).toBeVisible();
  await page.keyboard.press('Space');
  for (const [i, place] of ['First cup', 'Second cup', 'Last cup'].entries())
    await page
      .getByRole('radiogroup', { name: place })
      .getByText(codes[i]!, { exact: true })
      .click();
  await page.getByRole('button', { name: 'Show the truth' }).click();
  await expect(page.getByText(/The order is right/)).toBeVisible();
  await expect(page.getByText(/about 400 mg a day/)).toBeVisible();
});
