/**
 * The published card on paper: one page, its font embedded, with a QR code to the public page. The
 * words are those of `cardLines`, so paper and page cannot say different things. A long card is set
 * smaller, and on a larger sheet, until it fits.
 */
import { figure } from '@/core/figure';
import { join } from 'node:path';
import PDFDocument from 'pdfkit';
import { dayWords } from '@/core/dayWords';
import { wordsIn } from '@/core/language/words';
import { linesOf, remembered, type WidthOf } from './textLines';
import { outlineOf } from '@/core/programme/outline';
import type { Programme } from '@/core/programme/step';
import { qrSquares } from './qrCode';
import { CARD_FACTS, CARD_FIGURES, CARD_SENSES, cardLines, coffeeWords } from './recipe/lines';
import type { RecipeBody } from './recipe/document';

const FONT_FOLDER = join(/* turbopackIgnore: true */ process.cwd(), 'src/formats/fonts');
const FONTS = {
  text: join(FONT_FOLDER, 'Archivo-Regular.ttf'),
  strong: join(FONT_FOLDER, 'Archivo-SemiBold.ttf'),
} as const;

/** Sheets and sizes tried in turn, from the handiest to one that holds any card. */
const TRIALS = [
  { size: 'A5', scales: [1.16, 1.08, 1, 0.94, 0.88, 0.82, 0.76, 0.7] },
  { size: 'A4', scales: [1, 0.9, 0.8, 0.7, 0.6, 0.5, 0.4] },
] as const;

const MARGIN_PT = 30;
const INK = '#10201a';
const SOFT = '#46574f';
const PLATE = '#12302a';
const PLATE_INK = '#eef5f1';

/** Copied text must be the text: no ligatures. */
const PLAIN = {
  liga: false,
  dlig: false,
  clig: false,
} as unknown as PDFKit.Mixins.OpenTypeFeatures[];

/** The bytes of the card of a published body; `address` is what the code leads to. */
export async function cardPdf(body: RecipeBody, address: string): Promise<Uint8Array<ArrayBuffer>> {
  const { size, scale } = fittingSheet(body, address);
  const { doc, bytes } = openPage(body, size);
  drawCard({ page: PAGES[size], scale, doc }, body, address);
  doc.end();
  return bytes;
}

/** The largest setting that holds the card: measured, not drawn. */
function fittingSheet(body: RecipeBody, address: string) {
  for (const { size, scales } of TRIALS)
    for (const scale of scales) {
      const page = PAGES[size];
      const endsAt = drawCard({ page, scale, doc: null }, body, address);
      if (endsAt <= page.height - MARGIN_PT) return { size, scale };
    }
  throw new Error('Broken invariant: a card within its limits fits the largest sheet');
}

type Lines = ReturnType<typeof cardLines>;

interface Sheet {
  readonly page: Page;
  readonly scale: number;
  /** What is drawn on; null where only the height is asked for. */
  readonly doc: PDFKit.PDFDocument | null;
}

interface Page {
  readonly width: number;
  readonly height: number;
}

/** ISO 216, in points. */
const PAGES = {
  A5: { width: 419.53, height: 595.28 },
  A4: { width: 595.28, height: 841.89 },
} as const satisfies Record<string, Page>;

interface Font {
  readonly widthOf: WidthOf;
  /** Of one point of size. */
  readonly lineHeight: number;
}

let fonts: Readonly<Record<keyof typeof FONTS, Font>> | undefined;

/** The fonts as they measure; read once. */
function fontOf(isStrong: boolean): Font {
  fonts ??= { text: measured(FONTS.text), strong: measured(FONTS.strong) };
  return isStrong ? fonts.strong : fonts.text;
}

/** Asked at a large size, so that rounding does not count. */
const ASKED_PT = 1000;

function measured(path: string): Font {
  const doc = new PDFDocument({ font: path }).fontSize(ASKED_PT);
  return {
    widthOf: remembered((text) => doc.widthOfString(text, { features: PLAIN }) / ASKED_PT),
    lineHeight: doc.currentLineHeight(true) / ASKED_PT,
  };
}

