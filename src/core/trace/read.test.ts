/** Reading a scale: tried against shots of the simulator, whose first drip and stop are known. */
import { inWords } from '@/words/faults';
import { fromIssue } from '../message';
import { STYLE_STEPS } from '../programme/styles';
import { simulateShot } from '../simulator/simulate';
import { firstDripOf, flowAt, learnedOverrun, readTrace, thinned, USUAL_OVERRUN_G } from './read';
import { traceSchema, type Trace } from './schema';

function pulled(seed: number, shot: { grindUm?: number; mostS?: number } = {}) {
  return simulateShot({
    coffee: { roastLevel: 0, intensity: 0, restDays: 14 },
    basket: { diameterMm: 58, ratedG: 18 },
    shot: {
      doseG: 18,
      grindUm: 400,
      temperatureC: 93,
      programme: STYLE_STEPS.classic,
      yieldG: 36,
      ...shot,
    },
    seed,
  });
}

describe('reading a trace', () => {
  it.each([1, 2, 3, 4, 5, 6])('finds drip, stop and cup of shot %d', (seed) => {
    const { trace, firstDripS, timeS, yieldG } = pulled(seed, { grindUm: 370 + 12 * seed });
    const read = readTrace(trace);
    expect(Math.abs(read.firstDripS! - firstDripS!)).toBeLessThanOrEqual(0.4);
    // The spout runs on for about half a second, which a scale alone cannot see.
    expect(Math.abs(read.stoppedS! - timeS)).toBeLessThanOrEqual(0.9);
    expect(Math.abs(read.yieldG - yieldG)).toBeLessThanOrEqual(0.15);
  });

  it('knows no stop while the stream runs, and no drip where nothing came', () => {
    const { trace } = pulled(3);
    const running = trace.filter(({ timeS }) => timeS < 20);
    expect(readTrace(running)).toMatchObject({ stoppedS: null });
    const empty = pulled(3, { grindUm: 170, mostS: 20 }).trace;
    expect(readTrace(empty)).toMatchObject({ firstDripS: null, stoppedS: null });
  });

  it('takes a splash for no drip', () => {
    const flat: Trace = Array.from({ length: 60 }, (_, i) => ({
      timeS: i / 10,
      weightG: i === 20 ? 0.9 : 0,
    }));
    expect(firstDripOf(flat)).toBeNull();
    expect(flowAt(flat, 0)).toBe(0);
  });

  it('thins for drawing and keeps the ends', () => {
    const { trace } = pulled(2);
    const few = thinned(trace, 0.8);
    expect(few.length).toBeLessThan(trace.length / 6);
    expect(few[0]).toEqual(trace[0]);
    expect(few.at(-1)).toEqual(trace.at(-1));
  });
});

describe('overrun', () => {
  it('is the middle of the last measured ones, else what is said, else the usual', () => {
    expect(learnedOverrun([1, 5, 2], 3)).toBe(2);
    expect(learnedOverrun([9, 9, 9, 1, 1, 1, 1, 1, 1, 1, 1], 3)).toBe(1);
    expect(learnedOverrun([], 3)).toBe(3);
    expect(learnedOverrun([], undefined)).toBe(USUAL_OVERRUN_G);
  });
});

describe('what a trace may be', () => {
  const point = (timeS: number, weightG = 0) => ({ timeS, weightG });
  it.each([
    ['too few points', [point(0), point(1)], /under five points/],
    ['times that fall', [0, 1, 2, 2, 3].map((timeS) => point(timeS)), /do not rise/],
    ['no number', [point(0, Number.NaN), ...[1, 2, 3, 4].map((t) => point(t))], /not a number/],
    ['a scale that was not tared', [0, 1, 2, 3, 4].map((t) => point(t, 400)), /over 300 g/],
  ])('refuses %s', (_name, trace, words) => {
    const { error } = traceSchema.safeParse(trace);
    expect(error?.issues.map(({ message }) => inWords(fromIssue(message))).join(' ')).toMatch(
      words,
    );
  });
});
