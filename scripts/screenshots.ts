/** `npm run screenshots`: one picture per main view, made from the demo data. */
import { mkdirSync } from 'node:fs';
import { chromium, type Page } from '@playwright/test';
import browserConfig from '../playwright.config';
import { startServer } from '../tests/support/server';

const FOLDER = 'docs/screenshots';
const PHONE = { width: 390, height: 844 };
const DESK = { width: 1280, height: 800 };

mkdirSync(FOLDER, { recursive: true });
const server = await startServer({ demo: true });
const browser = await chromium.launch(browserConfig.use!.launchOptions!);
const page = await browser.newPage({ viewport: DESK });

async function open(path: string): Promise<void> {
  await page.goto(server.url + path);
  await page.waitForLoadState('networkidle');
}

async function addressOf(name: string): Promise<string> {
  await open('/');
  return (await page.getByRole('link', { name }).first().getAttribute('href'))!;
}

async function picture(name: string, prepare?: (page: Page) => Promise<void>): Promise<void> {
  await prepare?.(page);
  await page.waitForTimeout(150);
  await page.screenshot({ path: `${FOLDER}/${name}.png` });
}

const arrived = await addressOf('Dembi Ridge');
const onBench = await addressOf('Serra do Lume');
const published = await addressOf('Las Veredas Rojas');

await picture('releases');
await open(`${arrived}/read`);
await picture('read');
await open(`${arrived}/start`);
await picture('start');
await picture('start-pushes', (view) =>
  view.getByText('Why these figures').evaluate((title) => title.scrollIntoView()),
);
await open(`${onBench}/pull`);
await picture('pull');
await page.emulateMedia({ colorScheme: 'dark' });
await picture('pull-dark');
await page.emulateMedia({ colorScheme: 'light' });
await open(`${onBench}/taste`);
await picture('taste', async (view) => {
  for (const [scale, value] of [
    ['Acidity', '6'],
    ['Sharp acidity', '6'],
    ['Sweetness', '5'],
    ['Bitterness', '2'],
    ['Dryness', '1'],
    ['Body', '4'],
    ['Clarity', '6'],
    ['Liking', '5'],
  ] as const)
    await view
      .getByRole('radiogroup', { name: scale, exact: true })
      .getByRole('radio', { name: value, exact: true })
      .check({ force: true });
});
await open(`${published}/publish`);
await picture('publish');
const card = (await page.getByRole('link', { name: 'Open the public page' }).getAttribute('href'))!;
await open(card);
await picture('public-card');
await open('/bench');
await picture('bench');

await page.setViewportSize(PHONE);
await open(`${onBench}/pull`);
await picture('pull-phone');
await open(card);
await picture('public-card-phone');

await browser.close();
await server.close();
