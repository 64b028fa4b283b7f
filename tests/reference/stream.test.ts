/** Long work as a stream of lines: progress, the end, faults, and whoever goes away. */
import { setImmediate } from 'node:timers/promises';
import { streamed } from '@/app/api/edge';
import { userFault } from '@/core/errors';
import { log } from '@/data/log';

function* work(steps: number, seen: number[] = []): Generator<number, string> {
  for (let i = 0; i < steps; i++) {
    seen.push(i);
    yield i;
  }
  return 'all';
}

async function linesOf(response: Response): Promise<unknown[]> {
  return (await response.text())
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as unknown);
}

/** Turns of the loop in which work that goes on would do a step each. */
async function turns(): Promise<void> {
  for (let turn = 0; turn < 50; turn++) await setImmediate();
}

describe('a streamed answer', () => {
  it('says each step and ends with the result', async () => {
    const steps = work(3);
    const response = streamed(steps, steps.next(), (all) => ({ all }));
    expect(response.headers.get('content-type')).toBe('application/x-ndjson');
    expect(await linesOf(response)).toEqual([
      { done: 0 },
      { done: 1 },
      { done: 2 },
      { result: { all: 'all' } },
    ]);
  });

  it('ends with the faults of the last step, in words', async () => {
    const steps = work(1);
    const response = streamed(steps, steps.next(), () => {
      throw userFault('conflict', 'file', 'Someone else was quicker. Check again.');
    });
    expect(await linesOf(response)).toEqual([
      { done: 0 },
      {
        code: 'conflict',
        faults: [{ field: 'file', message: 'Someone else was quicker. Check again.' }],
      },
    ]);
  });

  it('says nothing of what broke inside, only that it did', async () => {
    const written = jest.spyOn(log, 'error');
    const steps = work(1);
    const response = streamed(steps, steps.next(), () => {
      throw new Error('secret path');
    });
    const text = JSON.stringify(await linesOf(response));
    expect(text).toMatch(/Something broke/);
    expect(text).not.toMatch(/secret/);
    expect(written).toHaveBeenCalled();
    written.mockRestore();
  });

  it('stops, and finishes nothing, when the reader goes away', async () => {
    const seen: number[] = [];
    const finish = jest.fn();
    const steps = work(10_000, seen);
    const reader = streamed(steps, steps.next(), finish).body!.getReader();
    await reader.read();
    await reader.read();
    await reader.cancel();
    await turns();
    const stoppedAt = seen.length;
    await turns();
    expect(seen.length).toBe(stoppedAt);
    expect(stoppedAt).toBeLessThan(20);
    expect(finish).not.toHaveBeenCalled();
  });
});
