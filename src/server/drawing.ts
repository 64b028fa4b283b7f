/** Papers are drawn by a worker, so that a long one keeps nobody waiting. */
import { Worker } from 'node:worker_threads';
import type { Language } from '@/core/language/language';

export interface ToDraw {
  /** `sheet` is the café's, of up to three cards; the others are of one. */
  readonly paper: 'paper' | 'bag' | 'label' | 'picture' | 'sheet';
  readonly cards: readonly { readonly document: string; readonly address: string }[];
  readonly language: Language;
}

export function drawn(asked: ToDraw): Promise<Buffer> {
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
