/** Asks the simulator's worker, and matches its answers to the questions. */
import type { Progress } from '@/core/progress';
import type { FromWorker, JobKind, Jobs, ToWorker } from './protocol';

export interface JobOptions {
  readonly onProgress?: Progress;
  /** Gives the job up: the worker is ended, and what else waits is asked of a new one. */
  readonly signal?: AbortSignal;
}

/** Has a job done off the main thread. Rejects when it fails or is given up. */
export type Ask = <K extends JobKind>(
  kind: K,
  input: Jobs[K]['asks'],
  options?: JobOptions,
) => Promise<Jobs[K]['answers']>;

interface Asked {
  readonly message: ToWorker;
  readonly resolve: (result: Jobs[JobKind]['answers']) => void;
  readonly reject: (error: Error) => void;
  readonly onProgress: Progress | undefined;
}

/** The worker itself is gone, whatever it was asked. */
export class BrokenWorker extends Error {
  override name = 'BrokenWorker';
  constructor() {
    super(
      'The simulator did not load, or broke. Try again; if it fails again, reload the page while the server is reached.',
    );
  }
}

/** A line to workers of one kind; one worker serves the whole page, jobs are done in turn. */
export function lineTo(startWorker: () => Worker): Ask {
  let worker: Worker | null = null;
  let lastId = 0;
  const asked = new Map<number, Asked>();

  const onMessage = ({ data }: MessageEvent<FromWorker>) => {
    const waiting = asked.get(data.id);
    if (data.kind === 'progress') return waiting?.onProgress?.(data.fraction);
    asked.delete(data.id);
    if (data.kind === 'failed') waiting?.reject(new Error(data.words));
    else waiting?.resolve(data.result);
  };
  /** A worker that broke answers nothing any more: whoever waits is told, the next asks a new one. */
  const onBroken = () => {
    worker?.terminate();
    worker = null;
    const waiting = [...asked.values()];
    asked.clear();
    for (const { reject } of waiting) reject(new BrokenWorker());
  };
  const running = () => {
    if (worker) return worker;
    worker = startWorker();
    worker.onmessage = onMessage;
    worker.onerror = onBroken;
    worker.onmessageerror = onBroken;
    return worker;
  };
  const giveUp = (id: number) => {
    const waiting = asked.get(id);
    if (!waiting) return;
    asked.delete(id);
    worker?.terminate();
    worker = null;
    // The worker keeps nothing between two jobs: a new one can take over the rest.
    for (const { message } of asked.values()) running().postMessage(message);
    waiting.reject(new DOMException('Given up.', 'AbortError'));
  };
  return (kind, input, { onProgress, signal } = {}) =>
    new Promise((resolve, reject) => {
      const id = ++lastId;
      const message = { kind, id, input } as ToWorker;
      asked.set(id, { message, resolve: resolve as Asked['resolve'], reject, onProgress });
      signal?.addEventListener('abort', () => giveUp(id), { once: true });
      try {
        running().postMessage(message);
      } catch {
        onBroken();
      }
    });
}

export const ask: Ask = lineTo(
  () => new Worker(new URL('./shot.worker.ts', import.meta.url), { type: 'module' }),
);
