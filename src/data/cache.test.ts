/** @jest-environment node */
import { openDatabase, type Db } from './database';
import { cached, fillCache, invalidate } from './cache';

const options = { name: 'sum', tags: ['shot'] as const };

let db: Db;
beforeEach(() => {
  db = openDatabase(':memory:');
});
afterEach(() => db.close());

function* inTwoSteps(answer: number, between: () => void = () => {}): Generator<void, number> {
  yield;
  between();
  return answer;
}

it('keeps an answer that was worked out in steps, once for all who wait for it', async () => {
  let times = 0;
  const work = () => inTwoSteps(7, () => times++);
  await Promise.all([fillCache(db, options, work), fillCache(db, options, work)]);
  expect(times).toBe(1);
  expect(cached(db, options, () => 8)).toBe(7);
});

it('does not keep an answer during which something was changed', async () => {
  await fillCache(db, options, () => inTwoSteps(7, () => invalidate(db, ['shot'])));
  expect(cached(db, options, () => 8)).toBe(8);
});

it('works anew after work that failed', async () => {
  const failing = fillCache(db, options, () =>
    inTwoSteps(7, () => {
      throw new Error('no room');
    }),
  );
  await expect(failing).rejects.toThrow('no room');
  await fillCache(db, options, () => inTwoSteps(9));
  expect(cached(db, options, () => 8)).toBe(9);
});
