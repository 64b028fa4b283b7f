/** What the simulator's worker does with a message. */
import { pullAt } from '@/core/shot/station';
import type { FromWorker, ToWorker } from './protocol';

export function answer({ id, job }: ToWorker): FromWorker {
  try {
    const done = pullAt(job.station, job.chamberDial, job.pull, job.seed);
    return { kind: 'done', id, done };
  } catch (error) {
    return { kind: 'failed', id, words: error instanceof Error ? error.message : String(error) };
  }
}
