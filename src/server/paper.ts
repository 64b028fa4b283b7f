/** Draws a card on paper beside the server's own thread. Thin: the work is in formats/cardPdf.
 * Built as a file of its own beside the server. */
import { parentPort, workerData } from 'node:worker_threads';
import { cardPdf } from '@/formats/cardPdf';
import { readDocument } from '@/formats/recipe/readers';

const { document, address } = workerData as { document: string; address: string };
const bytes = await cardPdf(readDocument(document).body, address);
parentPort!.postMessage(bytes, [bytes.buffer]);
