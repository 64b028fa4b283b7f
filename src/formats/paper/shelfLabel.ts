/** A label for the shelf, 90 x 50 mm: the coffee, its four figures and a code with the batch. */
import { dayIn } from '@/words/figures';
import { cardWords } from '@/words/cardWords';
import { cardLines } from '../recipe/lines';
import { batchAddress } from './batchAddress';
import { factsOf, type ToPrint } from './card';
import { drawCode, drawRows } from './parts';
import { pdfOf } from './pdfPen';
import { fitting, mm, say, SOFT, type PaperSheet } from './sheet';

const SIZE = [mm(90), mm(50)] as const;
const MARGIN = mm(4);
const CODE = mm(22);
const SCALES = [1, 0.9, 0.8, 0.7, 0.6, 0.5, 0.42, 0.34, 0.28, 0.22, 0.18];
const FIGURES = ['Dose', 'In the cup', 'Time', 'Temperature'] as const;

export async function shelfLabelPdf(asked: ToPrint): Promise<Uint8Array<ArrayBuffer>> {
  const scale = fitting(
    SCALES,
    (one) => drawLabel({ pen: null, scale: one, height: SIZE[1] }, asked),
    () => SIZE[1] - MARGIN,
  );
  return pdfOf({ ...factsOf(asked), size: SIZE }, (pen) => {
    drawLabel({ pen, scale, height: SIZE[1] }, asked);
  });
}

function drawLabel(sheet: PaperSheet, { body, address, language }: ToPrint): number {
  const lines = cardLines(body, language);
  const words = cardWords(language);
  const at = { x: MARGIN, width: SIZE[0] - 2 * MARGIN - CODE - 8 };
  drawCode(sheet, batchAddress(address, body), {
    x: SIZE[0] - MARGIN - CODE,
    y: MARGIN,
    side: CODE,
  });
  let y = say(sheet, body.coffee.name, { ...at, y: MARGIN, size: 14, isStrong: true, role: 'H1' });
  y = say(sheet, body.roastery, { ...at, y, size: 7.5, colour: SOFT }) + 3;
  const rows = FIGURES.map((name) => ({ label: words(`labels.${name}`), value: lines[name] }));
  y = drawRows(sheet, rows, { ...at, y, size: 8.5, labelPt: 58 });
  const foot = `${words('card.roastedOn')} ${dayIn(language, body.coffee.roastDate)}. ${words('version', { number: body.version, day: dayIn(language, body.publishedOn) })}`;
  return Math.max(say(sheet, foot, { ...at, y: y + 2, size: 7.5 }), MARGIN + CODE);
}
