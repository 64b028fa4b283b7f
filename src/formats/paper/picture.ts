/** The card as a picture for messages: its figures, phases and taste, 1080 px wide. Drawn by a kept library. */
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { initWasm, Resvg } from '@resvg/resvg-wasm';
import { dayIn } from '@/words/figures';
import { cardWords } from '@/words/cardWords';
import { CARD_FIGURES, CARD_SENSES, cardLines, coffeeWords } from '../recipe/lines';
import { phasesIn } from '../recipe/sections';
import type { ToPrint } from './card';
import { drawHeading, drawPlate, drawRows } from './parts';
import { fitting, say, SOFT, type PaperSheet } from './sheet';
import { drawingOf } from './svgPen';

const WIDTH = 405;
const HEIGHT = 540;
const MARGIN = 24;
const PX_PER_PT = 1080 / WIDTH;
const PAPER = '#f4f7f5';
const SCALES = [
  1.5, 1.4, 1.3, 1.2, 1.1, 1, 0.92, 0.84, 0.76, 0.68, 0.6, 0.52, 0.46, 0.4, 0.34, 0.28, 0.22,
];

let ready: Promise<void> | undefined;

/** The library reads fonts that are plainly packed. */
const isPlain = (path: string) => path.endsWith('.ttf');

export async function cardPng(asked: ToPrint): Promise<Uint8Array<ArrayBuffer>> {
  const require = createRequire(import.meta.url);
  ready ??= initWasm(readFileSync(require.resolve('@resvg/resvg-wasm/index_bg.wasm')));
  await ready;
  const scale = fitting(
    SCALES,
    (one) => drawPicture({ pen: null, scale: one, height: HEIGHT }, asked),
    () => HEIGHT - MARGIN,
  );
  const { svg, fontFiles } = drawingOf({ width: WIDTH, height: HEIGHT, paper: PAPER }, (pen) => {
    drawPicture({ pen, scale, height: HEIGHT }, asked);
  });
  const drawn = new Resvg(svg, {
    fitTo: { mode: 'zoom', value: PX_PER_PT },
    font: {
      fontBuffers: fontFiles.filter(isPlain).map((path) => readFileSync(path)),
      loadSystemFonts: false,
    },
  }).render();
  return new Uint8Array(drawn.asPng());
}

function drawPicture(sheet: PaperSheet, { body, address, language }: ToPrint): number {
  const lines = cardLines(body, language);
  const words = cardWords(language);
  const at = { x: MARGIN, width: WIDTH - 2 * MARGIN };
  let y = say(sheet, body.roastery, { ...at, y: MARGIN, size: 11, colour: SOFT });
  y = say(sheet, body.coffee.name, { ...at, y, size: 24, isStrong: true });
  y = say(sheet, coffeeWords(body, language), { ...at, y: y + 2, size: 10, colour: SOFT });
  const figures = CARD_FIGURES.map((name) => ({
    label: words(`labels.${name}`),
    value: lines[name],
  }));
  y = drawPlate(sheet, figures, { ...at, y: y + 10, columns: 2 }) + 10;
  const phases = phasesIn(body, language);
  const rows = [
    { label: words('labels.Ratio'), value: lines.Ratio },
    { label: words('labels.Programme'), value: lines.Programme },
    { label: words('labels.Rest'), value: lines.Rest },
    ...(phases?.rows ?? []).map(({ days, grind }) => ({ label: days, value: grind })),
  ];
  y = drawRows(sheet, rows, { ...at, y, size: 10.5, labelPt: 82 }) + 8;
  for (const name of CARD_SENSES) {
    y = drawHeading(sheet, words(`labels.${name}`), { ...at, y, size: 10.5 });
    y = say(sheet, lines[name], { ...at, y, size: 10.5 }) + 5;
  }
  const foot = `${words('version', { number: body.version, day: dayIn(language, body.publishedOn) })} ${address}`;
  return say(sheet, foot, { ...at, y: y + 4, size: 9, colour: SOFT });
}
