/** The card for a bag, A6 on both sides: the figures and today's phase in front, taste and cautions behind. */
import { dayIn } from '@/words/figures';
import { cardWords } from '@/words/cardWords';
import { CARD_FIGURES, CARD_SENSES, cardLines, coffeeWords } from '../recipe/lines';
import { milkIn, phasesIn } from '../recipe/sections';
import { factsOf, type ToPrint } from './card';
import { batchAddress } from './batchAddress';
import { drawCode, drawHeading, drawPlate, drawRows } from './parts';
import { pdfOf } from './pdfPen';
import { fitting, mm, PAGES, say, SOFT, type PaperSheet } from './sheet';

const SCALES = [1, 0.94, 0.88, 0.82, 0.76, 0.7, 0.64, 0.58, 0.52, 0.46, 0.4, 0.34, 0.3];
const MARGIN = mm(7);
const CODE = mm(24);
const [WIDTH, HEIGHT] = PAGES.A6;

/** Front and back of one card. */
export async function bagCardPdf(asked: ToPrint): Promise<Uint8Array<ArrayBuffer>> {
  const sideFits = (draw: typeof drawFront) =>
    fitting(
      SCALES,
      (scale) => draw({ pen: null, scale, height: HEIGHT }, asked),
      () => HEIGHT - MARGIN,
    );
  const [front, back] = [sideFits(drawFront), sideFits(drawBack)];
  return pdfOf({ ...factsOf(asked), size: PAGES.A6 }, (pen) => {
    drawFront({ pen, scale: front, height: HEIGHT }, asked);
    pen.turnPage();
    drawBack({ pen, scale: back, height: HEIGHT }, asked);
  });
}

function drawFront(sheet: PaperSheet, { body, address, language }: ToPrint): number {
  const lines = cardLines(body, language);
  const words = cardWords(language);
  const at = { x: MARGIN, width: WIDTH - 2 * MARGIN };
  let y = say(sheet, body.roastery, { ...at, y: MARGIN, size: 8.5, colour: SOFT });
  y = say(sheet, body.coffee.name, { ...at, y, size: 19, isStrong: true, role: 'H1' });
  y = say(sheet, coffeeWords(body, language), { ...at, y: y + 2, size: 8, colour: SOFT });
  const figures = CARD_FIGURES.map((name) => ({
    label: words(`labels.${name}`),
    value: lines[name],
  }));
  // Two rows of two: a bag's card is narrow.
  y = drawPlate(sheet, figures, { ...at, y: y + 8, columns: 2 }) + 8;
  const phases = phasesIn(body, language);
  if (phases) {
    y = drawHeading(sheet, words('phases.title'), { ...at, y });
    const rows = phases.rows.map(({ days, grind }) => ({ label: days, value: grind }));
    y = drawRows(sheet, rows, { ...at, y, size: 8.5, labelPt: 70 }) + 4;
  }
  const milk = milkIn(body, language);
  const rows = (['Ratio', 'Programme', 'Basket', 'Rest'] as const).map((name) => ({
    label: words(`labels.${name}`),
    value: lines[name],
  }));
  const inMilk = milk === '' ? [] : [{ label: words('card.inMilk'), value: milk }];
  y = drawRows(sheet, [...rows, ...inMilk], { ...at, y, size: 8, labelPt: 70 }) + 6;
  const roasted = `${words('card.roastedOn')} ${dayIn(language, body.coffee.roastDate)}`;
  const beside = { x: MARGIN, width: at.width - CODE - 10 };
  drawCode(sheet, batchAddress(address, body), { x: WIDTH - MARGIN - CODE, y, side: CODE });
  let end = say(sheet, roasted, { ...beside, y, size: 9, isStrong: true });
  end = say(
    sheet,
    `${words('version', { number: body.version, day: dayIn(language, body.publishedOn) })}`,
    {
      ...beside,
      y: end + 2,
      size: 8,
    },
  );
  return Math.max(end, y + CODE);
}

function drawBack(sheet: PaperSheet, { body, address, language }: ToPrint): number {
  const lines = cardLines(body, language);
  const words = cardWords(language);
  const at = { x: MARGIN, width: WIDTH - 2 * MARGIN };
  let y = MARGIN;
  const found = lines['Look for'];
  if (found !== '') {
    y = drawHeading(sheet, words('labels.Look for'), { ...at, y });
    y = say(sheet, found, { ...at, y, size: 9 }) + 6;
  }
  for (const name of CARD_SENSES) {
    y = drawHeading(sheet, words(`labels.${name}`), { ...at, y });
    y = say(sheet, lines[name], { ...at, y, size: 9 }) + 6;
  }
  if (lines.Contains !== '') {
    y = drawHeading(sheet, words('labels.Contains'), { ...at, y });
    y = say(sheet, lines.Contains, { ...at, y, size: 8.5 }) + 6;
  }
  y = say(sheet, `${words('newest')}: ${address}`, { ...at, y, size: 8, colour: SOFT });
  return say(sheet, words('caution'), { ...at, y: y + 3, size: 7.5, colour: SOFT });
}
