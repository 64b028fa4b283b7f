/** Draws papers beside the server's own thread. Thin: the work is in formats/paper.
 * Built as a file of its own beside the server. */
import { parentPort, workerData } from 'node:worker_threads';
import { bagCardPdf } from '@/formats/paper/bagCard';
import { cafeSheetPdf } from '@/formats/paper/cafeSheet';
import { cardPdf, type ToPrint } from '@/formats/paper/card';
import { cardPng } from '@/formats/paper/picture';
import { shelfLabelPdf } from '@/formats/paper/shelfLabel';
import { readDocument } from '@/formats/recipe/readers';
import type { ToDraw } from './drawing';

const DRAW: Readonly<
  Record<Exclude<ToDraw['paper'], 'sheet'>, (asked: ToPrint) => Promise<Uint8Array<ArrayBuffer>>>
> = {
  paper: cardPdf,
  bag: bagCardPdf,
  label: shelfLabelPdf,
  picture: cardPng,
};

const { paper, cards, language } = workerData as ToDraw;
const asked = cards.map(({ document, address }) => ({
  body: readDocument(document).body,
  address,
  language,
}));
const bytes = await (paper === 'sheet' ? cafeSheetPdf(asked) : DRAW[paper](asked[0]!));
parentPort!.postMessage(bytes, [bytes.buffer]);
