/** The benchmark of the advice agrees with the figures of model.md §3, and the advice keeps its promise. */
import { dialIn, tryWay, WAYS, type Tried } from './dialin';
import { afterHistory } from './history';
import { statisticalHouse } from './houses';
import { perfect } from './strategies';
import { simulatedBench, statisticalBench } from './truths';

const CASES = 400;

function wayOf(name: string) {
  return WAYS.find((way) => way.name === name)!;
}

function summaryOf(tried: readonly Tried[]) {
  const at = (values: number[], share: number) =>
    values.sort((a, b) => a - b)[Math.floor(share * values.length)]!;
  return {
    median: at(
      tried.map(({ shots }) => shots),
      0.5,
    ),
    percentile90: at(
      tried.map(({ shots }) => shots),
      0.9,
    ),
    medianG: at(
      tried.map(({ grams }) => grams),
      0.5,
    ),
    percentile90G: at(
      tried.map(({ grams }) => grams),
      0.9,
    ),
    lostPct: (100 * tried.filter(({ end }) => end === 'never').length) / tried.length,
    nearestPct: (100 * tried.filter(({ end }) => end === 'nearest').length) / tried.length,
    falsePct: (100 * tried.filter(({ isFalse }) => isFalse).length) / tried.length,
  };
}

const tried = (name: string) => summaryOf(tryWay(wayOf(name), statisticalBench, CASES));

describe('with the statistical truth', () => {
  const hand = tried('by hand');
  const advised = tried('advisor');

  it('the hand needs what model.md says', () => {
    expect(Math.abs(hand.median - 8)).toBeLessThanOrEqual(1);
    expect(hand.percentile90).toBe(26);
    expect(Math.abs(hand.lostPct - 12.7)).toBeLessThan(4);
  });

  it('the advice needs no more than model.md says', () => {
    expect(advised.median).toBeLessThanOrEqual(5);
    expect(advised.percentile90).toBeLessThanOrEqual(8);
    expect(advised.lostPct).toBeLessThan(1.4);
    // By hand two in a row are taken for proof, and a quarter of them is none.
    expect(hand.falsePct).toBeGreaterThan(20);
    expect(advised.falsePct).toBeLessThan(10);
  });

  it('the advice spends at most 65 % of the shots and about that of the grams, and half in bad cases', () => {
    expect(advised.median / 8).toBeLessThanOrEqual(0.65);
    expect(advised.medianG / hand.medianG).toBeLessThanOrEqual(0.73);
    expect(advised.percentile90 / hand.percentile90).toBeLessThanOrEqual(0.5);
    expect(advised.percentile90G / hand.percentile90G).toBeLessThanOrEqual(0.5);
  });

  it('a trimmed dose finds a proof where a locked one only comes near, and a known grinder costs no more', () => {
    const known = tried('advisor, known grinder and good start');
    expect(tried('advisor, retention').nearestPct).toBeGreaterThan(20);
    expect(advised.nearestPct).toBeLessThan(3);
    expect(known.median).toBeLessThanOrEqual(advised.median);
  });
});

describe('a grinder that remembers', () => {
  const after = (past: number) =>
    summaryOf(Array.from({ length: 100 }, (_, seed) => afterHistory(statisticalHouse, seed, past)));

  it('needs fewer shots and grams, and is not less often right', () => {
    const [none, ten] = [after(0), after(10)];
    expect(none.median).toBeLessThanOrEqual(5);
    expect(none.percentile90).toBeLessThanOrEqual(8);
    expect(ten.median).toBeLessThanOrEqual(4);
    expect(ten.percentile90).toBeLessThanOrEqual(6);
    expect(ten.medianG).toBeLessThan(none.medianG);
    expect(Math.max(none.falsePct, ten.falsePct)).toBeLessThanOrEqual(10);
  });
});

describe('with the simulator as truth', () => {
  it('finds an ideal dial that gives the centre of the window', () => {
    const bench = simulatedBench({ seed: 5, startSd: 0.25 });
    const { timeS } = bench.pull({ dial: bench.idealDial, doseG: 18, purgeG: 30 });
    expect(Math.abs(Math.log(timeS / 28))).toBeLessThan(3 * 0.06);
  });

  it('repeats for a seed', () => {
    const run = () => dialIn(simulatedBench({ seed: 11, startSd: 0.25 }), perfect);
    expect(run()).toEqual(run());
  });
});