function openPage(body: RecipeBody, size: 'A5' | 'A4') {
  const doc = new PDFDocument({
    size,
    margin: MARGIN_PT,
    font: FONTS.text,
    // Text that runs over is measured and set again smaller, never put on a second page.
    autoFirstPage: false,
    info: {
      Title: `${body.coffee.name}, version ${body.version}`,
      Author: body.roastery,
      CreationDate: new Date(`${body.publishedOn}T00:00:00Z`),
    },
  });
  doc.addPage({ size, margins: { top: MARGIN_PT, left: MARGIN_PT, right: MARGIN_PT, bottom: 0 } });
  const chunks: Buffer[] = [];
  const bytes = new Promise<Uint8Array<ArrayBuffer>>((resolve, reject) => {
    doc.on('data', (chunk: Buffer) => chunks.push(chunk));
    doc.on('end', () => resolve(new Uint8Array(Buffer.concat(chunks))));
    doc.on('error', reject);
  });
  return { doc, bytes };
}

/** Draws the whole card and answers where it ends, in points from the top. */
function drawCard(sheet: Sheet, body: RecipeBody, address: string): number {
  const lines = cardLines(body);
  const left = MARGIN_PT;
  const width = sheet.page.width - 2 * MARGIN_PT;
  let y = MARGIN_PT;
  y = say(sheet, body.roastery, { x: left, y, width, size: 9, colour: SOFT });
  y = say(sheet, body.coffee.name, { x: left, y, width, size: 20, strong: true });
  y = say(sheet, coffeeWords(body), { x: left, y: y + 2, width, size: 9, colour: SOFT });
  y = drawPlate(sheet, lines, { x: left, y: y + 10, width }) + 10;
  y = drawFacts(sheet, lines, { x: left, y, width }) + 10;
  y = drawProgramme(sheet, body.recipe.steps, { x: left, y, width });
  y = drawSenses(sheet, lines, { x: left, y, width }) + 12;
  return drawFoot(sheet, body, address, { x: left, y, width });
}

interface Place {
  readonly x: number;
  readonly y: number;
  readonly width: number;
}

interface Set extends Place {
  readonly size: number;
  readonly strong?: boolean;
  readonly colour?: string;
}

/** How a text would stand: its lines, and the height of one. */
function setOf(scale: number, text: string, { width, size, strong = false }: Set) {
  const { widthOf, lineHeight } = fontOf(strong);
  const points = size * scale;
  return { lines: linesOf(text, width / points, widthOf), lineHeight: lineHeight * points, points };
}

/** Sets a text and answers the y under it. */
function say({ doc, scale, page }: Sheet, text: string, set: Set): number {
  if (text === '') return set.y;
  const { lines, lineHeight, points } = setOf(scale, text, set);
  doc
    ?.font(set.strong ? FONTS.strong : FONTS.text)
    .fontSize(points)
    .fillColor(set.colour ?? INK);
  for (const [i, line] of lines.entries()) {
    const y = set.y + i * lineHeight;
    // What runs over is measured, not shown.
    if (y + lineHeight < page.height)
      doc?.text(line, set.x, y, { lineBreak: false, features: PLAIN });
  }
  return set.y + lines.length * lineHeight;
}

function drawPlate(sheet: Sheet, lines: Lines, { x, y, width }: Place): number {
  const { doc, scale } = sheet;
  const cell = width / CARD_FIGURES.length;
  const pad = 8;
  const figure = { x, y, width: cell - pad, size: 11, strong: true };
  const heights = CARD_FIGURES.map((name) => {
    const { lines: set, lineHeight } = setOf(scale, lines[name], figure);
    return set.length * lineHeight;
  });
  const height = Math.max(...heights) + 14 * scale + 2 * pad;
  doc?.roundedRect(x, y, width, height, 3).fill(PLATE);
  CARD_FIGURES.forEach((name, i) => {
    const at = { x: x + i * cell + pad, width: cell - pad };
    const under = say(sheet, name, { ...at, y: y + pad, size: 8, colour: PLATE_INK });
    say(sheet, lines[name], {
      ...at,
      y: under + 2,
      size: 11,
      strong: true,
      colour: PLATE_INK,
    });
  });
  return y + height;
}

