/** What the cups of a release say together, and the recipe that forgives on the bench in one press. */
import { expect, test } from '../support/browserTest';
import { openRelease } from '../support/openRelease';
import type { RunningServer } from '../support/server';
import { signIn } from '../support/signIn';

let server: RunningServer;
test.beforeAll(async ({ demoHouse }) => {
  server = await demoHouse.asMade();
});

test('ordinary cups find the best point; the lead takes the recipe that forgives; a cup more is counted', async ({
  page,
}) => {
  await signIn(page, server.url);
  await openRelease(page, server.url, 'Las Veredas Rojas', 'taste');
  const best = page.getByRole('region', { name: 'The best this coffee can give' });
  await expect(best).toContainText(/22 cups of \d recipes by 6 tasters/);
  const table = best.getByRole('region', { name: 'Best point and the forgiving recipe' });
  await expect(table.getByRole('row')).toHaveCount(4);
  const ratioRow = table.getByRole('row', { name: /^Ratio/ });
  const forgiving = /→ (\d+\.\d) g/.exec(await ratioRow.innerText())![1]!;

  await best.getByRole('button', { name: 'Picture of what is known' }).click();
  const held = best.getByRole('slider', { name: /Time from the pump held at/ });
  const before = await held.getAttribute('aria-valuetext');
  await held.focus();
  for (let step = 0; step < 12; step++) await page.keyboard.press('ArrowRight');
  expect(await held.getAttribute('aria-valuetext')).not.toBe(before);
  await expect(best.getByText(/s, costs about \d\.\d points$/)).toBeVisible();

  const liking = page.getByRole('radiogroup', { name: 'Liking' });
  await liking.getByRole('radio').first().focus();
  await page.keyboard.press('8');
  await page.getByRole('button', { name: 'Keep this cup sheet' }).click();
  await expect(best).toContainText(/23 cups/);
  await expect(
    page.getByText(/Tasted today: you \d+ cups?, about \d+ mg of caffeine/),
  ).toBeVisible();

  await best.getByRole('button', { name: 'Use the forgiving recipe' }).focus();
  await page.keyboard.press('Enter');
  const plate = page.getByLabel('Recipe in force');
  await expect(plate).toContainText('On the bench');
  const [, onBench] = /18\.1 → (\d+\.\d)/.exec(await plate.innerText())!;
  // One cup more moves it by little.
  expect(Math.abs(Number(onBench) - Number(forgiving))).toBeLessThanOrEqual(1.5);
});

test('a bench hand reads it and cannot take it; a coffee without cups says how near a first one should be', async ({
  page,
}) => {
  await signIn(page, server.url, 'tobin');
  await openRelease(page, server.url, 'Serra do Lume', 'taste');
  const best = page.getByRole('region', { name: 'The best this coffee can give' });
  await expect(best).toContainText(/a first cup is expected within about \d\.\d points/);
  await expect(best.getByRole('region', { name: 'Cups that would tell most' })).toBeVisible();
  await expect(best.getByRole('button', { name: 'Use the forgiving recipe' })).toHaveCount(0);

  await test.step('what the trial may change and take holds the next cups', async () => {
    const cups = best.getByRole('region', { name: 'Cups that would tell most' });
    await best.getByRole('button', { name: 'What the trial may change and take' }).click();
    const form = page.getByRole('form', { name: 'What the trial may change' });
    await form.getByLabel('Yield from, g').fill('44');
    await form.getByLabel('Yield to, g').fill('34');
    await form.getByLabel('Recipes to taste at most').fill('2');
    await form.getByLabel('Recipes to taste at most').press('Enter');
    await expect(form.getByText(/Yield ends before it begins/)).toBeVisible();
    await expect(form.getByLabel('Yield to, g')).toBeFocused();
    await form.getByLabel('Yield from, g').fill('34');
    await form.getByLabel('Yield to, g').fill('36');
    await form.getByLabel('Yield to, g').press('Enter');
    await expect(cups.getByRole('row')).toHaveCount(3);
    for (const row of (await cups.getByRole('row').allInnerTexts()).slice(1))
      expect(row).toMatch(/\b3[4-6]\.\d g/);
    await expect(best.getByText(/With purges they take about \d+ g/)).toBeVisible();
  });
});

