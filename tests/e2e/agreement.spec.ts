/** The pages of the demo house read against each other: what one says of a coffee, all say. */
import { expect, test, type Page } from '../support/browserTest';
import { readDocument } from '@/formats/recipe/readers';
import { cardLines } from '@/formats/recipe/lines';
import { openPage } from '../support/openRelease';
import { readPdf, squeezed } from '../support/readPdf';
import type { RunningServer } from '../support/server';
import { signIn } from '../support/signIn';

let server: RunningServer;
test.beforeAll(async ({ demoHouse }) => {
  server = await demoHouse.asMade();
});

interface OpenCard {
  readonly path: string;
  readonly text: string;
}

/** What Open today says of each coffee that is dialled in, on its own batch. */
async function openCards(page: Page): Promise<OpenCard[]> {
  await openPage(page, `${server.url}/open`);
  const links = page.locator('main li > a');
  const cards: OpenCard[] = [];
  for (const link of await links.all()) {
    const path = (await link.getAttribute('href'))!.replace(/\/\w+$/, '');
    const text = (await link.innerText()).replaceAll('\u00a0', ' ').replaceAll('\n', ' ');
    if (/dial/.test(text) && !/last batch’s/.test(text)) cards.push({ path, text });
  }
  return cards;
}

const textOf = async (page: Page, label: string) =>
  (await page.getByLabel(label, { exact: true }).first().innerText())
    .replaceAll('\u00a0', ' ')
    .replaceAll('\n', ' ');

test('bench, tabs, Publish, Open today, Releases and all that is public say the same of every coffee', async ({
  page,
}) => {
  test.slow();
  await signIn(page, server.url);
  const cards = await openCards(page);
  expect(cards.length).toBeGreaterThan(6);
  const feed = await (await page.request.get(`${server.url}/feed.xml`)).text();
  const apart: string[] = [];
  const same = (what: string, of: string, a: unknown, b: unknown) => {
    if (JSON.stringify(a) !== JSON.stringify(b))
      apart.push(`${of}: ${what}: ${JSON.stringify(a)} against ${JSON.stringify(b)}`);
  };
  for (const { path, text } of cards) {
    await openPage(page, `${server.url}${path}/pull`);
    const plate = await textOf(page, 'Recipe in force');
    const tabs = await page.getByRole('navigation', { name: 'Stages' }).innerText();
    await openPage(page, `${server.url}${path}/publish`);
    const gates = await textOf(page, 'Readiness');
    const publish = await page.locator('main').innerText();
    const preview = await textOf(page, 'Preview of the card');

    const isOnTarget = /approved|on target/i.test(tabs);
    same('on target, tab and Open today', path, isOnTarget, /Approved|On target/.test(text));
    same('on target, tab and plate', path, isOnTarget, /^(Approved|On target)/.test(plate));
    same(
      'on target, tab and Publish',
      path,
      isOnTarget,
      /✓ stands\s+Repeated on target/.test(gates),
    );
    same('on target, tab and card', path, isOnTarget, /Repeated on target \d+ times/.test(preview));

    const masses = /(\d+\.\d) → (\d+\.\d) g/;
    same('masses, plate and Open today', path, masses.exec(plate)?.[0], masses.exec(text)?.[0]);
    const day = /day (\d+)/i;
    same('rest day, tab and Open today', path, day.exec(tabs)?.[1], day.exec(text)?.[1]);

    const differs = /public \(version \d+\): ([^.]|\.\d)+/.exec(text)?.[0].trim();
    same(
      'what is public, plate and Open today',
      path,
      differs !== undefined,
      /public \(/.test(plate),
    );
    if (differs) expect(plate).toContain(differs);
    const number = /version (\d+)/.exec(tabs)?.[1];
    same('version, tab and Publish', path, number, /Version (\d+) is public/.exec(publish)?.[1]);
    if (number === undefined) continue;
    const link = page.getByRole('link', { name: 'Open the public page' });
    const address = (await link.getAttribute('href'))!.replace(/\/$/, '');
    const get = async (rest: string) => page.request.get(`${server.url}${address}${rest}`);
    const card = (await (await get('/')).text()).replace(/<[^>]+>/g, ' ').replaceAll('\u00a0', ' ');
    expect(card, path).toMatch(new RegExp(`Version ${number}\\b`));
    const onCard = /public \(version \d+\): (?:[^.]*? )?(\d+\.\d) g(?! dose)/.exec(plate)?.[1];
    const publicYield = `${onCard ?? masses.exec(plate)![2]!} g`;
    expect(card, path).toContain(publicYield);

    // What leaves the house says what the card says.
    const { body } = readDocument(await (await get('/recipe.json')).text());
    same('version, tab and document', path, number, String(body.version));
    same('yield, card and document', path, publicYield, `${body.recipe.yieldG.toFixed(1)} g`);
    const { text: paper } = await readPdf(new Uint8Array(await (await get('/card.pdf')).body()));
    for (const words of [`Version ${number}`, publicYield, cardLines(body).Time])
      expect(paper, path).toContain(squeezed(words));
    const token = address.split('/').at(-1)!;
    const entry = feed.split('<entry>').find((one) => one.includes(`${token}:`)) ?? '';
    expect(entry, path).toContain(`version ${number}</title>`);
    expect(entry.replaceAll('\u00a0', ' '), path).toContain(publicYield);
    const name = body.coffee.name;
    await openPage(page, `${server.url}/releases?q=${encodeURIComponent(name)}`);
    const line = page.getByLabel('Releases').getByRole('row').filter({ hasText: name }).first();
    await expect(line, path).toContainText(`version ${number}, public`);
  }
  expect(apart).toEqual([]);
});
