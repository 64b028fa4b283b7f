/** `npm run screenshots`: one picture per main view, made from the demo data. */
import { mkdirSync, statSync, truncateSync, writeFileSync } from 'node:fs';
import { createCanvas, loadImage } from '@napi-rs/canvas';
import { chromium, type Page } from '@playwright/test';
import Database from 'better-sqlite3';
import browserConfig from '../playwright.config';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { pathOf } from '../tests/support/openRelease';
import { startServer } from '../tests/support/server';
import { signIn } from '../tests/support/signIn';
import { side, under } from './compose';

const FOLDER = 'docs/screenshots';
const PHONE = { width: 390, height: 844 };
const DESK = { width: 1280, height: 800 };
const DAY_MS = 86_400_000;
/** Of papers on their picture. */
const [PAPER_SCALE, PAPER_GAP] = [1.45, 14];
const BAG = `Sierra Clara
Colombia, Huila, Finca Sierra Clara
Pink Bourbon, anaerobic natural, 1,750-1,900 masl
Harvest May 2026, lot 42, organic, cup score 87.5
Notes: strawberry, rose, cocoa nib. Roasted 20 Nov 2026
Rested in cherry for four days.`;

/** A shot caught in three cups. */
const STAGED = [
  ['14', '17', 'sour, salty, thick'],
  ['14', '9', 'sweet'],
  ['14', '3.5', 'thin, woody, bitter'],
] as const;

mkdirSync(FOLDER, { recursive: true });
const server = await startServer({ demo: true, prepare: noteBackup });
const browser = await chromium.launch(browserConfig.use!.launchOptions!);
const page = await browser.newPage({ viewport: DESK, serviceWorkers: 'block' });

async function open(path: string): Promise<void> {
  await page.goto(server.url + path);
  await page.waitForLoadState('networkidle');
}

async function picture(name: string, prepare?: (page: Page) => Promise<void>): Promise<void> {
  await prepare?.(page);
  await page.waitForTimeout(150);
  await page.screenshot({ path: `${FOLDER}/${name}.png` });
}

await signIn(page, server.url);

const arrived = await pathOf(page, server.url, 'Dembi Ridge');
const blend = await pathOf(page, server.url, 'Harbour Lamp');
const onBench = await pathOf(page, server.url, 'Serra do Lume');
const blindlyTasted = await pathOf(page, server.url, 'Late Ferry Decaf');
const published = await pathOf(page, server.url, 'Las Veredas Rojas');

await open('/');
await picture('today');
await open('/releases/new');
await pasting(page);
const readBag = await page.screenshot();
await open(`${blend}/read`);
await picture('read');
await open(`${arrived}/start`);
await picture('start');
await open(`${onBench}/pull`);
await picture('pull');
await page.setViewportSize({ ...DESK, height: 3000 });
await open(`${published}/taste`);
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
  await view.getByRole('button', { name: 'Staged cups of this shot' }).click();
  for (const [i, [mass, tds, taste]] of STAGED.entries()) {
    await view.getByLabel(`Mass of cup ${i + 1}`).fill(mass);
    await view.getByLabel(`TDS of cup ${i + 1}`).fill(tds);
    await view.getByLabel(`Taste of cup ${i + 1}`).selectOption({ label: taste });
  }
  await view.getByRole('button', { name: 'What the trial may change and take' }).click();
  await view.getByRole('button', { name: 'Picture of what is known' }).click();
  // Charts are fetched when they are seen.
  await view.waitForTimeout(1500);
});
const cardOf = async (release: string): Promise<string> => {
  await open(`${release}/publish`);
  return (await page.getByRole('link', { name: 'Open the public page' }).getAttribute('href'))!;
};
await page.setViewportSize({ ...DESK, height: 1100 });
const card = await cardOf(published);
await picture('publish');
await publicCard(card);
await papers(card, await cardOf(blend));
await page.setViewportSize({ ...DESK, height: 2200 });
await open(`${published}/rest`);
await page.waitForTimeout(900);
await picture('rest');
await page.setViewportSize(DESK);
await equipmentAndHouse();
await open('/programmes');
await picture('programme', writing);
await open('/practice');
await picture('practice', practising);
await page.setViewportSize({ ...DESK, height: 1900 });
await open('/patterns');
await page.waitForTimeout(600);
await picture('patterns');
await page.setViewportSize(DESK);
await open('/import');
await importing(page);
await under(`${FOLDER}/new-release.png`, [readBag, await page.screenshot()]);
await field();

