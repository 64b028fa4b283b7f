import { cafeBlock, rowWeight } from './block';
import type { CafeCheck } from './check';
import { candidatesOf, weighed } from './evidence';
import { cafeRows, type CafeRow } from './rows';
import { fitCafe } from './cafeFit';

const TARGET = { doseG: 18, yieldG: 36, timeS: 28 };

function withoutShared(localSize: number) {
  return (row: CafeRow): CafeRow => {
    const kept = row.columns.map((at) => at < localSize);
    return {
      ...row,
      columns: row.columns.filter((_, k) => kept[k]),
      values: row.values.filter((_, k) => kept[k]),
    };
  };
}

/** One café, two coffees, six visits; nothing shared (worked (20)). */
function sixVisits() {
  const seen = [
    [0.01, -0.02],
    [0.03, 0],
    [-0.01, 0.02],
    [-0.09, -0.12],
    [-0.08, -0.05],
    [-0.11, -0.09],
  ];
  const checks = seen.flatMap((pair, v) =>
    pair.map((y, k): CafeCheck => ({
      id: `${v}-${k}`,
      visit: String(v),
      atDay: v,
      coffee: k === 0 ? 'A' : 'B',
      batch: 'one',
      doseG: 18,
      yieldG: 36,
      timeS: 28 * Math.exp(y),
      dial: 5,
      shots: 1,
      ageDays: 10,
      target: TARGET,
    })),
  );
  const known = new Map(['A', 'B'].map((coffee) => [coffee, { reference: TARGET, firstDial: 5 }]));
  const all = cafeRows({ checks, known, steps: [] });
  const rows = {
    ...all,
    visits: all.visits.map((visit) => visit.map(withoutShared(all.localSize))),
  };
  const noise = { shotSd: 0.06, visitSd: 0.02 };
  const weights = rows.visits.map((visit) => visit.map((row) => rowWeight(row, null, noise, -0.1)));
  const block = cafeBlock(rows, weights, noise, { mean: -0.1, sd: 0.04 });
  const fit = fitCafe(
    rows,
    block,
    rows.sharedKeys.map(() => 0),
  );
  return {
    fit,
    question: { rows, block, residuals: fit.residuals, sharedCovariance: null, checksADay: 3 },
  };
}

describe('evidence of a step', () => {
  it('gives the worked figures of one café with two coffees', () => {
    const { fit, question } = sixVisits();
    expect(fit.effects[0]).toBeCloseTo(-0.0413, 4);
    expect(fit.effects[1]).toBeCloseTo(-0.043, 4);
    const fourth = candidatesOf(question, null).find(({ fromDay }) => fromDay === 3)!;
    expect(fourth.lnBayes).toBeCloseTo(1.6838, 4);
    expect(fourth.size).toBeCloseTo(-0.0805, 4);
    expect(fourth.sd).toBeCloseTo(0.0351, 4);
    // size = S / (I + 1/.09²), sd = (I + 1/.09²)^-½.
    expect(1 / fourth.sd ** 2 - 1 / 0.09 ** 2).toBeCloseTo(687.3288, 3);
    expect(fourth.size / fourth.sd ** 2).toBeCloseTo(-65.2411, 3);
    const kinds = [null, 0, 1].map((k) => ({
      coffee: k === null ? null : question.rows.coffees[k]!,
      candidates: candidatesOf(question, k).filter(({ fromDay }) => fromDay === 3),
    }));
    expect(kinds[1]!.candidates[0]!.lnBayes).toBeCloseTo(0.5851, 4);
    expect(kinds[2]!.candidates[0]!.lnBayes).toBeCloseTo(0.1371, 4);
    const [likeliest] = weighed(kinds, 3);
    expect(likeliest!.coffee).toBeNull();
    expect(likeliest!.probability).toBeCloseTo(0.0511, 4);
  });
});
