/** Papers are drawn by a worker, so that a long one keeps nobody waiting; a few at once, whoever asks for more waits. */
import { Worker } from 'node:worker_threads';
import type { Language } from '@/core/language';

export interface ToDraw {
  /** `sheet` is the café's, of up to three cards; the others are of one. */
  readonly paper: 'paper' | 'bag' | 'label' | 'picture' | 'sheet';
  readonly cards: readonly { readonly document: string; readonly address: string }[];
  readonly language: Language;
}

const MOST_AT_ONCE = 2;
let drawing = 0;
const waiting: (() => void)[] = [];

export async function drawn(asked: ToDraw): Promise<Buffer> {
  if (drawing >= MOST_AT_ONCE) await new Promise<void>((resolve) => waiting.push(resolve));
  else drawing++;
  try {
    return await drawnByWorker(asked);
  } finally {
    // Its place goes to whoever waits longest.
    const next = waiting.shift();
    if (next) next();
    else drawing--;
  }
}

function drawnByWorker(asked: ToDraw): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(new URL('./paper.mjs', import.meta.url), {
      execArgv: [],
      workerData: asked,
    });
    worker.once('message', (bytes: Uint8Array) => resolve(Buffer.from(bytes)));
    worker.once('error', reject);
    worker.once('exit', (code) => reject(new Error(`the paper worker ended with ${code}`)));
  });
}