await phone();
await page.setViewportSize(DESK);
await flights();
await allDay();
await doors();

/** The machines and the house's own rules, one under the other. */
async function equipmentAndHouse(): Promise<void> {
  const canvas = createCanvas(DESK.width, 2 * DESK.height);
  const context = canvas.getContext('2d');
  for (const [i, path] of ['/equipment', '/house#backups'].entries()) {
    await open(path);
    await page.waitForTimeout(300);
    context.drawImage(await loadImage(await page.screenshot()), 0, i * DESK.height);
  }
  writeFileSync(`${FOLDER}/equipment.png`, canvas.toBuffer('image/png'));
}

/** What a hand holds: the bench, the menu, a refused form, the bench without its server, and Start at 320 px. */
async function phone(): Promise<void> {
  await page.setViewportSize(PHONE);
  const seen: Buffer[] = [];
  const look = async () => {
    await page.waitForTimeout(300);
    seen.push(await page.screenshot());
  };
  await open(`${onBench}/pull`);
  await look();
  await page.locator('summary[aria-label="Menu"]').click();
  await look();
  await open('/releases/new');
  await page.getByLabel('Name of the release').fill('Sierra Clara');
  await page.getByLabel('Altitude, m').fill('99000');
  await page.getByRole('button', { name: 'Create and read it' }).click();
  await look();
  await open(`${onBench}/taste`);
  await page.route('**/health', (route) => route.abort());
  await page.evaluate(() => window.dispatchEvent(new Event('offline')));
  await look();
  await page.unroute('**/health');
  await page.setViewportSize({ ...PHONE, width: 320 });
  await open(`${arrived}/start`);
  await look();
  await side(`${FOLDER}/phone.png`, seen);
}

/** A flight at the machine and revealed, and its cup sheet on two phones by day and in the dark: one picture. */
async function flights(): Promise<void> {
  const GAP = 16;
  const canvas = createCanvas(DESK.width + PHONE.width + 3 * GAP, 2 * DESK.height + 3 * GAP);
  const context = canvas.getContext('2d');
  context.fillStyle = '#7d8d85';
  context.fillRect(0, 0, canvas.width, canvas.height);
  const draw = async (view: Page, x: number, y: number) => {
    await view.waitForTimeout(600);
    context.drawImage(await loadImage(await view.screenshot()), x, y);
  };
  const openFlight = async (release: string) => {
    await open(`${release}/taste`);
    const list = page.getByRole('region', { name: 'Blind flights of this release' });
    await list.getByRole('link').first().click();
    await page.waitForURL(/flights/);
    await page.waitForLoadState('networkidle');
  };
  await openFlight(published);
  await draw(page, GAP, DESK.height + 2 * GAP);
  await openFlight(blindlyTasted);
  const words = await page.getByRole('region', { name: 'Cup sheets', exact: true }).innerText();
  const [, code] = /flight\/([A-Z0-9]{8})/.exec(words)!;
  const right = DESK.width + 2 * GAP;
  for (const [i, colorScheme] of (['light', 'dark'] as const).entries()) {
    const height = DESK.height;
    const view = await browser.newPage({ viewport: { ...PHONE, height }, colorScheme });
    await view.goto(`${server.url}/flight/${code}`);
    if (colorScheme === 'light') {
      await view.getByLabel('Your name').fill('Wren Abara');
      await view.getByRole('button', { name: 'Take a place' }).click();
      await view.getByRole('form').waitFor();
      for (const [scale, value] of [
        ['Liking', '7'],
        ['Sweetness', '6'],
      ] as const)
        await view
          .getByRole('radiogroup', { name: scale, exact: true })
          .getByRole('radio', { name: value, exact: true })
          .check({ force: true });
    } else await view.getByLabel('Your name').waitFor();
    await draw(view, right, i * (height + GAP) + GAP);
    await view.close();
  }
  await page.reload();
  await page.waitForLoadState('networkidle');
  await draw(page, GAP, GAP);
  writeFileSync(`${FOLDER}/flight.png`, canvas.toBuffer('image/png'));
}

