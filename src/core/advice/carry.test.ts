import fc from 'fast-check';
import { expectSignificant } from '../../../tests/support/significant';
import { ageOf } from '../rest/ageing';
import { carryOver, type CarryInput } from './carry';

/** Day 10 to 13, two weeks since, e −.009 ± .003, the release known to .02, batches apart by .05. */
const older = ageOf(13) - ageOf(10);
const PRIOR = {
  mean: -0.009 * older,
  sd: Math.sqrt(0.02 ** 2 + 2 * 0.01 ** 2 + 0.05 ** 2 + (0.003 * older) ** 2),
};

const ask = (shots: CarryInput['shots'], goal = 0.85, moves?: readonly number[]) =>
  carryOver({ prior: PRIOR, window: [26.5, 29.5], shots, goal, moves });

describe('worked (18): the first shots of a new batch', () => {
  it('are expected where age leads them', () => {
    expectSignificant(PRIOR.mean, -0.0302, 3);
    expectSignificant(PRIOR.sd, 0.0566, 3);
  });

  it('a shot of 29.0 s carries over at .80, and asks for one more at .85', () => {
    const { mean, inWindow, verdict } = ask([{ moveLn: 0, timeS: 29 }], 0.8, [0]);
    expect(mean).toBeCloseTo(0.0093, 4);
    expectSignificant(inWindow, 0.8494);
    expect(verdict).toBe('carriesOver');
    expect(ask([{ moveLn: 0, timeS: 29 }], 0.85, [0]).verdict).toBe('oneMore');
  });

  it('a shot of 30.6 s asks for one more, half a step faster', () => {
    const { inWindow, best, verdict } = ask([{ moveLn: 0, timeS: 30.6 }], 0.85, [-0.05, 0]);
    expectSignificant(inWindow, 0.604);
    expect(best.moveLn).toBe(-0.05);
    expectSignificant(best.inWindow, 0.8438);
    expect(verdict).toBe('oneMore');
    const second = ask(
      [
        { moveLn: 0, timeS: 30.6 },
        { moveLn: -0.05, timeS: 28.4 },
      ],
      0.85,
      [-0.05, 0],
    );
    expectSignificant(second.inWindow, 0.9412);
    expect(second.verdict).toBe('carriesOver');
  });
});

describe('a new batch', () => {
  it('that is another coffee is dialled in anew', () => {
    const shots = [
      { moveLn: 0, timeS: 33.6 },
      { moveLn: 0, timeS: 34 },
    ];
    expect(ask(shots).verdict).toBe('dialInAnew');
  });

  it('is not given up for one shot that may have been odd', () => {
    expect(ask([{ moveLn: 0, timeS: 17 }]).verdict).toBe('oneMore');
  });

  it('always gets probabilities, and the best is never worse than staying', () => {
    const anyShot = fc.record({
      moveLn: fc.double({ min: -0.4, max: 0.4, noNaN: true }),
      timeS: fc.double({ min: 5, max: 90, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(anyShot, { maxLength: 8 }), (shots) => {
        const { inWindow, best } = ask(shots);
        expect(inWindow).toBeGreaterThanOrEqual(0);
        expect(best.inWindow).toBeLessThanOrEqual(1 + 1e-9);
        expect(best.inWindow).toBeGreaterThanOrEqual(inWindow);
      }),
    );
  });
});
