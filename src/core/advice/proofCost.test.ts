import fc from 'fast-check';
import { expectSignificant } from '../../../tests/support/significant';
import { question, shot, target } from '../../../tests/support/coffee';
import { judge } from './judge';
import { nextMove } from './next';
import { between, proofCost, reach } from './proofCost';
import { grinder } from '../../../tests/support/coffee';

const HALF = Math.log(29.5 / 26.5) / 2;
const NOISE = 0.045;

describe('worked (11): what two or three shots prove', () => {
  const asked = (...times: number[]) =>
    question(
      times.map((timeS) => shot({ timeS })),
      { target: target({ timeS: [26.5, 29.5] }), grinder: { ...grinder, retentionG: 0 } },
    );

  it.each([
    [[28.4, 27.6], 3.3321, 0.9104, 'onTarget'],
    [[29.2, 28.9], 3.3684, 0.6917, 'repeat'],
    [[29.2, 28.9, 28], 3.3565, 0.8589, 'onTarget'],
  ] as const)('%j', (times, mean, inWindow, status) => {
    // The worked figures believe every shot; the few that lie cost the third digit at most.
    const { proof, status: found } = nextMove(asked(...times));
    expect(Math.log(proof!.meanS)).toBeCloseTo(mean, 2);
    expect(Math.abs(proof!.inWindow - inWindow)).toBeLessThan(0.01);
    expect(found).toBe(status);
    const judged = judge(asked(...times));
    expect(judged.marks.every(({ valid }) => valid)).toBe(true);
  });
});

describe('worked (12): reach and cost', () => {
  it('says how far off the centre a mean may be', () => {
    expectSignificant(reach(0.03 ** 2, HALF, 0.85)!, 0.02175);
    expectSignificant(reach(0.035 ** 2, HALF, 0.85)!, 0.01265);
    expect(reach(0.06 ** 2, HALF, 0.85)).toBeNull();
  });

  it.each([0, 1])('says what a proof costs, %i shots being there', (have) => {
    const cost = (offset: number, sd: number) =>
      proofCost({
        offset,
        variance: sd ** 2,
        noiseSd: NOISE,
        have,
        halfWindow: HALF,
        goal: 0.85,
        landing: 0.5,
      }).cost;
    expectSignificant(cost(0, 0.05), 4.3826, 5);
    expectSignificant(cost(0.03, 0.04), 4.5568, 5);
  });

  it('ranks settings that cannot be brought on target by how often they land', () => {
    const cost = (landing: number) =>
      proofCost({
        offset: 0.5,
        variance: 0.001 ** 2,
        noiseSd: NOISE,
        have: 2,
        halfWindow: HALF,
        goal: 0.85,
        landing,
      });
    expect(cost(0.2)).toMatchObject({ feasible: false });
    expect(cost(0.2).cost).toBeLessThan(cost(0.1).cost);
  });
});

it('the reach is where the goal is just met, whatever the window', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.01, max: 0.2, noNaN: true }),
      fc.double({ min: 0.002, max: 0.1, noNaN: true }),
      fc.constantFrom(0.8, 0.85, 0.9),
      (half, sd, goal) => {
        const far = reach(sd ** 2, half, goal);
        const inside = (offset: number) => between(offset, sd, -half, half);
        if (far === null) expect(inside(0)).toBeLessThan(goal);
        else expect(Math.abs(inside(far) - goal)).toBeLessThan(far === 0 ? 1 : 1e-6);
      },
    ),
  );
});
