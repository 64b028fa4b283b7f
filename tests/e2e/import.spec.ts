/** A house that comes with spreadsheets: mapping, dry run, mending, all rows or none. */
import { expect, test, type Page } from '../support/browserTest';
import Papa from 'papaparse';
import { openPage, openRelease } from '../support/openRelease';
import type { RunningServer } from '../support/server';
import { signIn } from '../support/signIn';

let server: RunningServer;
test.beforeAll(async ({ demoHouse }) => {
  server = await demoHouse.asMade();
});
test.beforeEach(async ({ page }) => {
  await signIn(page, server.url);
  await openPage(page, `${server.url}/import`);
});

const RELEASES = 200;
const DAY_MS = 86_400_000;

/** Two hundred releases with semicolons, decimal commas and days first, as spreadsheets here have them. */
function sheet(changes: Readonly<Record<number, (row: string) => string>> = {}): string {
  const rows = Array.from({ length: RELEASES }, (_, i) => {
    const day = new Date(Date.now() - (2 + 3 * (i % 90)) * DAY_MS);
    const roasted = `${day.getDate()}.${day.getMonth() + 1}.${day.getFullYear()}`;
    const process = i % 2 ? 'Washed' : 'Natural';
    const row = `Lot ${i + 1};${roasted};Medium-light;${85 + (i % 7)},5;Peru;${process};${1500 + i};400;plum, cane sugar`;
    return changes[i + 2]?.(row) ?? row;
  });
  const header =
    'Coffee;Roasted on;Roast;Ground colour;Country;Process;Elevation;Sample g;Tasting notes';
  return `${header}\r\n${rows.join('\r\n')}\r\n`;
}

async function choose(page: Page, content: string | Buffer, name = 'lots.csv'): Promise<void> {
  const buffer = typeof content === 'string' ? Buffer.from(content) : content;
  await page.setInputFiles('input[type=file]', { name, mimeType: 'text/csv', buffer });
}

/** How many releases the house exports. */
async function releasesKept(page: Page): Promise<number> {
  const exported = await page.request.get(`${server.url}/api/exports/releases`);
  const { data } = Papa.parse<Record<string, string>>(await exported.text(), { header: true });
  return new Set(data.flatMap(({ release }) => release ?? [])).size;
}

test('two hundred releases come in once two faults are mended', async ({ page }) => {
  const before = await releasesKept(page);
  await choose(
    page,
    sheet({
      18: (row) => row.replace(/Natural|Washed/, 'Natrual'),
      103: (row) => row.replace(/;16\d\d;/, ';16010;'),
    }),
  );
  await expect(page.getByText('200 rows, separated by semicolons')).toBeVisible();
  await expect(page.getByLabel('Altitude, m')).toHaveValue('Elevation');
  await expect(page.getByLabel('Days are written')).toHaveValue('dmy');
  await page.getByRole('button', { name: 'Check every row' }).press('Enter');
  await expect(page.getByText('2 faults in 200 rows; nothing is stored')).toBeVisible();
  await expect(page.getByRole('row', { name: /^18 Process “Natrual” is not known/ })).toBeVisible();
  await expect(
    page.getByRole('row', { name: /^103 Elevation Altitude 16010 m is outside 0-3500 m/ }),
  ).toBeVisible();

  await choose(page, sheet());
  await expect(page.getByText('2 faults')).toHaveCount(0);
  await page.getByRole('button', { name: 'Check every row' }).press('Enter');
  await expect(page.getByText(/All 200 rows are right: 200 new releases/)).toBeVisible();
  await page.getByRole('button', { name: 'Take all of it' }).press('Enter');
  await expect(
    page.getByText('In the house now: 200 new releases, 200 new batches.'),
  ).toBeVisible();
  expect(await releasesKept(page)).toBe(before + RELEASES);
  await openRelease(page, server.url, 'Lot 8', 'read');
  const facts = page.getByLabel('Coffee', { exact: true });
  await expect(facts).toContainText('Peru');
  await expect(facts).toContainText('1507 m');
  await expect(facts).toContainText('washed');
  await expect(facts).toContainText('400 g');

  await test.step('the same sheet again changes nothing', async () => {
    await openPage(page, `${server.url}/import`);
    await choose(page, sheet());
    await page.getByRole('button', { name: 'Check every row' }).press('Enter');
    await expect(page.getByText(/0 new batches; 200 are here already/)).toBeVisible();
  });
});

test('the ticked releases are exported, at most a hundred at once', async ({ page }) => {
  const ticked = (count: number) =>
    page.request.get(
      `${server.url}/api/exports/releases?releases=${Array<string>(count).fill('0'.repeat(32)).join(',')}`,
    );
  // As many as a screen lets be ticked for it pass the gate; none of them is here, so the header stands alone.
  expect((await (await ticked(100)).text()).trim().split('\n')).toHaveLength(1);
  const tooMany = await ticked(101);
  expect(tooMany.status()).toBe(400);
  expect(await tooMany.text()).toContain('at most 100 releases');
});

