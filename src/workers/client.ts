/** Asks the simulator's worker, and matches its answers to the questions. */
import type { FromWorker, PullDone, PullJob, ToWorker } from './protocol';

export type PullShot = (job: PullJob) => Promise<PullDone>;

let worker: Worker | null = null;
let lastId = 0;
const waiting = new Map<
  number,
  { resolve: (done: PullDone) => void; reject: (e: Error) => void }
>();

/** Pulls a simulated shot in the worker; one worker serves the whole page. */
export const pullInWorker: PullShot = (job) =>
  new Promise((resolve, reject) => {
    worker ??= startWorker();
    const id = ++lastId;
    waiting.set(id, { resolve, reject });
    worker.postMessage({ kind: 'pull', id, job } satisfies ToWorker);
  });

function startWorker(): Worker {
  const started = new Worker(new URL('./shot.worker.ts', import.meta.url), { type: 'module' });
  started.onmessage = ({ data }: MessageEvent<FromWorker>) => {
    const asked = waiting.get(data.id);
    waiting.delete(data.id);
    if (data.kind === 'done') asked?.resolve(data.done);
    else asked?.reject(new Error(data.words));
  };
  return started;
}
