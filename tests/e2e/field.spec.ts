/**
 * The field through real browsers: three phones of two cafés, one of them offline for a while; a drift that is found,
 * named and answered; the recipe revised, and the new card on the café's sheet.
 */
import Database from 'better-sqlite3';
import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Browser, type Page } from '../support/browserTest';
import { openPage, openRelease } from '../support/openRelease';
import type { RunningServer } from '../support/server';
import { signIn } from '../support/signIn';

let server: RunningServer;
test.beforeAll(async ({ demoHouse }) => {
  server = await demoHouse.asMade();
});

const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true };

/** The link of a café, as its page shows it to the lead. */
async function linkOf(page: Page, cafe: string): Promise<string> {
  await openPage(page, `${server.url}/field`);
  await page.getByRole('table').getByRole('link', { name: cafe }).click();
  await page.waitForURL('**/field/cafes/**');
  return (await page.locator('code').textContent())!;
}

async function phone(browser: Browser, address: string) {
  const context = await browser.newContext(PHONE);
  const page = await context.newPage();
  await page.goto(address);
  await expect(page.getByRole('region', { name: 'Harbour Lamp' })).toBeVisible();
  return { context, page };
}

/** Both coffees of a sheet, by their times. */
async function fillTimes(page: Page, label: string, seconds: readonly number[]): Promise<void> {
  const times = page.getByLabel(label);
  for (const [i, s] of seconds.entries()) await times.nth(i).fill(String(s));
}

function visitsOf(cafe: string): number {
  const db = new Database(server.databaseFile, { readonly: true });
  const row = db
    .prepare(
      `SELECT count(*) AS n FROM field_visit v JOIN partner p ON p.id = v.partner_id WHERE p.name = ?`,
    )
    .get(cafe) as { n: number };
  db.close();
  return row.n;
}

