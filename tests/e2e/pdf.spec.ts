/** The card on paper: one page, its own font, and word for word the published recipe. */
import { expect, test } from '../support/browserTest';
import { bagCardPdf } from '@/formats/paper/bagCard';
import { cafeSheetPdf } from '@/formats/paper/cafeSheet';
import { cardPdf } from '@/formats/paper/card';
import { shelfLabelPdf } from '@/formats/paper/shelfLabel';
import type { RecipeBody } from '@/formats/recipe/document';
import { readDocument } from '@/formats/recipe/readers';
import {
  CARD_FACTS,
  CARD_FIGURES,
  CARD_SENSES,
  cardLines,
  coffeeWords,
} from '@/formats/recipe/lines';
import { openRelease } from '../support/openRelease';
import { readPdf, squeezed } from '../support/readPdf';
import type { RunningServer } from '../support/server';
import { signIn } from '../support/signIn';

let server: RunningServer;
test.beforeAll(async ({ demoHouse }) => {
  server = await demoHouse.asMade();
});

function expectWords(text: string, body: RecipeBody, address: string): void {
  const lines = cardLines(body);
  for (const name of [...CARD_FIGURES, ...CARD_FACTS, ...CARD_SENSES])
    expect(text, name).toContain(squeezed(lines[name]));
  for (const words of [body.roastery, body.coffee.name, coffeeWords(body), address, lines.Repeated])
    expect(text).toContain(squeezed(words));
  expect(text).toContain(squeezed(`Version ${body.version}`));
  expect(text).toContain(squeezed('wait for the pressure to vent'));
}

test('the published card on paper says what the recipe document says', async ({ page }) => {
  await signIn(page, server.url);
  await openRelease(page, server.url, 'Harbour Lamp', 'publish');
  const card = (await page
    .getByRole('link', { name: 'Open the public page' })
    .getAttribute('href'))!;
  const { body } = readDocument(
    await (await page.request.get(`${server.url}${card}/recipe.json`)).text(),
  );
  const response = await page.request.get(`${server.url}${card}/card.pdf`);
  expect(response.headers()['content-type']).toBe('application/pdf');
  const bytes = new Uint8Array(await response.body());
  const { pages, text } = await readPdf(bytes);
  expect(pages).toBe(1);
  expectWords(text, body, `${server.url}${card}`);
  const raw = Buffer.from(bytes).toString('latin1');
  expect(raw).toMatch(/\/FontFile2/);
  expect(raw).toMatch(/Archivo/);

  await test.step('bag card, shelf label and café sheet say its figures, tagged, in its language', async () => {
    for (const [path, pagesWanted] of [
      ['bag.pdf', 2],
      ['label.pdf', 1],
      ['sheet.pdf', 1],
    ] as const)
      for (const language of ['en', 'de', 'pt'] as const) {
        const answer = await page.request.get(`${server.url}${card}/${language}/${path}`);
        const paper = new Uint8Array(await answer.body());
        const { pages: count, text: said, isTagged, lang } = await readPdf(paper);
        expect([path, count, isTagged, lang?.slice(0, 2)]).toEqual([
          path,
          pagesWanted,
          true,
          language,
        ]);
        const lines = cardLines(body, language);
        for (const name of CARD_FIGURES) expect(said, path).toContain(squeezed(lines[name]));
        expect(said).toContain(squeezed(body.coffee.name));
      }
    const picture = await page.request.get(`${server.url}${card}/card.png`);
    expect((await picture.body()).subarray(1, 4).toString()).toBe('PNG');
  });

  await test.step('names beyond Latin stand on paper in fonts of their own', async () => {
    const name = 'ሲዳማ 埼玉 Сидамо 서울';
    const named = { ...body, coffee: { ...body.coffee, name } };
    const asked = { body: named, address: `${server.url}${card}`, language: 'en' } as const;
    for (const draw of [cardPdf, bagCardPdf, shelfLabelPdf])
      expect((await readPdf(await draw(asked))).text).toContain(squeezed(name));
  });

  await test.step('the longest card a house can write still fits one page', async () => {
    const long = (length: number) => 'Wörter über Łódź, '.repeat(length / 18 + 1).slice(0, length);
    const [component] = body.coffee.components;
    const longest: RecipeBody = {
      ...body,
      coffee: {
        ...body.coffee,
        name: long(80),
        promisedNotes: Array.from({ length: 12 }, () => long(40).trim()),
        components: Array.from({ length: 12 }, () => ({
          ...component!,
          producer: long(80).trim(),
          region: long(80).trim(),
          variety: long(80).trim(),
        })),
      },
      sensory: { right: long(400), short: long(400), long: long(400) },
      whatChanged: long(400),
    };
    const asked = { body: longest, address: `${server.url}${card}`, language: 'de' } as const;
    const [bag, label, sheet] = await Promise.all([
      bagCardPdf(asked),
      shelfLabelPdf(asked),
      cafeSheetPdf([asked, asked, asked]),
    ]);
    for (const [paper, pagesWanted] of [
      [bag, 2],
      [label, 1],
      [sheet, 1],
    ] as const) {
      const { pages: count, text: said } = await readPdf(paper);
      expect(count).toBe(pagesWanted);
      expect(said).toContain(squeezed(longest.coffee.name));
    }
    const full = await readPdf(
      await cardPdf({ body: longest, address: `${server.url}${card}`, language: 'en' }),
    );
    expect(full.pages).toBe(1);
    expectWords(full.text, longest, `${server.url}${card}`);
  });
});
