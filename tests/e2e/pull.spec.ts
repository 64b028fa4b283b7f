/** The bench with simulated instruments, a lost server, two people: in a real browser on the real build. */
import Database from 'better-sqlite3';
import { expect, test, type Browser, type Page } from '../support/browserTest';
import { openRelease } from '../support/openRelease';
import type { RunningServer } from '../support/server';
import { signIn } from '../support/signIn';

let server: RunningServer;
test.beforeEach(async ({ demoHouse }) => {
  server = await demoHouse.asMade();
});

const SIMULATED = 'Cerro Bruma';

function shotsOf(name: string): { time_s: number; is_simulated: number }[] {
  const db = new Database(server.databaseFile, { readonly: true });
  const rows = db
    .prepare(
      `SELECT s.time_s, s.is_simulated FROM shot s JOIN recipe_draft r ON r.id = s.recipe_draft_id
       JOIN dial_in d ON d.id = r.dial_in_id JOIN release l ON l.id = d.release_id
       WHERE l.name = ? AND s.removed_at IS NULL ORDER BY s.pulled_at, s.rowid`,
    )
    .all(name) as { time_s: number; is_simulated: number }[];
  db.close();
  return rows;
}

async function open(page: Page, name: string): Promise<void> {
  await signIn(page, server.url);
  await openRelease(page, server.url, name, 'pull');
  await page.getByLabel('Time, s').waitFor();
}

async function logTime(page: Page, timeS: string): Promise<void> {
  await page.getByLabel('Time, s').fill(timeS);
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Time, s')).toHaveValue('');
}

test('a whole dial-in on the simulated scale, by keyboard alone, to on target', async ({
  page,
}) => {
  await open(page, SIMULATED);
  await expect(page.getByText('Simulated scale ready')).toBeVisible();
  await page.getByLabel('Simulated shots run').selectOption('10');
  await page.getByLabel('Simulated shots run').blur();
  const first = shotsOf(SIMULATED).length;
  const confirmed = page.getByText(/On target in \d+ shots/);
  let count = first;
  while (count < first + 14 && !(await confirmed.isVisible())) {
    if (await page.getByText(/The dial moves/).isVisible()) await page.keyboard.press('p');
    await page.keyboard.press(' ');
    // The scale finds the first drip, the machine stops by itself, the cup settles.
    await expect(page.getByLabel('Time, s')).not.toHaveValue('');
    await expect(page.getByText(/, trace of \d+ points/)).toBeVisible();
    await expect(page.getByLabel('First drip, s')).not.toHaveValue('');
    const yieldG = Number(await page.getByLabel('Yield, g').inputValue());
    const target = /→ ([\d.]+) g/.exec(
      (await page.getByRole('region', { name: 'Recipe in force' }).textContent()) ?? '',
    );
    expect(Math.abs(yieldG - Number(target?.[1]))).toBeLessThanOrEqual(1.2);
    await page.keyboard.press('Enter');
    count++;
    await expect(page.getByText(new RegExp(`Ledger: ${count} shots`))).toBeVisible();
  }
  await expect(confirmed).toBeVisible();
  expect(count).toBeGreaterThan(first);
  const shots = shotsOf(SIMULATED);
  expect(shots).toHaveLength(count);
  expect(shots.every(({ is_simulated }) => is_simulated === 1)).toBe(true);
  // Simulated shots publish nothing.
  await openRelease(page, server.url, SIMULATED, 'publish');
  await expect(page.getByText(/last two shots were simulated/)).toBeVisible();
});

test('three shots logged while the server is away are stored exactly once, in order', async ({
  page,
}) => {
  await open(page, 'Serra do Lume');
  const before = shotsOf('Serra do Lume').length;
  await server.kill();
  for (const timeS of ['25.1', '26.2', '27.3']) await logTime(page, timeS);
  await expect(page.getByText(/3 shots wait to go up/)).toBeVisible();
  await expect(page.getByText(/server is not reached.*goes up by itself/)).toBeVisible();
  // A tab that is closed meanwhile loses nothing either: what waits is in the browser's own database.
  await server.restart();
  await expect(page.getByText(new RegExp(`Ledger: ${before + 3} shots`))).toBeVisible();
  await expect(page.getByText(/wait to go up/)).toBeHidden();
  expect(
    shotsOf('Serra do Lume')
      .slice(before)
      .map(({ time_s }) => time_s),
  ).toEqual([25.1, 26.2, 27.3]);
});