test('a café drifts: found, named, answered, and the recipe revised', async ({ page, browser }) => {
  await signIn(page, server.url);
  const french = await linkOf(page, 'Sous-Bois');
  const german = await linkOf(page, 'Stube Lindwurm');
  const [bar, back, other] = await Promise.all([
    phone(browser, french),
    phone(browser, french),
    phone(browser, german),
  ]);
  const before = { french: visitsOf('Sous-Bois'), german: visitsOf('Stube Lindwurm') };

  // What to do is said at once, on its own dial and in its own words.
  await fillTimes(bar.page, 'Temps, s', [21.5, 22.5]);
  const next = bar.page.getByRole('region', { name: 'Harbour Lamp' }).getByRole('status');
  await expect(next).toContainText(/trop vite|plus vite/);
  await bar.page.getByText('plutôt acide').first().click();
  await bar.page.getByRole('button', { name: 'Envoyer' }).click();
  await expect(bar.page.getByText('Envoyé. Merci.')).toBeVisible();

  // The second phone loses its network: the sheet stays, the check waits, and goes up once.
  await back.context.setOffline(true);
  await fillTimes(back.page, 'Temps, s', [21, 22]);
  await back.page.getByRole('button', { name: 'Envoyer' }).click();
  await expect(back.page.getByText(/1: Pas de réseau/)).toBeVisible();
  await expect(back.page.getByRole('region', { name: 'Las Veredas Rojas' })).toBeVisible();

  // The other café is where it was.
  await fillTimes(other.page, 'Zeit, s', [27, 28]);
  await other.page.getByRole('button', { name: 'Senden' }).click();
  await expect(other.page.getByText('Gesendet. Danke.')).toBeVisible();

  for (const [blend, single] of [
    [21.5, 22],
    [20.5, 22.5],
    [22, 21.5],
    [21, 22],
  ]) {
    await expect(bar.page.getByLabel('Temps, s').first()).toHaveValue('');
    await fillTimes(bar.page, 'Temps, s', [blend!, single!]);
    await bar.page.getByRole('button', { name: 'Envoyer' }).click();
    await expect(bar.page.getByText('Envoyé. Merci.')).toBeVisible();
  }
  await back.context.setOffline(false);
  await expect(back.page.getByText(/1: Pas de réseau/)).toBeHidden();
  await expect.poll(() => visitsOf('Sous-Bois')).toBe(before.french + 6);
  expect(visitsOf('Stube Lindwurm')).toBe(before.german + 1);

  // The lead sees who is off, and why; times alone name no part of the café.
  await openPage(page, `${server.url}/field`);
  const signal = page.getByRole('listitem').filter({ hasText: /^Sous-Bois: all coffees/ });
  await expect(signal).toContainText(/Sous-Bois: all coffees \d\.\d s fast since/);
  await expect(signal).toContainText(
    'a known weight on the scale, then the machine, then the grinder',
  );
  await expect(
    page.getByRole('listitem').filter({ hasText: /^Stube Lindwurm: all coffees/ }),
  ).toHaveCount(0);

  // One press answers in the café's language; the message lies in the outbox, the sheet asks for a round.
  await signal.getByRole('link', { name: 'See its checks and answer' }).click();
  const letter = page.getByRole('form', { name: 'Answer' });
  await expect(letter.getByLabel('Message')).toHaveValue(
    /^Bonjour Maëlle,[^]*un poids connu sur la balance/,
  );
  await letter.getByRole('button', { name: 'Put it into the outbox' }).click();
  await expect(page.getByText(/It lies in the outbox/)).toBeVisible();
  await openPage(page, `${server.url}/messages`);
  await expect(page.getByText('to Sous-Bois')).toBeVisible();
  await bar.page.reload();
  await expect(bar.page.getByText(/demande un tour de plus/)).toBeVisible();

  // A batch that is off asks for a check of a bag of it: Rest holds the form open with the reason, Today waits for it.
  await openPage(page, `${server.url}/field`);
  const batch = page
    .getByRole('listitem')
    .filter({ hasText: /on the batch of .* of Harbour Lamp/ });
  await batch.getByRole('link', { name: 'Ask for a check of it' }).click();
  const check = page.getByRole('form', { name: 'Ask for a check' });
  await expect(check.getByLabel('Why')).toHaveValue(/^\d cafés on the batch of .* of Harbour Lamp/);
  await check.getByRole('button', { name: 'Ask for it' }).click();
  await expect(page.getByRole('region', { name: 'Checks of this batch' })).toContainText(
    /Asked for: \d cafés on the batch of .* of Harbour Lamp/,
  );

  // What the cafés found becomes a new version of the card, and stands on their sheets.
  await openRelease(page, server.url, 'Harbour Lamp', 'field');
  await page.getByRole('link', { name: 'A new version of the card' }).click();
  const why = page.getByLabel(/What changed/).first();
  await expect(why).toHaveValue(/^From the cafés: \d cafés on the batch/);
  const because = page.getByLabel('Publish all the same, because');
  for (const gate of await because.all()) await gate.fill('the cafés wait for it');
  await page.getByRole('button', { name: 'Publish version 4' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Publish', exact: true }).click();
  await expect(page.getByText(/Version 4 is public/)).toBeVisible();
  await other.page.reload();
  await expect(other.page.getByRole('region', { name: 'Harbour Lamp' })).toContainText('v4');

  // A link that is revoked opens nothing, and says whom to ask.
  await linkOf(page, 'Stube Lindwurm');
  await page.getByRole('button', { name: 'Revoke it' }).click();
  await expect(page.getByText('Revoked: nothing opens its sheet now.')).toBeVisible();
  await other.page.reload();
  await expect(
    other.page.getByText(/does not open a check sheet. Ask Lanternfell Coffee/),
  ).toBeVisible();
  await expect(other.page.getByText('Harbour Lamp')).toBeHidden();
  await Promise.all([bar, back, other].map(({ context }) => context.close()));
});

test('a sheet on a phone is accessible, keeps what is typed, and says what is refused', async ({
  page,
  browser,
}) => {
  await signIn(page, server.url);
  const link = await linkOf(page, 'Harbour Steps');
  const { context, page: sheet } = await phone(browser, link);
  const { violations } = await new AxeBuilder({ page: sheet }).analyze();
  expect(violations.map(({ id, nodes }) => [id, nodes.map(({ html }) => html)])).toEqual([]);
  expect(await sheet.evaluate(() => document.documentElement.scrollWidth)).toBe(390);
  // Fahrenheit, as this café reads it.
  await expect(sheet.getByText(/196 °F/).first()).toBeVisible();
  await sheet.getByLabel('Time, s').first().fill('27');
  await sheet.getByLabel('Dial').first().fill('51');
  await sheet.reload();
  await expect(sheet.getByLabel('Time, s').first()).toHaveValue('27');
  await sheet.getByRole('button', { name: 'Send' }).click();
  await expect(sheet.getByText(/Dial 51 is outside this grinder’s 0 to 50/).first()).toBeVisible();
  await sheet.getByLabel('Dial').first().fill('17');
  await sheet.getByRole('button', { name: 'I need help' }).click();
  await sheet.getByLabel('What is wrong?').fill('It chokes at noon.');
  await sheet.getByRole('button', { name: 'Ask the roastery' }).click();
  await expect(sheet.getByText('Sent. Thank you.')).toBeVisible();
  await openPage(page, `${server.url}/field`);
  await expect(page.getByText(/It chokes at noon/)).toBeVisible();
  await context.close();
});

test('a sheet that is refused after it waited stays on the phone until somebody settles it', async ({
  page,
  browser,
}) => {
  await signIn(page, server.url);
  const link = await linkOf(page, 'Third Lantern');
  const { context, page: sheet } = await phone(browser, link);
  await context.setOffline(true);
  await fillTimes(sheet, 'Time, s', [27]);
  await sheet.getByLabel('Dial').first().fill('77');
  await sheet.getByRole('button', { name: 'Send' }).click();
  await expect(sheet.getByText(/1: No network/)).toBeVisible();
  const before = visitsOf('Third Lantern');
  await context.setOffline(false);
  await expect(sheet.getByText(/Dial 77 is outside this grinder’s 0 to 50/)).toBeVisible();
  await sheet.getByRole('button', { name: 'Drop it' }).click();
  await expect(sheet.getByText(/Dial 77/)).toBeHidden();
  expect(visitsOf('Third Lantern')).toBe(before);
  await context.close();
});

test('the lead adds a café, writes down its sheet, and says what a signal was', async ({
  page,
}) => {
  await signIn(page, server.url);
  await openPage(page, `${server.url}/field`);
  await page.getByRole('link', { name: 'Add a café' }).click();
  await page.getByRole('textbox', { name: 'Café' }).fill('Quay Nine');
  await page.getByLabel('Town').fill('Ostrel');
  await page.getByLabel('Checks at').fill('noon');
  await page.getByText('Las Veredas Rojas').click();
  await page.getByRole('button', { name: 'Add the café' }).click();
  await expect(page.getByText(/Write times of day as 7:00/).first()).toBeVisible();
  await page.getByLabel('Checks at').fill('8:00, 15:00');
  await page.getByRole('button', { name: 'Add the café' }).click();
  await expect(page.getByRole('heading', { name: 'Quay Nine' })).toBeVisible();
  await page.getByText('Write down a sheet that came on paper').click();
  const entry = page.getByRole('form', { name: 'Write down a sheet' });
  await entry.getByLabel('Time, s').fill('24');
  await entry.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText('Written down.')).toBeVisible();
  await expect(page.getByRole('cell', { name: '« fast' })).toBeVisible();
  await openPage(page, `${server.url}/field`);
  const silent = page.getByRole('listitem').filter({ hasText: 'Padaria Meia-Lua has missed' });
  await silent.getByRole('button', { name: 'Say what it was' }).click();
  await silent.getByLabel('It was').selectOption('habit');
  await silent.getByLabel('Note').fill('Closed for a feast.');
  await silent.getByRole('button', { name: 'Note it' }).click();
  await expect(silent.getByText('Found: a habit, Closed for a feast.')).toBeVisible();
  await openPage(page, `${server.url}/field/week`);
  await expect(page.getByRole('heading', { name: 'Three things to do' })).toBeVisible();
  await expect(page.locator('pre')).toContainText('To do:');
});
