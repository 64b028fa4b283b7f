/** Asks the simulator's worker, and matches its answers to the questions. */
import type { DrawInput } from '@/core/shot/drawStation';
import type { PracticeRound, PracticeState, PracticeTruth } from '@/core/practice/play';
import type { Station } from '@/core/shot/station';
import type { FromWorker, PullDone, PullJob, ToWorker } from './protocol';

export type PullShot = (job: PullJob) => Promise<PullDone>;
export type DrawBench = (input: DrawInput) => Promise<Station>;

type Answered = Exclude<FromWorker, { kind: 'failed' }>;

interface Asked {
  readonly resolve: (answer: Answered) => void;
  readonly reject: (error: Error) => void;
}

let worker: Worker | null = null;
let lastId = 0;
const asked = new Map<number, Asked>();

/** Pulls a simulated shot in the worker; one worker serves the whole page. */
export const pullInWorker: PullShot = async (job) => {
  const answer = await ask((id) => ({ kind: 'pull', id, job }));
  if (answer.kind !== 'pulled') throw new Error('The simulator gave another answer than asked.');
  return answer.done;
};

/** Draws a simulated bench in the worker. */
export const drawInWorker: DrawBench = async (input) => {
  const answer = await ask((id) => ({ kind: 'draw', id, input }));
  if (answer.kind !== 'drawn') throw new Error('The simulator gave another answer than asked.');
  return answer.station;
};

/** Plays a round of practice as far as its moves go. */
export async function practiseInWorker(round: PracticeRound): Promise<PracticeState> {
  const answer = await ask((id) => ({ kind: 'practise', id, round }));
  if (answer.kind !== 'practised') throw new Error('The simulator gave another answer than asked.');
  return answer.state;
}

/** The truth of a round, and the advice's way through it. */
export async function tellInWorker(round: PracticeRound): Promise<PracticeTruth> {
  const answer = await ask((id) => ({ kind: 'tell', id, round }));
  if (answer.kind !== 'told') throw new Error('The simulator gave another answer than asked.');
  return answer.truth;
}

function ask(messageOf: (id: number) => ToWorker): Promise<Answered> {
  return new Promise((resolve, reject) => {
    worker ??= startWorker();
    const id = ++lastId;
    asked.set(id, { resolve, reject });
    worker.postMessage(messageOf(id));
  });
}

function startWorker(): Worker {
  const started = new Worker(new URL('./shot.worker.ts', import.meta.url), { type: 'module' });
  started.onmessage = ({ data }: MessageEvent<FromWorker>) => {
    const waiting = asked.get(data.id);
    asked.delete(data.id);
    if (data.kind === 'failed') waiting?.reject(new Error(data.words));
    else waiting?.resolve(data);
  };
  return started;
}
