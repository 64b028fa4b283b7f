/**
 * The café's sheet, A4: for up to three coffees the day's targets at its three checks, and an empty log to write into.
 * Whoever has no phone at hand checks on paper.
 */
import { dayIn } from '@/words/figures';
import { cardWords } from '@/words/cardWords';
import { CARD_FIGURES, cardLines } from '../recipe/lines';
import { phasesIn } from '../recipe/sections';
import { batchAddress } from './batchAddress';
import { factsOf, type ToPrint } from './card';
import { drawCode, drawPlate } from './parts';
import { pdfOf } from './pdfPen';
import { fitting, mm, PAGES, RULE, say, SOFT, type PaperBox, type PaperSheet } from './sheet';

export const MOST_COFFEES = 3;

const [WIDTH, HEIGHT] = PAGES.A4;
const MARGIN = mm(12);
const CODE = mm(18);
/** Checks of a day, and room for as many shots again. */
const LOG_ROWS = 5;
/** What the first rows are for. */
const CHECKS = ['sheet.checks.0', 'sheet.checks.1', 'sheet.checks.2'] as const;
const ROW = mm(7.5);
const SCALES = [1, 0.92, 0.84, 0.76, 0.68, 0.6, 0.52, 0.44, 0.36, 0.3];

export async function cafeSheetPdf(cards: readonly ToPrint[]): Promise<Uint8Array<ArrayBuffer>> {
  const shown = cards.slice(0, MOST_COFFEES);
  const scale = fitting(
    SCALES,
    (one) => drawSheet({ pen: null, scale: one, height: HEIGHT }, shown),
    () => HEIGHT - MARGIN,
  );
  const [first] = shown;
  const title = shown.map(({ body }) => body.coffee.name).join(', ');
  return pdfOf({ ...factsOf(first!), title, size: PAGES.A4 }, (pen) => {
    drawSheet({ pen, scale, height: HEIGHT }, shown);
  });
}

function drawSheet(sheet: PaperSheet, cards: readonly ToPrint[]): number {
  const [{ body, language }] = cards as [ToPrint];
  const words = cardWords(language);
  const at = { x: MARGIN, width: WIDTH - 2 * MARGIN };
  let y = say(sheet, body.roastery, { ...at, y: MARGIN, size: 9, colour: SOFT });
  y = say(sheet, words('sheet.title'), { ...at, y, size: 17, isStrong: true, role: 'H1' });
  y = say(sheet, words('sheet.blanks'), { ...at, y: y + 4, size: 10 }) + 8;
  for (const card of cards) y = drawCoffee(sheet, card, { ...at, y }) + 12;
  return say(sheet, cardWords(language)('caution'), { ...at, y, size: 7.5, colour: SOFT });
}

function drawCoffee(
  sheet: PaperSheet,
  { body, address, language }: ToPrint,
  place: PaperBox,
): number {
  const words = cardWords(language);
  const lines = cardLines(body, language);
  const { x, width } = place;
  const beside = { x, width: width - CODE - 12 };
  drawCode(sheet, batchAddress(address, body), { x: x + width - CODE, y: place.y, side: CODE });
  let y = say(sheet, body.coffee.name, {
    ...beside,
    y: place.y,
    size: 13,
    isStrong: true,
    role: 'H2',
  });
  const roasted = `${words('card.roastedOn')} ${dayIn(language, body.coffee.roastDate)}. ${words('version', { number: body.version, day: dayIn(language, body.publishedOn) })}`;
  y = say(sheet, roasted, { ...beside, y, size: 8.5, colour: SOFT }) + 4;
  const figures = CARD_FIGURES.map((name) => ({
    label: words(`labels.${name}`),
    value: lines[name],
  }));
  y = drawPlate(sheet, figures, { ...beside, y }) + 4;
  const phases = phasesIn(body, language);
  const ageing = (phases?.rows ?? []).map(({ days, grind }) => `${days}: ${grind}`).join('; ');
  const notes = [lines.Tolerances, ageing].filter((one) => one !== '').join('. ');
  y = say(sheet, notes, { ...beside, y, size: 8.5 });
  y = Math.max(y, place.y + CODE) + 5;
  return drawLog(sheet, language, { x, y, width });
}

/** Empty rows, the first three for the day's checks. */
function drawLog(
  sheet: PaperSheet,
  language: ToPrint['language'],
  { x, y, width }: PaperBox,
): number {
  const words = cardWords(language);
  const { pen, scale } = sheet;
  const columns = [
    words('sheet.check'),
    words('sheet.dose'),
    words('sheet.out'),
    words('sheet.time'),
    words('sheet.dial'),
    words('sheet.taste'),
  ];
  const shares = [0.2, 0.12, 0.12, 0.12, 0.14, 0.3];
  const lefts = shares.map((_, i) => x + width * shares.slice(0, i).reduce((sum, s) => sum + s, 0));
  const heads = columns.map((label, i) =>
    say(sheet, label, { x: lefts[i]!, y, width: width * shares[i]! - 4, size: 8, colour: SOFT }),
  );
  let at = Math.max(...heads) + 2;
  const row = ROW * scale;
  for (let i = 0; i < LOG_ROWS; i++) {
    pen?.box({ x, y: at, width, height: 0.6 }, { fill: RULE });
    const check = CHECKS[i];
    if (check) say(sheet, words(check), { x, y: at + 4, width: width * shares[0]! - 4, size: 8.5 });
    at += row;
  }
  pen?.box({ x, y: at, width, height: 0.6 }, { fill: RULE });
  return at + 2;
}
