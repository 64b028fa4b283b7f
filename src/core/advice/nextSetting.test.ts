import { question, shot } from '../../../tests/support/coffee';
import { nextMove } from './next';

/** Shots that agree, and one more on the other side of the window; finer is the lower dial. */
function afterOne(before: number, last: number, count: number) {
  const shots = Array.from({ length: count }, (_, i) => shot({ timeS: before + 0.2 * i }));
  return nextMove(question([...shots, shot({ timeS: last })]));
}

/** Runs whose last shot lies on a side of 26-30 s and is believed, with the dial to go to from 0. */
function believed(side: 'fast' | 'slow', befores: readonly number[], lasts: readonly number[]) {
  return [1, 2, 3, 4].flatMap((count) =>
    befores.flatMap((before) =>
      lasts.flatMap((last) => {
        const { marks, setting } = afterOne(before, last, count);
        const mark = marks.at(-1)!;
        return mark.side === side && !mark.outlier
          ? [{ count, before, last, dial: setting.dial }]
          : [];
      }),
    ),
  );
}

const steps = (from: number, to: number) =>
  Array.from({ length: Math.round((to - from) / 0.5) + 1 }, (_, i) => from + 0.5 * i);

describe('the next setting', () => {
  it('makes nothing faster after a shot that ran too fast, whatever the shots before say', () => {
    const runs = believed('fast', steps(29, 36), steps(24, 25.5));
    expect(runs.length).toBeGreaterThan(20);
    expect(runs.filter(({ dial }) => dial > 0)).toEqual([]);
  });

  it('makes nothing slower after one that ran too slow', () => {
    const runs = believed('slow', steps(22, 26.75), steps(30.5, 32));
    expect(runs.length).toBeGreaterThan(20);
    expect(runs.filter(({ dial }) => dial < 0)).toEqual([]);
  });
});
