/** A stranger's card: read without a script, in six languages; its helpers; and what the house hears and sends out. */
import { spawnSync } from 'node:child_process';
import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '../support/browserTest';
import ICAL from 'ical.js';
import { cardReaderInput, type CardReaderQuestion } from '@/core/advice/cardReader';
import type { Advice } from '@/core/advice/types';
import { answerIn } from '@/words/answerIn';
import { LANGUAGES } from '@/core/language';
import { cardWords } from '@/words/cardWords';
import { readDocument } from '@/formats/recipe/readers';
import { openRelease } from '../support/openRelease';
import type { RunningServer } from '../support/server';
import { signIn } from '../support/signIn';

let server: RunningServer;
let path: string;
test.beforeAll(async ({ demoHouse, browser }) => {
  server = await demoHouse.asMade();
  const page = await browser.newPage();
  await signIn(page, server.url);
  await openRelease(page, server.url, 'Harbour Lamp', 'publish');
  path = (await page.getByRole('link', { name: 'Open the public page' }).getAttribute('href'))!;
  await page.close();
});

const PHONE = { viewport: { width: 390, height: 844 } };

async function bodyOf({ request }: Pick<Page, 'request'>) {
  return readDocument(await (await request.get(`${server.url}${path}/recipe.json`)).text()).body;
}

test('the card reads in six languages without a script, on a phone, in both themes', async ({
  browser,
}) => {
  for (const colorScheme of ['light', 'dark'] as const) {
    const context = await browser.newContext({ ...PHONE, colorScheme, javaScriptEnabled: false });
    const page = await context.newPage();
    for (const language of LANGUAGES) {
      await page.goto(`${server.url}${path}/${language}/`);
      const say = cardWords(language);
      await expect(page.getByText(say('labels.Dose'), { exact: true }).first()).toBeVisible();
      await expect(page.getByRole('heading', { name: say('phases.title') })).toBeVisible();
      await expect(page.locator('[data-helpers]')).toBeHidden();
      const wide = await page.evaluate(() => document.documentElement.scrollWidth);
      expect([language, wide]).toEqual([language, PHONE.viewport.width]);
    }
    await context.close();
  }
});

test('opened, its helpers are accessible in every language', async ({ page }) => {
  for (const language of LANGUAGES) {
    await page.goto(`${server.url}${path}/${language}/?roasted=2026-01-01`);
    for (const part of await page.locator('[data-helper] > summary').all())
      if (!(await part.evaluate((one) => (one.parentElement as HTMLDetailsElement).open)))
        await part.click();
    const { violations } = await new AxeBuilder({ page }).analyze();
    expect([language, violations.map(({ id, nodes }) => [id, nodes[0]?.html])]).toEqual([
      language,
      [],
    ]);
  }
});

test('a bag’s code tells today’s phase, a setup its fit', async ({ page }) => {
  const body = await bodyOf(page);
  const { from, to } = body.phases!.list[1]!;
  const today = new Date();
  today.setDate(today.getDate() - from);
  const two = (part: number) => String(part).padStart(2, '0');
  const roasted = `${today.getFullYear()}-${two(today.getMonth() + 1)}-${two(today.getDate())}`;
  await page.goto(`${server.url}${path}/?roasted=${roasted}`);
  await expect(page.getByText(`Today is day ${from} after the roast.`)).toBeVisible();
  await expect(page.locator('tr[data-today="true"]')).toContainText(`day ${from}-${to}`);
  await page.getByLabel('Roast date on the bag').fill('2999-01-01');
  await page.getByRole('button', { name: 'Find today' }).click();
  await expect(page.getByText('it cannot lie ahead')).toBeVisible();

  await page.getByText('Fit to my setup').click();
  const fit = page.locator('[data-helper="fit"]');
  await fit.getByLabel('Basket, mm across').fill('540');
  await fit.getByRole('button', { name: 'Show my recipe' }).click();
  await expect(fit.getByText('Basket, mm across: enter 35 to 64.')).toBeVisible();
  await fit.getByLabel('Basket, mm across').fill('54');
  await fit.getByRole('button', { name: 'Show my recipe' }).click();
  await expect(fit.getByText(/start here, taste decides/)).toBeVisible();
  // A shot is judged by the fitted recipe from then on: its window is the wider one.
  const wide = (await fit.locator('output').innerText()).match(/(\d+)-(\d+) s/)!;
  await page.getByText('My shot did this').click();
  const shot = page.locator('[data-helper="shot"]');
  await shot.getByLabel('Time, s').fill(String(Number(wide[2]) - 1));
  await shot.getByRole('button', { name: 'What now?' }).click();
  await expect(shot.getByText(/It ran inside the card’s window/)).toBeVisible();
  expect(Number(wide[2]) - 1).toBeGreaterThan(body.recipe.timeS[1]);
  await fit.getByLabel('The basket is pressurised').check();
  await fit.getByRole('button', { name: 'Show my recipe' }).click();
  await expect(fit.getByText('No recipe can be given for this setup.')).toBeVisible();
});

