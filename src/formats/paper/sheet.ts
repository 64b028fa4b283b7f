/** Setting words on a paper: where lines break, how high a text stands. Without a pen it only measures. */
import { fontOf } from './fonts';
import type { Pen, Role } from './pen';
import { linesOf } from './textLines';

export const INK = '#10201a';
export const SOFT = '#46574f';
export const PLATE = '#12302a';
export const PLATE_INK = '#eef5f1';
export const RULE = '#9fb2a8';

const PT_PER_MM = 72 / 25.4;

/** Millimetres as points. */
export const mm = (length: number) => length * PT_PER_MM;

/** ISO 216, in points. */
export const PAGES = {
  A6: [mm(105), mm(148)],
  A5: [mm(148), mm(210)],
  A4: [mm(210), mm(297)],
} as const satisfies Record<string, readonly [number, number]>;

export interface PaperSheet {
  /** What is drawn with; null where only the height is asked for. */
  readonly pen: Pen | null;
  readonly scale: number;
  /** Height of the page: what runs over is measured, not shown. */
  readonly height: number;
}

export interface PaperBox {
  readonly x: number;
  readonly y: number;
  readonly width: number;
}

export interface Words extends PaperBox {
  readonly size: number;
  readonly isStrong?: boolean;
  readonly colour?: string;
  readonly role?: Role;
}

/** How a text would stand: its lines, and the height of one. */
export function setOf(scale: number, text: string, { width, size, isStrong = false }: Words) {
  const { widthOf, lineHeight } = fontOf(isStrong);
  const points = size * scale;
  return { lines: linesOf(text, width / points, widthOf), lineHeight: lineHeight * points, points };
}

/** Sets a text and answers the y under it. */
export function say({ pen, scale, height }: PaperSheet, text: string, words: Words): number {
  if (text === '') return words.y;
  const { lines, lineHeight, points } = setOf(scale, text, words);
  const { x, isStrong = false, colour = INK, role = 'P' } = words;
  const shown = lines
    .map((line, i) => ({
      text: line,
      x,
      y: words.y + i * lineHeight,
      size: points,
      isStrong,
      colour,
    }))
    .filter(({ y }) => y + lineHeight < height);
  if (shown.length > 0) pen?.text(role, shown);
  return words.y + lines.length * lineHeight;
}

/** Tries sheets and sizes in turn until what is drawn fits; measured, not drawn. */
export function fitting<T>(
  trials: readonly T[],
  endsAt: (trial: T) => number,
  most: (trial: T) => number,
): T {
  const found = trials.find((trial) => endsAt(trial) <= most(trial));
  if (!found) throw new Error('Broken invariant: a paper within its limits fits the largest sheet');
  return found;
}
