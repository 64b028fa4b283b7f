import fc from 'fast-check';
import { inWords } from '@/words/faults';
import { phasesOf } from './phases';
import { phaseFaults, printedPhases, type PrintedPhase } from './printedPhases';

const slope = { mean: -0.008, sd: 0.002 };
const printed = (from: number, to: number, count: number, isStepless = false) =>
  printedPhases(phasesOf({ from, to }, { count, slope, cardDay: 14, lnTimePerStep: 0.1 }), {
    isStepless,
  });

describe('phases as a card prints them', () => {
  it('are whole days, with hints a hand can set: worked (19) to half and quarter steps', () => {
    expect(printed(8, 21, 2)).toEqual([
      { from: 8, to: 13, steps: -0.5 },
      { from: 14, to: 21, steps: 0 },
    ]);
    expect(printed(8, 21, 2, true).map(({ steps }) => steps)).toEqual([-0.25, 0.25]);
  });

  it('cover every span, each day once, however they are parted', () => {
    const any = fc.record({
      from: fc.integer({ min: 0, max: 40 }),
      days: fc.integer({ min: 3, max: 90 }),
      count: fc.integer({ min: 1, max: 3 }),
    });
    fc.assert(
      fc.property(any, ({ from, days, count }) => {
        const span = { from, to: from + days };
        expect(phaseFaults(printed(span.from, span.to, count), span)).toEqual([]);
      }),
    );
  });

  it('are refused whenever a day is said twice or not at all', () => {
    const span = { from: 8, to: 21 };
    const day = fc.integer({ min: 5, max: 25 });
    const phase = fc.record({ from: day, to: day, steps: fc.constant(0) });
    fc.assert(
      fc.property(fc.array(phase, { minLength: 1, maxLength: 3 }), (phases: PrintedPhase[]) => {
        const said = phases.flatMap(({ from, to }) =>
          Array.from({ length: Math.max(0, to - from + 1) }, (_, i) => from + i),
        );
        const wanted = Array.from({ length: 14 }, (_, i) => 8 + i);
        const isWhole = phases.every(({ from, to }) => from <= to) && said.join() === wanted.join();
        const faults = phaseFaults(phases, span);
        expect(faults.length === 0).toBe(isWhole);
        for (const { message } of faults) expect(inWords(message)).toMatch(/Begin|End|Correct/);
      }),
      { numRuns: 500 },
    );
  });
});
