/** The line to the worker: answers find their questions, progress is told, a job can be given up. */
import { answer } from './answer';
import { lineTo } from './client';
import type { FromWorker, ToWorker } from './protocol';

/** A worker that answers only when it is told to. */
class SlowWorker {
  onmessage: ((event: MessageEvent<FromWorker>) => void) | null = null;
  onerror: (() => void) | null = null;
  onmessageerror: (() => void) | null = null;
  readonly got: ToWorker[] = [];
  isEnded = false;
  postMessage(message: ToWorker): void {
    this.got.push(message);
  }
  terminate(): void {
    this.isEnded = true;
  }
  say(data: FromWorker): void {
    this.onmessage?.({ data } as MessageEvent<FromWorker>);
  }
}

function open() {
  const workers: SlowWorker[] = [];
  const ask = lineTo(() => {
    workers.push(new SlowWorker());
    return workers.at(-1) as unknown as Worker;
  });
  return { ask, workers };
}

const ROUND = { level: 'medium', seed: 1, moves: [] } as const;

it('tells progress and brings the answer to its question, in whatever order they come', async () => {
  const { ask, workers } = open();
  const fractions: number[] = [];
  const first = ask('practise', ROUND, { onProgress: (fraction) => fractions.push(fraction) });
  const second = ask('drill', { seed: 2 });
  const [worker] = workers;
  const [one, two] = worker!.got;
  answer(two!, (from) => worker!.say(from));
  worker!.say({ kind: 'progress', id: one!.id, fraction: 0.4 });
  answer(one!, (from) => worker!.say(from));
  expect((await second).cups).toHaveLength(3);
  expect((await first).outcome).toBe('open');
  expect(fractions).toEqual([0.4]);
  expect(workers).toHaveLength(1);
});

it('ends the worker of a job given up, and asks the rest of a new one', async () => {
  const { ask, workers } = open();
  const control = new AbortController();
  const given = ask('practise', ROUND, { signal: control.signal });
  const kept = ask('drill', { seed: 2 });
  control.abort();
  await expect(given).rejects.toMatchObject({ name: 'AbortError' });
  expect(workers.map(({ isEnded }) => isEnded)).toEqual([true, false]);
  const fresh = workers[1]!;
  expect(fresh.got.map(({ kind }) => kind)).toEqual(['drill']);
  answer(fresh.got[0]!, (from) => fresh.say(from));
  expect((await kept).cups).toHaveLength(3);
});

it('says what went wrong in the worker, and goes on', async () => {
  const { ask, workers } = open();
  const broken = ask('practise', { ...ROUND, level: 'nowhere' as never });
  const [worker] = workers;
  answer(worker!.got[0]!, (from) => worker!.say(from));
  await expect(broken).rejects.toThrow(/./);
  const next = ask('practise', ROUND);
  answer(worker!.got[1]!, (from) => worker!.say(from));
  expect((await next).shots).toEqual([]);
});

it.each(['onerror', 'onmessageerror'] as const)(
  'rejects whatever waits with what to do when a worker breaks (%s), and asks a new one next',
  async (event) => {
    const { ask, workers } = open();
    const waiting = [ask('practise', ROUND), ask('drill', { seed: 2 })];
    workers[0]![event]!();
    for (const job of waiting) await expect(job).rejects.toThrow(/Try again.*reload the page/);
    expect(workers[0]!.isEnded).toBe(true);
    const next = ask('drill', { seed: 2 });
    answer(workers[1]!.got[0]!, (from) => workers[1]!.say(from));
    expect((await next).cups).toHaveLength(3);
  },
);

it('rejects when a worker cannot even be started', async () => {
  const ask = lineTo(() => {
    throw new Error('blocked');
  });
  await expect(ask('drill', { seed: 1 })).rejects.toThrow(/did not load/);
});

it('tells how far the advice is through the same coffee', () => {
  const moves = [{ dial: 26, doseG: 18, purgeG: 0 }];
  const told: FromWorker[] = [];
  answer({ kind: 'tell', id: 5, input: { ...ROUND, moves } }, (from) => told.push(from));
  const fractions = told.flatMap((one) => (one.kind === 'progress' ? [one.fraction] : []));
  expect(fractions.length).toBeGreaterThan(0);
  expect(Math.max(...fractions)).toBeLessThanOrEqual(1);
  expect(fractions).toEqual([...fractions].sort((a, b) => a - b));
  expect(told.at(-1)).toMatchObject({ kind: 'done', id: 5 });
});