/** Six screens as one picture: what is found, listed, open, kept of a half-typed form, seen in forced colours, printed. */
async function allDay(): Promise<void> {
  const canvas = createCanvas(DESK.width, 1.5 * DESK.height);
  const context = canvas.getContext('2d');
  const [width, height] = [DESK.width / 2, DESK.height / 2];
  let count = 0;
  const look = async () => {
    await page.waitForTimeout(300);
    const image = await loadImage(await page.screenshot());
    context.drawImage(image, (count % 2) * width, Math.floor(count / 2) * height, width, height);
    count++;
  };
  await open('/find?q=anaerobic');
  await look();
  await open('/releases?sort=name');
  await page.getByRole('checkbox', { name: 'Aurora Tarn' }).check();
  await page.getByRole('checkbox', { name: 'Harbour Lamp' }).check();
  await page.evaluate(() => scrollTo(0, 0));
  await look();
  await open('/open');
  await look();
  await open('/releases/new');
  await page.getByLabel('Name of the release').fill('Sierra Clara');
  await page.getByLabel('Promised notes').fill('strawberry, rose');
  // A draft is written a moment after the last key.
  await page.waitForTimeout(800);
  await open('/');
  await open('/releases/new');
  await look();
  await page.emulateMedia({ forcedColors: 'active' });
  await open(`${onBench}/taste`);
  await look();
  await page.emulateMedia({ forcedColors: null, media: 'print' });
  await open('/');
  await look();
  await page.emulateMedia({ media: null });
  writeFileSync(`${FOLDER}/all-day.png`, canvas.toBuffer('image/png'));
}

/** The field: who is off, one café with its evidence and its answer, the week, and the sheet on a phone. */
async function field(): Promise<void> {
  const seen: Buffer[] = [];
  const look = async (height: number) => {
    await page.setViewportSize({ ...DESK, height });
    await page.waitForTimeout(1200);
    seen.push(await page.screenshot());
    await page.setViewportSize(DESK);
  };
  await open('/field');
  await look(1120);
  const signal = page.getByRole('listitem').filter({ hasText: 'The Copper Finch: all' });
  await signal.getByRole('link', { name: 'See its checks and answer' }).click();
  await page.waitForLoadState('networkidle');
  await look(1000);
  const link = (await page.locator('code').textContent())!;
  await open('/field/week');
  await look(640);
  const held = await browser.newPage({ viewport: PHONE, serviceWorkers: 'block' });
  await held.goto(link);
  await held.getByLabel('Time, s').first().fill('22.5');
  await held.getByText('sour side').first().click();
  await held.waitForTimeout(300);
  const sheet = await held.screenshot();
  await held.close();
  await under(`${FOLDER}/field.png`, seen, sheet);
}

/** A house that has named a folder for its backups, and has one of last night. */
function noteBackup(databaseFile: string): void {
  const db = new Database(databaseFile);
  const day = new Date().toISOString();
  db.prepare(`UPDATE house SET backup_folder = '/mnt/backups'`).run();
  db.prepare(`INSERT INTO backup (at, file, bytes, fault) VALUES (?, ?, 1540096, '')`).run(
    day,
    `/mnt/backups/kettlebrand-${day.slice(0, 10)}-0200.sqlite`,
  );
  db.close();
}

/** Who is in, who came in, and what is said of a damaged file: three screens on one picture. */
async function doors(): Promise<void> {
  const canvas = createCanvas(DESK.width, 1.5 * DESK.height);
  const context = canvas.getContext('2d');
  const half = { width: DESK.width / 2, height: DESK.height / 2 };
  const draw = async (x: number, y: number, scale: number) =>
    context.drawImage(
      await loadImage(await page.screenshot()),
      x,
      y,
      scale * DESK.width,
      scale * DESK.height,
    );
  await open('/people');
  await page.getByRole('heading', { name: 'Where you are signed in' }).scrollIntoViewIfNeeded();
  await draw(0, 0, 1);
  await open('/people/log');
  await draw(0, DESK.height, 0.5);
  truncateSync(server.databaseFile, statSync(server.databaseFile).size / 2);
  await page.goto(`${server.url}/trouble`);
  await page.getByText(/is damaged/).waitFor();
  await draw(half.width, DESK.height, 0.5);
  writeFileSync(`${FOLDER}/doors.png`, canvas.toBuffer('image/png'));
}

/** What a bag says, read and shown with the words each fact came from. */
async function pasting(view: Page): Promise<void> {
  await view.getByRole('button', { name: 'Paste the bag' }).click();
  await view.getByLabel('What the bag says').fill(BAG);
  await view.getByRole('button', { name: 'Read it', exact: true }).click();
  await view.getByText('Understood, and from which words').waitFor();
}