test('a tab that dies while shots wait: they go up when the bench is opened again', async ({
  page,
  context,
}) => {
  await open(page, 'Serra do Lume');
  const before = shotsOf('Serra do Lume').length;
  await server.kill();
  await logTime(page, '26.4');
  await expect(page.getByText(/1 shot waits to go up/)).toBeVisible();
  await page.close();
  await server.restart();
  const again = await context.newPage();
  await openRelease(again, server.url, 'Serra do Lume', 'pull');
  await expect(again.getByText(new RegExp(`Ledger: ${before + 1} shots`))).toBeVisible();
  expect(shotsOf('Serra do Lume')).toHaveLength(before + 1);
});

async function secondPerson(browser: Browser): Promise<Page> {
  const context = await browser.newContext();
  const page = await context.newPage();
  await signIn(page, server.url, 'tobin');
  return page;
}

test('two people at one bench see each other, and nothing entered is lost', async ({
  page,
  browser,
}) => {
  const listens = page.waitForResponse('**/api/stream');
  await open(page, 'Serra do Lume');
  const before = shotsOf('Serra do Lume').length;
  const other = await secondPerson(browser);
  const otherListens = other.waitForResponse('**/api/stream');
  await openRelease(other, server.url, 'Serra do Lume', 'pull');
  await Promise.all([listens, otherListens]);
  await page.getByText(/timed from the pump, beans/).click();
  await page.getByLabel('Remark').fill('mine, half entered');
  await page.getByLabel('Dose, g').fill('17.9');
  await logTime(other, '26.5');
  await expect(
    page.getByText(/Tobin .*logged a shot.*what you have entered is kept/),
  ).toBeVisible();
  await expect(page.getByText(new RegExp(`Ledger: ${before + 1} shots`))).toBeVisible();
  await expect(page.getByLabel('Remark')).toHaveValue('mine, half entered');
  await expect(page.getByLabel('Dose, g')).toHaveValue('17.9');
  await logTime(page, '27.1');
  await expect(other.getByText(/Ines .*logged a shot/)).toBeVisible();
  await expect(other.getByText(new RegExp(`Ledger: ${before + 2} shots`))).toBeVisible();
  await other.context().close();
});

test('a trace from a file fills the figures and is kept with the shot', async ({ page }) => {
  await open(page, 'Serra do Lume');
  const rows = Array.from({ length: 320 }, (_, i) => {
    const timeS = i / 10;
    const weightG = Math.min(33, Math.max(0, (timeS - 6) * 1.6));
    return `${timeS.toFixed(1).replace('.', ',')};${weightG.toFixed(2).replace('.', ',')}`;
  });
  const choose = (text: string) =>
    page.getByLabel('Trace file').setInputFiles({
      name: 'shot.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(text),
    });
  await page.getByText(/timed from the pump, beans/).click();
  await choose('time_s;mass\n0,0;0');
  await expect(page.getByRole('alert').getByText(/no column weight_g/)).toBeVisible();
  await choose(['time_s;weight_g', ...rows].join('\n'));
  await expect(page.getByText(/A trace of 320 points goes with this shot/)).toBeVisible();
  await expect(page.getByLabel('Yield, g')).toHaveValue('33.0');
  const timeS = Number(await page.getByLabel('Time, s').inputValue());
  expect(Math.abs(timeS - 26.6)).toBeLessThan(0.6);
  await page.getByRole('button', { name: 'Log it' }).click();
  await expect(page.getByText(/Ledger: 4 shots/)).toBeVisible();
  const db = new Database(server.databaseFile, { readonly: true });
  const { n } = db
    .prepare(
      'SELECT count(*) AS n FROM trace t JOIN shot s ON s.id = t.shot_id WHERE s.is_simulated = 0',
    )
    .get() as { n: number };
  db.close();
  expect(n).toBe(1);
});