test('files that cannot be read are refused with what to do, and nothing is stored', async ({
  page,
}) => {
  const before = await releasesKept(page);
  const refused: [string | Buffer, RegExp][] = [
    [Buffer.from([0x61, 0x2c, 0xed, 0x0a, 0x31, 0x0a]), /not in UTF-8.*Save it again/],
    ['just words', /no rows under its header/],
    [`release,roast_date\n${'x,2026-01-01\n'.repeat(50_000)}`, /50000 rows; 5000 are taken/],
    [Buffer.alloc(6_000_000, 'a,b\n'), /over 5 MB/],
    ['Release,Roast date\nOld Mill,2026-01-01,9,8\n', /Row 2 goes on beyond the last heading/],
  ];
  for (const [content, words] of refused) {
    await choose(page, content);
    await expect(page.getByRole('alert').filter({ hasText: words })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Check every row' })).toHaveCount(0);
  }
  // Pasted rows are read as a file is, and refused in the same words.
  await openPage(page, `${server.url}/import`);
  const pasted = page.getByLabel('Or paste rows from a spreadsheet');
  await pasted.fill('Release\tRoast date\nOld Mill\t2026-01-01\tmore\n');
  await page.getByRole('button', { name: 'Read these rows' }).click();
  await expect(page.getByText(/Row 2 goes on beyond the last heading/)).toBeVisible();
  await pasted.fill('Release\tRoast date\nOld Mill\t2026-01-01\n');
  await page.getByRole('button', { name: 'Read these rows' }).click();
  await expect(page.getByText(/Which column is what: 1 rows?, separated by tabs/)).toBeVisible();
  await expect(page.getByLabel(/^Name of the release/)).toHaveValue('Release');
  await page.reload();
  await choose(page, 'colour,weight\nbrown,3\n');
  await page.getByRole('button', { name: 'Check every row' }).click();
  await expect(
    page
      .getByRole('alert')
      .filter({ hasText: /No column is chosen for name of the release.*it has colour/ }),
  ).toBeVisible();
  await page.reload();
  expect(await releasesKept(page)).toBe(before);
});

/** Shots as an American spreadsheet has them: ounces, °F, month first, one a minute. */
function shotSheet(count: number): string {
  const row = (i: number) => {
    const clock = `${9 + Math.floor(i / 60)}:${String(i % 60).padStart(2, '0')}`;
    return `Monte Calado,Window bench,${clock},17,0.63,1.3,199.4,${(26 + (i % 30) / 10).toFixed(1)}`;
  };
  const day = new Date(Date.now() - 19 * DAY_MS);
  const date = `${day.getMonth() + 1}/${day.getDate()}/${day.getFullYear()}`;
  const rows = Array.from({ length: count }, (_, i) =>
    row(i % 540).replace(',17,', `,${date},17,`),
  );
  return ['Coffee,Setup,Hour,Date,Grind,Dose oz,Out oz,Temp F,Time', ...rows].join('\n');
}

test('shots in ounces and °F are recognised, confirmed, and stand on the bench in grams', async ({
  page,
}) => {
  await page.getByLabel('Shots', { exact: true }).check();
  await choose(page, shotSheet(40), 'shots.csv');
  await expect(page.getByLabel('Dose is')).toHaveValue('oz');
  await expect(page.getByLabel('Yield is')).toHaveValue('oz');
  await expect(page.getByLabel('Temperature is')).toHaveValue('F');
  await page.getByLabel('Days are written').selectOption('mdy');
  await page.getByRole('button', { name: 'Check every row' }).press('Enter');
  await expect(page.getByText(/All 40 rows are right: 40 new shots/)).toBeVisible();
  await page.getByRole('button', { name: 'Take all of it' }).press('Enter');
  await expect(page.getByText('In the house now: 40 new shots.')).toBeVisible();
  const exported = await page.request.get(`${server.url}/api/exports/shots`);
  const { data } = Papa.parse<Record<string, string>>(await exported.text(), { header: true });
  const ours = data.filter((row) => row.dose === '17.86' && row.yield === '36.85');
  expect(ours).toHaveLength(40);
  expect(ours[0]).toMatchObject({ dial: '17', temperature: '93' });
});

test('five thousand rows say how far they are, and stop when told', async ({ page }) => {
  await page.getByLabel('Shots', { exact: true }).check();
  await choose(page, shotSheet(5000), 'years.csv');
  await page.getByLabel('Days are written').selectOption('mdy');
  // The line is slow: what comes after its first lines waits until somebody pressed Stop.
  await page.evaluate(() => {
    const stopped = new Promise((resolve) => {
      document.addEventListener('keydown', ({ target }) => {
        if ((target as Element).textContent === 'Stop') resolve(undefined);
      });
    });
    const fetchAtOnce = window.fetch;
    window.fetch = async (address, options) => {
      const response = await fetchAtOnce(address, options);
      if (!String(address).includes('/api/imports') || !response.body) return response;
      const slowly = new TransformStream<Uint8Array, Uint8Array>({
        transform: async (chunk, line) => {
          line.enqueue(chunk);
          await stopped;
        },
      });
      return new Response(response.body.pipeThrough(slowly), response);
    };
  });
  await page.getByRole('button', { name: 'Check every row' }).press('Enter');
  await expect(page.getByText(/\d+ of 5000 rows/)).toBeVisible();
  await page.getByRole('button', { name: 'Stop' }).press('Enter');
  await expect(page.getByText('Stopped. Nothing was stored.')).toBeVisible();
  await page.getByRole('button', { name: 'Check every row' }).press('Enter');
  await expect(page.getByText(/All 5000 rows are right/)).toBeVisible();
});