/** A programme in the middle of being written, tried in the simulator. */
async function writing(view: Page): Promise<void> {
  await view.getByRole('button', { name: 'Change Paddle soak' }).click();
  await view.getByRole('slider', { name: 'Step 3' }).focus();
  await view.keyboard.press('ArrowUp');
  await view.getByRole('button', { name: 'Try it in the simulator' }).click();
  await view.getByText(/Simulated, heuristic/).waitFor();
  await view.getByRole('slider', { name: 'Step 3' }).focus();
  await view.getByLabel('Name', { exact: true }).evaluate((field) => field.scrollIntoView());
}

/** A coffee dialled in by the advice until its truth is told. */
async function practising(view: Page): Promise<void> {
  const pull = view.getByRole('button', { name: 'Pull it' });
  const truth = view.getByText('What it was');
  await pull.waitFor();
  for (let shot = 0; shot < 8 && !(await truth.isVisible()); shot++) {
    if (await pull.isVisible()) await pull.click();
    await view.waitForTimeout(900);
  }
  await truth.waitFor();
  await view.evaluate(() => scrollTo(0, 0));
}

/** Shots of an American spreadsheet, as far as the mapping. */
async function importing(view: Page): Promise<void> {
  const rows = ['27.4', '28.1', '28.8'].map(
    (time, i) => `Monte Calado,Window bench,3/${i + 14}/2026,17,0.63,1.3,199.4,${time}`,
  );
  const csv = ['Coffee,Bench,Date,Grind,Dose oz,Out oz,Temp F,Time', ...rows].join('\n');
  await view.getByLabel('Shots', { exact: true }).check();
  await view.setInputFiles('input[type=file]', {
    name: 'shots-of-march.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(csv),
  });
  await view.getByText('separated by commas').waitFor();
}

/** Bag card on both sides, shelf label and café sheet, drawn from their PDFs by the browser's own canvas. */
async function papers(address: string, beside: string): Promise<void> {
  const sheet = `${address}/en/sheet.pdf?with=${beside.split('/').at(-1)}`;
  const pages: (readonly [path: string, page: number, x: number, y: number])[] = [
    [`${address}/en/bag.pdf`, 1, 0, 0],
    [`${address}/en/bag.pdf`, 2, 0, 620],
    [`${address}/en/label.pdf`, 1, 0, 1240],
    [sheet, 1, 460, 0],
  ];
  const canvas = createCanvas(1450, 1460);
  const context = canvas.getContext('2d');
  context.fillStyle = '#c9d2cc';
  context.fillRect(0, 0, canvas.width, canvas.height);
  for (const [path, number, x, y] of pages) {
    const file = await page.request.get(server.url + path);
    const pdf = await getDocument({ data: new Uint8Array(await file.body()) }).promise;
    const drawn = await pdf.getPage(number);
    const viewport = drawn.getViewport({ scale: PAPER_SCALE });
    const paper = createCanvas(viewport.width, viewport.height);
    const canvasContext = paper.getContext('2d') as unknown as CanvasRenderingContext2D;
    await drawn.render({ canvasContext, viewport }).promise;
    context.drawImage(paper, x + PAPER_GAP, y + PAPER_GAP);
  }
  writeFileSync(`${FOLDER}/card-paper.png`, canvas.toBuffer('image/png'));
}

/** The public card on a desk, and beside it on a phone with its helpers in use. */
async function publicCard(address: string): Promise<void> {
  const canvas = createCanvas(DESK.width + PHONE.width, 1400);
  const context = canvas.getContext('2d');
  const draw = async (x: number) =>
    context.drawImage(await loadImage(await page.screenshot()), x, 0);
  await page.setViewportSize({ ...DESK, height: 1400 });
  await open(`${address}/de/`);
  await draw(0);
  await page.setViewportSize({ ...PHONE, height: 1400 });
  await open(
    `${address}/en/?roasted=${new Date(Date.now() - 15 * DAY_MS).toISOString().slice(0, 10)}`,
  );
  const shot = page.locator('[data-helper="shot"]');
  await shot.locator('summary').click();
  await shot.locator('[name="timeS"]').fill('20');
  await shot.locator('[name="yieldG"]').fill('40');
  await shot.locator('[name="taste"]').selectOption('sour');
  await shot.locator('button[type="submit"]').click();
  await page.getByText(/Shot 1:/).waitFor();
  await draw(DESK.width);
  await page.setViewportSize(DESK);
  writeFileSync(`${FOLDER}/public-card.png`, canvas.toBuffer('image/png'));
}

await browser.close();
await server.close();