test('staged cups say where to cut while they are typed, and are there again', async ({ page }) => {
  await signIn(page, server.url);
  await openRelease(page, server.url, 'Las Veredas Rojas', 'taste');
  await page.getByRole('button', { name: 'Staged cups of this shot' }).click();
  const form = page.getByRole('form', { name: 'Staged cups' });
  const cups = [
    ['14', '17', 'sour, salty, thick'],
    ['14', '9', 'sweet'],
    ['14', '3.5', 'thin, woody, bitter'],
  ] as const;
  for (const [i, [mass, tds, taste]] of cups.entries()) {
    await form.getByLabel(`Mass of cup ${i + 1}`).fill(mass);
    await form.getByLabel(`TDS of cup ${i + 1}`).fill(tds);
    await form.getByLabel(`Taste of cup ${i + 1}`).selectOption({ label: taste });
  }
  await expect(form.getByText(/Cut at about 28 g/)).toBeVisible();
  const built = form.getByRole('region', { name: 'The shot as it builds up' });
  await expect(built.getByRole('row').last()).toContainText('42.0 g');
  await form.getByLabel('The whole shot is most like').selectOption('last');
  await form.getByRole('button', { name: 'Keep the staged cups' }).click();
  await expect(page.getByRole('button', { name: 'Staged cups of this shot, noted' })).toBeVisible();

  await page.reload();
  await page.getByRole('button', { name: 'Staged cups of this shot, noted' }).click();
  await expect(form.getByLabel('Mass of cup 2')).toHaveValue('14');
  await expect(form.getByText(/like its last cup: over-extracted/)).toBeVisible();

  await test.step('noted anew and taken back', async () => {
    await form.getByLabel('Mass of cup 1').fill('12');
    await form.getByRole('button', { name: 'Keep the staged cups' }).click();
    await expect(page.getByText('Staged cups were noted anew.')).toBeVisible();
    await page.getByRole('region', { name: 'Undo' }).getByRole('button').first().click();
    await expect(form.getByLabel('Mass of cup 1')).toHaveValue('14');
  });

  await form.getByLabel('Mass of cup 3').fill('999');
  await form.getByRole('button', { name: 'Keep the staged cups' }).click();
  await expect(form.getByText(/outside 0-200 g/)).toBeVisible();
  await expect(form.getByLabel('Mass of cup 3')).toBeFocused();
});

test('a second recipe for milk drinks stands beside the straight one, and keeps off the card', async ({
  page,
}) => {
  await signIn(page, server.url);
  await openRelease(page, server.url, 'Serra do Lume', 'taste');
  const milk = page.getByRole('region', { name: 'Recipe for milk drinks' });
  const plate = page.getByLabel('Recipe in force');
  const straight = /→ (\d+\.\d)/.exec(await plate.innerText())![1]!;
  await milk.getByRole('button', { name: 'Begin a recipe for milk drinks' }).click();
  await expect(plate).toContainText('for milk drinks');
  expect(Number(/→ (\d+\.\d)/.exec(await plate.innerText())![1])).toBeLessThan(Number(straight));
  // A cup is now judged in milk, unless somebody says otherwise.
  const served = page.getByRole('radiogroup', { name: 'Served' });
  await expect(served.getByRole('radio', { name: 'in milk', exact: true })).toBeChecked();
  await expect(milk).toContainText('cups in milk judge it, straight cups do not');

  await openRelease(page, server.url, 'Serra do Lume', 'publish');
  await expect(
    page.getByText(/is for milk drinks, and the card carries the straight/),
  ).toBeVisible();
  await page.getByRole('link', { name: 'To Taste' }).click();
  await milk.getByRole('button', { name: 'Go to the straight recipe' }).click();
  await expect(plate).not.toContainText('for milk drinks');
  await expect(plate).toContainText(`→ ${straight}`);
  await expect(milk.getByRole('button', { name: 'Go to the milk recipe' })).toBeVisible();
});

test('an answer that breaks off on its way is asked for again, and the screen comes', async ({
  page,
}) => {
  await signIn(page, server.url);
  await openRelease(page, server.url, 'Las Veredas Rojas', 'taste');
  const best = page.getByRole('region', { name: 'The best this coffee can give' });
  const before = Number(/(\d+) cups of/.exec(await best.innerText())![1]);
  // The page that is asked for next comes by half, and never ends.
  await page.evaluate(() => {
    const whole = window.fetch;
    window.fetch = async (address, options) => {
      const answer = await whole(address, options);
      const headers = new Headers(options?.headers);
      const isPage = String(address).includes('/taste?') && !headers.has('next-router-prefetch');
      if (!isPage || headers.has('next-router-segment-prefetch')) return answer;
      window.fetch = whole;
      const bytes = new Uint8Array(await answer.arrayBuffer());
      const half = new ReadableStream({
        start: (controller) => controller.enqueue(bytes.slice(0, bytes.length / 2)),
      });
      const broken = new Response(half, { headers: answer.headers });
      Object.defineProperty(broken, 'url', { value: answer.url });
      return broken;
    };
  });
  await page.getByRole('radiogroup', { name: 'Liking' }).getByRole('radio').first().focus();
  await page.keyboard.press('8');
  await page.getByRole('button', { name: 'Keep this cup sheet' }).click();
  await expect(best).toContainText(new RegExp(`${before + 1} cups of`));
});