test('“my shot did this” answers what kb next answers, and learns the grinder from the second', async ({
  page,
}) => {
  const body = await bodyOf(page);
  await page.goto(`${server.url}${path}/en/`);
  await page.getByText('My shot did this').click();
  const part = page.locator('[data-helper="shot"]');
  await part.getByRole('button', { name: 'What now?' }).click();
  await expect(part.getByText('Time, s: enter 1 to 180.')).toBeVisible();
  const shots: CardReaderQuestion['shots'][number][] = [];
  for (const [timeS, finerSteps] of [
    [19, undefined],
    [22, 3],
  ] as const) {
    shots.push({ timeS, clock: 'pump', yieldG: 34, taste: 'sour', finerSteps: finerSteps ?? 0 });
    await part.getByLabel('Time, s').fill(String(timeS));
    await part.getByLabel('In the cup, g').fill('34');
    await part.getByLabel('It tasted').selectOption('sour');
    if (finerSteps !== undefined)
      await part.getByLabel('Grind since the last shot').fill(String(finerSteps));
    await part.getByRole('button', { name: 'What now?' }).click();
    const asked: CardReaderQuestion = {
      card: body.recipe,
      tolerance: body.tolerance,
      roastLevel: body.coffee.roastLevel ?? 0,
      ratedG: body.setup.ratedG,
      cremaGPerMl: 0.75,
      shots,
    };
    const { basket, target, grinder, shots: pulled } = cardReaderInput(asked);
    const { roastLevel } = target;
    const kb = spawnSync('node', ['scripts/kb.mjs', 'next'], {
      input: JSON.stringify({ basket, target: { ...target, roastLevel }, grinder, shots: pulled }),
      encoding: 'utf8',
    });
    expect(kb.stderr).toBe('');
    const { what, why } = answerIn('en', JSON.parse(kb.stdout) as Advice, asked);
    await expect(part.locator('output')).toContainText(`Shot ${shots.length}: ${why}`);
    await expect(part.locator('output')).toContainText(what);
  }
  await expect(part.locator('output')).toContainText(/Grind \d+ steps? finer/);
});

test('the clock marks the first drip and fills the shot’s times', async ({ page }) => {
  await page.clock.install();
  await page.goto(`${server.url}${path}/en/`);
  await page.getByText('Start the clock').click();
  const part = page.locator('[data-helper="clock"]');
  await expect(part.getByRole('button', { name: 'Start with the pump' })).toBeEnabled();
  await part.getByRole('button', { name: 'Start with the pump' }).press('Enter');
  await part.getByRole('button', { name: 'First drip' }).press('Enter');
  await page.clock.runFor(24_000);
  await part.getByRole('button', { name: 'Stop' }).press('Enter');
  await part.getByRole('button', { name: 'Use these times' }).press('Enter');
  const time = page.locator('[data-helper="shot"]').getByLabel('Time, s');
  expect(Number(await time.inputValue())).toBeGreaterThanOrEqual(24);
  await expect(page.locator('[data-helper="shot"]').getByLabel('In the cup, g')).toBeFocused();
});

