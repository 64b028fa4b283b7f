/** Every view of the demo house: accessible in both themes, silent, and alone on this machine. */
import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { startServer, type RunningServer } from '../support/server';

let server: RunningServer;
test.beforeAll(async () => {
  server = await startServer({ demo: true });
});
test.afterAll(() => server.close());

const STAGES = ['read', 'start', 'pull', 'taste', 'publish'];

async function addresses(page: Page): Promise<string[]> {
  await page.goto(server.url);
  const links = page.locator('ul a[href^="/releases/"]');
  const releases = await links.evaluateAll((all) => all.map((link) => link.getAttribute('href')!));
  expect(releases).toHaveLength(3);
  const published = await links.filter({ hasText: 'Las Veredas' }).getAttribute('href');
  await page.goto(`${server.url}${published}/publish`);
  const card = await page.getByRole('link', { name: 'Open the public page' }).getAttribute('href');
  const views = releases.flatMap((release) => STAGES.map((stage) => `${release}/${stage}`));
  return ['/', '/releases/new', '/bench', card!, '/p/nothing-here', ...views];
}

for (const theme of ['light', 'dark'] as const) {
  test(`axe finds nothing, nothing is logged, nothing leaves: ${theme}`, async ({ page }) => {
    const noise: string[] = [];
    const outside: string[] = [];
    const found: string[] = [];
    page.on('console', (message) => {
      const isExpected404 =
        message.text().includes('404') && page.url().endsWith('/p/nothing-here');
      if (['error', 'warning'].includes(message.type()) && !isExpected404)
        noise.push(message.text());
    });
    page.on('pageerror', (error) => noise.push(error.message));
    page.on('request', (request) => {
      if (!request.url().startsWith(server.url) && !request.url().startsWith('data:'))
        outside.push(request.url());
    });
    await page.emulateMedia({ colorScheme: theme, reducedMotion: 'reduce' });
    for (const path of await addresses(page)) {
      await page.goto(server.url + path);
      await page.waitForLoadState('networkidle');
      const { violations } = await new AxeBuilder({ page }).analyze();
      found.push(...violations.map(({ id, nodes }) => `${path} ${id}: ${nodes[0]!.html}`));
    }
    expect(found).toEqual([]);
    expect(noise).toEqual([]);
    expect(outside).toEqual([]);
  });
}

test('phone width: nothing is wider than the screen, the clock and the log are large', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const views = (await addresses(page)).filter((path) => /pull|taste|^\/p\//.test(path));
  for (const path of views) {
    await page.goto(server.url + path);
    const overflow = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
    expect(overflow, path).toBeLessThanOrEqual(0);
  }
  await page.goto(server.url + views.findLast((path) => path.endsWith('pull'))!);
  for (const control of [/^Clock/, 'Log it']) {
    const box = await page.getByRole('button', { name: control }).boundingBox();
    expect(box!.height, String(control)).toBeGreaterThanOrEqual(48);
  }
});

test('an empty house: axe finds nothing on the set-up, the bench, the shelf and the first form', async ({
  page,
}) => {
  const empty = await startServer();
  try {
    const command = (kind: string, input: unknown) =>
      page.request.post(`${empty.url}/api/commands`, {
        data: { id: `empty-house-test-${kind}`, kind, input },
      });
    const found: string[] = [];
    const look = async (path: string, words: string | RegExp) => {
      await page.goto(empty.url + path);
      await expect(page.getByText(words).first()).toBeVisible();
      const { violations } = await new AxeBuilder({ page }).analyze();
      found.push(...violations.map(({ id, nodes }) => `${path} ${id}: ${nodes[0]!.html}`));
    };
    await look('/', 'Set up Kettlebrand for your roastery');
    await command('setUpHouse', { houseName: 'Lanternfell Coffee', leadName: 'Ines' });
    await look('/', /No setup is described yet/);
    await look('/bench', 'Add the setup');
    await command('createRelease', {
      release: {
        name: 'N'.repeat(80),
        country: '',
        region: '',
        producer: '',
        variety: '',
        roastDate: '2026-01-02',
        promisedNotes: [],
      },
    });
    await page.goto(empty.url);
    await page.getByRole('link', { name: /NNNN/ }).click();
    await page.waitForURL(/read$/);
    const path = new URL(page.url()).pathname;
    await look(path, 'Roast level or ground colour');
    const stages = ['start', 'pull', 'taste', 'publish'];
    const words = [/No setup/, /Nothing on the bench/, /Nothing to taste/, /Nothing to publish/];
    for (const [i, stage] of stages.entries()) await look(path.replace('read', stage), words[i]!);
    expect(found).toEqual([]);
    const overflow = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
    expect(overflow).toBeLessThanOrEqual(0);
  } finally {
    await empty.close();
  }
});

test('what is not published is not found, alike for page and document', async ({ request }) => {
  for (const path of ['/p/guess', '/p/guess/recipe.json', '/releases/none/pull']) {
    const response = await request.get(server.url + path);
    expect(response.status(), path).toBe(404);
  }
});

test('the theme button turns the bench dark and is remembered', async ({ page }) => {
  await page.emulateMedia({ colorScheme: 'light' });
  await page.goto(server.url);
  const background = () =>
    page.evaluate(() => getComputedStyle(document.documentElement).backgroundColor);
  const light = await background();
  await page.getByRole('button', { name: 'Light or dark' }).press('Enter');
  expect(await background()).not.toBe(light);
  const dark = await background();
  await page.reload();
  expect(await background()).toBe(dark);
});

test('the unpurged shot of the demo is answered with a repeat', async ({ page }) => {
  await page.goto(server.url);
  await page.getByRole('link', { name: /Serra do Lume/ }).press('Enter');
  const advice = page.getByLabel('Next move');
  await expect(advice).toContainText('Same again, prepared better');
  await expect(advice).toContainText('was not purged');
});