function drawFacts(sheet: Sheet, lines: Lines, { x, y, width }: Place): number {
  const labelWidth = 92 * sheet.scale;
  let at = y;
  for (const name of CARD_FACTS) {
    const value = lines[name];
    if (!value) continue;
    const below = say(sheet, name, { x, y: at, width: labelWidth, size: 8.5, colour: SOFT });
    const end = say(sheet, value, { x: x + labelWidth, y: at, width: width - labelWidth, size: 9 });
    at = Math.max(below, end) + 2;
  }
  return at;
}

const PROGRAMME_PT = 40;

/** The steps as they are drawn on the screen; one flat step needs no drawing. */
function drawProgramme(sheet: Sheet, steps: Programme | undefined, { x, y, width }: Place): number {
  if (!steps || steps.length < 2) return y;
  const { doc, scale } = sheet;
  const height = PROGRAMME_PT * scale;
  const { treads, untilS, lanes } = outlineOf(steps, { x, y, width, height });
  for (const { area, edge, limit, isPause } of treads) {
    if (!doc) break;
    if (!isPause) doc.path(area).fillOpacity(0.12).fill(INK).fillOpacity(1);
    doc.path(edge).lineWidth(1.4).strokeColor(INK);
    if (isPause) doc.dash(1, { space: 3 });
    doc.stroke().undash();
    if (limit) doc.path(limit).lineWidth(0.7).dash(4, { space: 2 }).stroke().undash();
  }
  const lanesSaid = lanes.length > 1 ? 'pressure above, flow below' : lanes[0]!.drive;
  const caption = `${figure(untilS, 0)} s of programme: ${lanesSaid}`;
  return say(sheet, caption, { x, y: y + height + 2, width, size: 7.5, colour: SOFT }) + 8;
}

function drawSenses(sheet: Sheet, lines: Lines, { x, y, width }: Place): number {
  const gap = 12;
  const cell = (width - 2 * gap) / 3;
  const ends = CARD_SENSES.map((name, i) => {
    const at = { x: x + i * (cell + gap), width: cell };
    sheet.doc?.rect(at.x, y, cell, 2).fill(INK);
    const under = say(sheet, name, { ...at, y: y + 6, size: 9, strong: true });
    return say(sheet, lines[name], { ...at, y: under + 2, size: 9 });
  });
  return Math.max(...ends);
}

const CODE_PT = 74;

function drawFoot(sheet: Sheet, body: RecipeBody, address: string, { x, y, width }: Place): number {
  if (sheet.doc) drawCode(sheet.doc, address, { x: x + width - CODE_PT, y });
  const textWidth = width - CODE_PT - 14;
  const version = `Version ${body.version}, ${dayWords(body.publishedOn)}. ${cardLines(body).Repeated}`;
  let at = say(sheet, version, { x, y, width: textWidth, size: 8.5, strong: true });
  if (body.whatChanged)
    at = say(sheet, `What changed and why: ${body.whatChanged}`, {
      x,
      y: at + 2,
      width: textWidth,
      size: 8.5,
    });
  at = say(sheet, `Newest version: ${address}`, {
    x,
    y: at + 2,
    width: textWidth,
    size: 8,
    colour: SOFT,
  });
  at = say(sheet, wordsIn('en').caution, {
    x,
    y: at + 3,
    width: textWidth,
    size: 7.5,
    colour: SOFT,
  });
  return Math.max(at, y + CODE_PT);
}

function drawCode(
  doc: PDFKit.PDFDocument,
  address: string,
  { x, y }: { x: number; y: number },
): void {
  const { size, path } = qrSquares(address);
  doc
    .save()
    .translate(x, y)
    .scale(CODE_PT / size)
    .path(path)
    .fill(INK)
    .restore();
}