test('a remark reaches the house; the next version goes out with its messages, and is taken back', async ({
  browser,
}) => {
  const stranger = await (await browser.newContext(PHONE)).newPage();
  await stranger.goto(`${server.url}${path}/it/`);
  await stranger.locator('[data-helper="remark"] > summary').click();
  await stranger.locator('[name="words"]').fill('Più dolce con un grammo in meno.');
  await stranger.getByRole('button', { name: 'Invia' }).click();
  await expect(stranger.getByText('È arrivato. Grazie.')).toBeVisible();

  const page = await browser.newPage();
  await signIn(page, server.url);
  await page.goto(`${server.url}/messages`);
  const said = page.getByRole('listitem').filter({ hasText: 'Più dolce' });
  await said.getByRole('button', { name: 'Settled' }).click();
  await expect(said.getByText('settled')).toBeVisible();

  await openRelease(page, server.url, 'Harbour Lamp', 'publish');
  await page.getByLabel('Publish all the same, because').fill('for a test');
  await page.getByLabel(/What changed from version 3/).fill('A phase more.');
  await page.getByText(/As the coffee ages: 2 phases/).click();
  await page.getByLabel('Settings over the rest span').selectOption('3');
  const first = page.getByRole('group', { name: 'Phase 1' });
  const end = await first.getByLabel('To day').inputValue();
  await first.getByLabel('To day').fill(String(Number(end) - 1));
  await page.getByRole('button', { name: 'Publish version 4' }).click();
  await expect(page.getByText(/Nothing is said of day/).first()).toBeVisible();
  await first.getByLabel('To day').fill(end);
  await page.getByRole('button', { name: 'Publish version 4' }).click();
  await page.getByRole('button', { name: 'Publish', exact: true }).click();
  await expect(page.getByText('Version 4 is public since')).toBeVisible();
  await expect(page.getByText(/To print again, still of an older version: 120/)).toBeVisible();

  await page.goto(`${server.url}/messages`);
  await expect(page.getByText('Harbour Lamp: version 4 of the recipe')).toHaveCount(2);
  await stranger.goto(`${server.url}${path}/en/`);
  await expect(stranger.locator('tr[data-from]')).toHaveCount(3);
  await stranger.getByRole('link', { name: '3', exact: true }).click();
  await expect(stranger.locator('tr[data-from]')).toHaveCount(2);

  const feed = await (await stranger.request.get(`${server.url}/feed.xml`)).text();
  const entries = await stranger.evaluate((text) => {
    const xml = new DOMParser().parseFromString(text, 'application/xml');
    if (xml.querySelector('parsererror')) throw new Error('the feed is not well formed');
    return [...xml.querySelectorAll('entry')].map((entry) => ({
      title: entry.querySelector('title')!.textContent,
      updated: entry.querySelector('updated')!.textContent,
      link: entry.querySelector('link')!.getAttribute('href'),
    }));
  }, feed);
  const own = entries.find(({ title }) => title === 'Harbour Lamp, version 4')!;
  expect(own.link).toBe(`${server.url}${path}/`);
  expect(Date.parse(own.updated!)).toBeGreaterThan(Date.now() - 600_000);

  await openRelease(page, server.url, 'Harbour Lamp', 'publish');
  await page.getByRole('button', { name: 'Withdraw it' }).click();
  await page.getByLabel('What the page says about it').fill('Sold out.');
  await page.getByRole('button', { name: 'Withdraw it now' }).click();
  await expect(page.getByText('Version 4 was withdrawn')).toBeVisible();
  for (const gone of ['/', '/de/', '/v/3/', '/bag.pdf', '/sheet.pdf', '/card.png'])
    expect([gone, (await stranger.request.get(`${server.url}${path}${gone}`)).status()]).toEqual([
      gone,
      gone === '/sheet.pdf' ? 404 : 410,
    ]);
  expect(await (await stranger.request.get(`${server.url}/feed.xml`)).text()).not.toContain(
    'Harbour Lamp',
  );
});

test('bags hold back rest days on the screens, and the calendar is read by its secret alone', async ({
  page,
}) => {
  await signIn(page, server.url);
  await openRelease(page, server.url, 'Las Veredas Rojas', 'rest');
  await expect(page.getByRole('row', { name: /^A, in use/ })).toBeVisible();
  await page.getByRole('row', { name: /^C/ }).getByRole('button', { name: 'Use this bag' }).click();
  await expect(page.getByRole('row', { name: /^C, in use/ })).toBeVisible();
  await expect(page.getByText(/rested 17 days/)).toBeVisible();
  const address = (await page.getByRole('link', { name: 'Calendar file' }).getAttribute('href'))!;
  const text = await (await page.request.get(address)).text();
  const events = new ICAL.Component(ICAL.parse(text) as unknown[]).getAllSubcomponents('vevent');
  expect(events.length).toBeGreaterThan(10);
  await page.getByRole('button', { name: 'Make a new address' }).click();
  await expect(page.getByRole('link', { name: 'Calendar file' })).not.toHaveAttribute(
    'href',
    address,
  );
  expect((await page.request.get(address)).status()).toBe(404);
});
