/** Parts that several papers draw: the plate, rows of label and words, the code, programmes. */
import { outlineOf } from '@/core/programme/outline';
import type { Programme } from '@/core/programme/step';
import { qrSquares } from '../qrCode';
import { INK, PLATE, PLATE_INK, say, setOf, SOFT, type PaperBox, type PaperSheet } from './sheet';

export interface Labelled {
  readonly label: string;
  readonly value: string;
}

/** The few figures a recipe stands on, on dark enamel, in rows of so many. */
export function drawPlate(
  sheet: PaperSheet,
  figures: readonly Labelled[],
  { x, y, width, columns = figures.length }: PaperBox & { readonly columns?: number },
): number {
  const cell = width / columns;
  const pad = 8 * sheet.scale;
  const heightOf = ({ label, value }: Labelled) => {
    const at = { x, y, width: cell - pad };
    const top = setOf(sheet.scale, label, { ...at, size: 8 });
    const under = setOf(sheet.scale, value, { ...at, size: 11, isStrong: true });
    return top.lines.length * top.lineHeight + under.lines.length * under.lineHeight + 2 + pad;
  };
  const rows = Array.from({ length: Math.ceil(figures.length / columns) }, (_, row) =>
    figures.slice(row * columns, (row + 1) * columns),
  );
  const heights = rows.map((row) => Math.max(...row.map(heightOf)));
  const height = heights.reduce((sum, one) => sum + one, pad);
  sheet.pen?.box({ x, y, width, height, radius: 3 }, { fill: PLATE });
  let top = y + pad;
  rows.forEach((row, r) => {
    row.forEach(({ label, value }, i) => {
      const at = { x: x + i * cell + pad, width: cell - pad, colour: PLATE_INK };
      const under = say(sheet, label, { ...at, y: top, size: 8 });
      say(sheet, value, { ...at, y: under + 2, size: 11, isStrong: true });
    });
    top += heights[r]!;
  });
  return y + height;
}

/** Label beside words, row by row. */
export function drawRows(
  sheet: PaperSheet,
  rows: readonly Labelled[],
  { x, y, width, labelPt = 92, size = 9 }: PaperBox & { labelPt?: number; size?: number },
): number {
  const labelWidth = labelPt * sheet.scale;
  let at = y;
  for (const { label, value } of rows) {
    if (value === '') continue;
    const below = say(sheet, label, {
      x,
      y: at,
      width: labelWidth - 4,
      size: size - 0.5,
      colour: SOFT,
    });
    const end = say(sheet, value, { x: x + labelWidth, y: at, width: width - labelWidth, size });
    at = Math.max(below, end) + 2;
  }
  return at;
}

/** A heading over what follows. */
export function drawHeading(
  sheet: PaperSheet,
  text: string,
  place: PaperBox & { size?: number },
): number {
  return say(sheet, text, { size: 9, ...place, isStrong: true, role: 'H2' }) + 2;
}

/** The code that leads to the page. */
export function drawCode(
  { pen }: PaperSheet,
  address: string,
  { x, y, side }: { x: number; y: number; side: number },
): void {
  const { size, path } = qrSquares(address);
  pen?.path(path, { fill: INK }, { x, y, scale: side / size });
}

const PROGRAMME_PT = 40;

/** The steps as they are drawn on the screen, without words; answers the y under them and how they are laid out. */
export function drawProgramme(sheet: PaperSheet, steps: Programme, { x, y, width }: PaperBox) {
  const { pen, scale } = sheet;
  const height = PROGRAMME_PT * scale;
  const { treads, untilS, lanes } = outlineOf(steps, { x, y, width, height });
  for (const { area, edge, limit, isPause } of treads) {
    if (!isPause) pen?.path(area, { fill: INK, fillOpacity: 0.12 });
    pen?.path(edge, { stroke: INK, width: 1.4, ...(isPause && { dash: [1, 3] as const }) });
    if (limit) pen?.path(limit, { stroke: INK, width: 0.7, dash: [4, 2] });
  }
  return { endsAt: y + height, untilS, lanes };
}
