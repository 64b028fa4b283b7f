import { chanceFrom } from '../random';
import { STEP } from '../trials/coding';
import { SIGN_DIRECTION } from '../trials/surface';
import { RULE_FACTORS } from './factors';
import { learnFactors, type TriedFit } from './learnFactors';

const AT_HOME: TriedFit = {
  cafe: 'near',
  ...{ fine: 30, sour: 0, bitter: 0 },
  ...{ lnLaw: 0, missingC: 0, lnRatioOff: 0, lnTimeOff: 0 },
};

it('keeps the rules where nobody tried another place, and says how far they may be off', () => {
  for (const tried of [[], [AT_HOME], [{ ...AT_HOME, sour: 20 }]]) {
    const learnt = learnFactors(tried);
    expect(learnt).toMatchObject({ baskets: 0, heats: 0, timeShareSd: 0.08, lnRatioPerCSd: 0.02 });
    expect(learnt.timeShare).toBeCloseTo(RULE_FACTORS.timeShare, 12);
    expect(learnt.lnRatioPerHotter).toBeCloseTo(RULE_FACTORS.lnRatioPerHotter, 12);
  }
});

it('gives a basket whose cups are called sour more time, against what the others call theirs', () => {
  const small = { ...AT_HOME, cafe: 'small', lnLaw: 0.69, sour: 15, fine: 15 };
  const learnt = learnFactors([AT_HOME, small]);
  expect(learnt.baskets).toBe(1);
  expect(learnt.timeShare).toBeGreaterThan(RULE_FACTORS.timeShare + 0.02);
  // Where all call everything sour it says little of the basket.
  const allSour = learnFactors([{ ...AT_HOME, sour: 15, fine: 15 }, small]);
  expect(allSour.timeShare).toBeLessThan(learnt.timeShare);
  // The same words at a cup that ran longer than the fit ask for more still.
  expect(learnFactors([AT_HOME, { ...small, lnTimeOff: 0.1 }]).timeShare).toBeGreaterThan(
    learnt.timeShare,
  );
});

it('lets a colder machine ask for more or less ratio, a hotter one the other way', () => {
  const cold = { ...AT_HOME, cafe: 'cold', missingC: 3, bitter: 15, fine: 15 };
  const learnt = learnFactors([AT_HOME, cold]);
  expect(learnt.heats).toBe(1);
  expect(learnt.lnRatioPerCooler).toBeLessThan(RULE_FACTORS.lnRatioPerCooler - 0.002);
  const hot = learnFactors([AT_HOME, { ...cold, missingC: -3 }]);
  expect(hot.lnRatioPerHotter).toBeGreaterThan(RULE_FACTORS.lnRatioPerHotter + 0.002);
});

it('agrees with the sums by hand: one café, one coffee', () => {
  // Lean 4·15/30 = 2, variance 6.25/30 + .36 + .64 + .16; a basket of ln law .69 alone.
  const pull = (SIGN_DIRECTION[2]! / STEP.lnTimeS) * 0.69;
  const variance = 6.25 / 30 + 0.36 + 0.8 ** 2 + 0.4 ** 2;
  const total = 0.65 ** 2 + (pull * 0.08) ** 2 + variance;
  const { timeShare, timeShareSd } = learnFactors([
    { ...AT_HOME, lnLaw: 0.69, sour: 15, fine: 15 },
  ]);
  expect(timeShare - RULE_FACTORS.timeShare).toBeCloseTo((2 * pull * 0.08 ** 2) / total, 10);
  expect(timeShareSd).toBeCloseTo(0.08 * Math.sqrt(1 - (pull * 0.08) ** 2 / total), 10);
});

describe('over 200 made-up networks of twelve cafés', () => {
  const found = Array.from({ length: 200 }, (_, seed) => network(seed));
  const rms = (all: readonly number[]) =>
    Math.sqrt(all.reduce((sum, value) => sum + value ** 2, 0) / all.length);

  it('comes nearer to how baskets and heat really reach, by as much as it claims', () => {
    const shareErrors = found.map(
      ({ share, learnt }) => learnt.timeShare - RULE_FACTORS.timeShare - share,
    );
    const heatErrors = found.map(
      ({ perC, learnt }) => learnt.lnRatioPerCooler - RULE_FACTORS.lnRatioPerCooler - perC,
    );
    expect(rms(shareErrors)).toBeLessThan(0.93 * rms(found.map(({ share }) => share)));
    expect(rms(heatErrors)).toBeLessThan(0.93 * rms(found.map(({ perC }) => perC)));
    const { timeShareSd, lnRatioPerCSd } = found[0]!.learnt;
    expect(Math.abs(rms(shareErrors) / timeShareSd - 1)).toBeLessThan(0.1);
    expect(Math.abs(rms(heatErrors) / lnRatioPerCSd - 1)).toBeLessThan(0.1);
  });

  it('holds the truth in about 8 of 10 of its intervals', () => {
    const held = found.filter(
      ({ share, learnt }) =>
        Math.abs(learnt.timeShare - RULE_FACTORS.timeShare - share) < 1.2816 * learnt.timeShareSd,
    ).length;
    expect(held / found.length).toBeGreaterThan(0.7);
    expect(held / found.length).toBeLessThan(0.9);
  });
});

/** Half its cafés on other baskets, a third at other heat; what each says of three coffees. */
function network(seed: number) {
  const chance = chanceFrom(seed + 1);
  const [share, perC] = [0.08 * chance.normal(), 0.02 * chance.normal()];
  const all = 0.65 * chance.normal();
  const coffees = Array.from({ length: 3 }, () => 0.6 * chance.normal());
  const tried = Array.from({ length: 12 }, (_, i) => {
    const [lnLaw, missingC] = [i % 2 === 0 ? 0 : [0.29, 0.69, -0.2][i % 3]!, i % 3 === 0 ? 3 : 0];
    const zero = all + 0.8 * chance.normal();
    return coffees.map((off): TriedFit => {
      const place = { lnRatioOff: 0.06 * chance.normal(), lnTimeOff: 0.06 * chance.normal() };
      const deserved =
        (SIGN_DIRECTION[0]! / STEP.lnRatio) * (missingC * perC - place.lnRatioOff) +
        (SIGN_DIRECTION[2]! / STEP.lnTimeS) * (lnLaw * share - place.lnTimeOff);
      const words = { fine: 0, sour: 0, bitter: 0 };
      for (let cup = 0; cup < 40; cup++) {
        const felt = deserved + off + zero + 2 * chance.normal();
        words[Math.abs(felt) < 2.5 ? 'fine' : felt > 0 ? 'sour' : 'bitter']++;
      }
      return { cafe: `${i}`, ...words, ...place, lnLaw, missingC };
    });
  }).flat();
  return { share, perC, learnt: learnFactors(tried) };
}
