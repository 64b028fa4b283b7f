import fc from 'fast-check';
import { expectSignificant } from '../../../tests/support/significant';
import { ageOf } from './ageing';
import { keptShare, driftOver, phaseBorders, phaseCount, phasesOf } from './phases';

const slope = { mean: -0.008, sd: 0.003 };
const hinted = { slope, cardDay: 14, lnTimePerStep: -0.1 };

describe('worked (19)', () => {
  const span = { from: 8, to: 21 };

  it('a span of 8-21 days has two phases, with a hint for the middle of each', () => {
    expectSignificant(driftOver(span, slope), 0.1044);
    expect(phaseCount(span, slope)).toBe(2);
    const phases = phasesOf(span, { ...hinted, count: 2 });
    expectSignificant(phases[0]!.to, 13.62);
    expectSignificant(phases[0]!.steps, -0.2914);
    expectSignificant(phases[1]!.steps, 0.2305);
  });

  it('three phases, and a longer span', () => {
    const [, first, second] = phaseBorders(span, 3);
    expectSignificant(first!, 11.58);
    expectSignificant(second!, 15.86);
    const long = { from: 6, to: 35 };
    expectSignificant(driftOver(long, slope), 0.1985);
    expect(phaseCount(long, slope)).toBe(3);
    const [, one, two] = phaseBorders(long, 3);
    expectSignificant(one!, 12.58);
    expectSignificant(two!, 21.88);
  });
});

const spans = fc
  .tuple(fc.integer({ min: 0, max: 40 }), fc.integer({ min: 1, max: 40 }))
  .map(([from, days]) => ({ from, to: from + days }));

it('phases fill the span without a hole, each as long in ψ, whatever was learnt of ageing', () => {
  fc.assert(
    fc.property(spans, fc.integer({ min: 1, max: 3 }), (span, count) => {
      const phases = phasesOf(span, { ...hinted, count });
      expect(phases[0]!.from).toBeCloseTo(span.from, 9);
      expect(phases.at(-1)!.to).toBeCloseTo(span.to, 9);
      const lengths = phases.map(({ from, to }) => ageOf(to) - ageOf(from));
      for (const [i, length] of lengths.entries()) {
        expect(length).toBeCloseTo(lengths[0]!, 9);
        if (i > 0) expect(phases[i]!.from).toBe(phases[i - 1]!.to);
      }
      const steeper = phasesOf(span, { ...hinted, count, slope: { mean: -0.02, sd: 0.001 } });
      expect(steeper.map(({ to }) => to)).toEqual(phases.map(({ to }) => to));
      // A coffee runs faster as it ages: later phases are finer.
      const steps = phases.map((phase) => phase.steps);
      expect([...steps].sort((a, b) => a - b)).toEqual(steps);
    }),
  );
});

it('what is printed stays while the drift is near its limit', () => {
  const span = { from: 8, to: 21 };
  const driftOf = (mean: number) => ({ mean });
  // Just over .08, and just under: neither changes what was printed.
  expect(phaseCount(span, driftOf(-0.0065))).toBe(2);
  expect(phaseCount(span, driftOf(-0.0065), 1)).toBe(1);
  expect(phaseCount(span, driftOf(-0.0058), 2)).toBe(2);
  expect(phaseCount(span, driftOf(-0.0085), 1)).toBe(2);
  expect(phaseCount(span, driftOf(-0.003), 2)).toBe(1);
});

describe('café shots kept within 2.5 s', () => {
  const kept = (count: number) =>
    keptShare({ from: 6, to: 35 }, { count, slope: { mean: -0.008 }, centreS: 28 });

  it('are about what the prototype found for a medium roast over days 6-35', () => {
    expect(kept(1)).toBeCloseTo(0.7, 1);
    expect(kept(2)).toBeCloseTo(0.8, 0.7);
    expect(kept(3)).toBeGreaterThan(kept(2));
    expect(kept(2)).toBeGreaterThan(kept(1) + 0.05);
  });

  it('are the daily best where nothing ages', () => {
    expect(
      keptShare({ from: 6, to: 35 }, { count: 1, slope: { mean: 0 }, centreS: 28 }),
    ).toBeCloseTo(0.9, 1);
  });
});
