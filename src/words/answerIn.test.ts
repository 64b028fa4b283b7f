import fc from 'fast-check';
import { LANGUAGES } from '@/core/language';
import {
  adviseCardReader,
  CARD_READER_TASTES,
  type CardReaderQuestion,
  type CardReaderShot,
} from '@/core/advice/cardReader';
import { answerIn } from './answerIn';

const asked = (...shots: CardReaderShot[]): CardReaderQuestion => ({
  card: { doseG: 18, yieldG: 36, timeS: [26, 30], clock: 'pump', temperatureC: 93 },
  tolerance: { doseG: 0.2, yieldG: 1 },
  roastLevel: 0,
  ratedG: 18,
  cremaGPerMl: 0.75,
  shots,
});
const shot = (more: Partial<CardReaderShot>): CardReaderShot => ({
  timeS: 28,
  clock: 'pump',
  doseG: 18,
  yieldG: 36,
  finerSteps: 0,
  ...more,
});
const answer = (...shots: CardReaderShot[]) => {
  const question = asked(...shots);
  return answerIn('en', adviseCardReader(question), question);
};

describe('a stranger’s shot', () => {
  it('that ran fast is ground finer, in words while the grinder is unknown', () => {
    const { what, why } = answer(shot({ timeS: 20 }));
    expect(what).toMatch(
      /^Grind (two or three|several) steps finer\. Change this one thing only\.$/,
    );
    expect(why).toBe('It ran 6 s faster than the card’s window.');
    expect(answer(shot({ timeS: 24.5 })).what).toMatch(/a little|one/);
    expect(answer(shot({ timeS: 40 })).what).toMatch(/coarser/);
  });

  it('teaches its grinder: steps are counted from the second shot on', () => {
    const first = shot({ timeS: 20 });
    // A step of this grinder moves .05 in ln time, half of the usual one.
    const second = shot({ timeS: 20 * Math.exp(0.15), finerSteps: 3 });
    expect(answer(first, second).what).toMatch(/^Grind \d+ steps? finer/);
    const lone = adviseCardReader(asked(shot({ timeS: 23.2 }))).move!;
    const taught = adviseCardReader(asked(first, second)).move!;
    expect(Math.abs(taught.to - taught.from)).toBeGreaterThan(Math.abs(lone.to - lone.from));
  });

  it('that is right is left, and one of another yield is weighed again', () => {
    expect(answer(shot({ taste: 'right' })).what).toMatch(/Leave/);
    expect(answer(shot({ yieldG: 33.5 })).what).toMatch(/Weigh/);
    expect(answer(shot({ yieldG: 48 }))).toMatchObject({
      what: expect.stringMatching(/finer/) as string,
      why: 'At 36.0 g it would have been too fast.',
    });
    expect(answer(shot({ taste: 'both' })).what).toMatch(/prepared with more care/);
  });

  it('is answered in every language, whatever was poured', () => {
    const any = fc.record({
      timeS: fc.double({ min: 1, max: 180, noNaN: true }),
      doseG: fc.option(fc.double({ min: 5, max: 30, noNaN: true }), { nil: undefined }),
      yieldG: fc.option(fc.double({ min: 3, max: 150, noNaN: true }), { nil: undefined }),
      yieldMl: fc.option(fc.double({ min: 3, max: 200, noNaN: true }), { nil: undefined }),
      taste: fc.option(fc.constantFrom(...CARD_READER_TASTES), { nil: undefined }),
      clock: fc.constantFrom('pump' as const, 'firstDrip' as const),
      finerSteps: fc.integer({ min: -6, max: 6 }),
    });
    fc.assert(
      fc.property(fc.array(any, { minLength: 1, maxLength: 4 }), (shots) => {
        const question = asked(...shots);
        const advice = adviseCardReader(question);
        for (const language of LANGUAGES) {
          const { what, why } = answerIn(language, advice, question);
          expect(what).toMatch(/\p{L}.*\.$/u);
          expect(why).not.toMatch(/undefined|NaN|null/);
        }
      }),
      { numRuns: 60 },
    );
  });
});
