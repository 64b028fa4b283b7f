import { chanceFrom } from '../random';
import type { RowWeight } from './block';
import { CAFE_RULES } from './cafeRules';
import { learntShotSd, learntVisitSd, NO_NOISE, noiseSums } from './noise';

/** Visits of four shots with known scatter, as a fit leaves them. */
function left(visits: number, { shotSd, visitSd }: { shotSd: number; visitSd: number }) {
  const chance = chanceFrom(visits);
  const residuals = Array.from({ length: visits }, () => {
    const shared = visitSd * chance.normal();
    return Array.from({ length: 4 }, () => shared + shotSd * chance.normal());
  });
  const variance = shotSd ** 2;
  const weight: RowWeight = { w: 1 / variance, good: 1, variance, shotVariance: variance };
  const weights = residuals.map((visit) => visit.map(() => weight));
  const visitShare = residuals.map(() => 1 / (1 / visitSd ** 2 + 4 / variance));
  return noiseSums(
    { weights, visitShare } as unknown as Parameters<typeof noiseSums>[0],
    residuals,
  );
}

it('is what is believed beforehand until a shot says otherwise', () => {
  expect(learntShotSd(NO_NOISE)).toBeCloseTo(CAFE_RULES.noise.sd, 12);
  expect(learntVisitSd([])).toBeCloseTo(CAFE_RULES.visit.sd, 12);
  expect(learntVisitSd([NO_NOISE, NO_NOISE])).toBeCloseTo(CAFE_RULES.visit.sd, 12);
});

it('comes to how a café and its visits really scatter', () => {
  for (const truth of [
    { shotSd: 0.04, visitSd: 0.03 },
    { shotSd: 0.1, visitSd: 0.02 },
  ]) {
    const sums = left(3000, truth);
    expect(Math.abs(learntShotSd(sums) / truth.shotSd - 1)).toBeLessThan(0.03);
    expect(Math.abs(learntVisitSd([sums]) / truth.visitSd - 1)).toBeLessThan(0.1);
  }
});

it('weighs thirty shots of a café against the sixty its prior is worth', () => {
  const sums = { shots: 30, shotSquares: 30 * 0.12 ** 2, visits: 0, visitSquares: 0 };
  expect(learntShotSd(sums) ** 2).toBeCloseTo((60 * 0.06 ** 2 + 30 * 0.12 ** 2) / 90, 12);
});

it('counts an odd shot for as little as it is believed to be sound', () => {
  const weight = { w: 100, variance: 0.01, shotVariance: 0.01 };
  const block = (good: number) =>
    ({ weights: [[{ ...weight, good }]], visitShare: [0] }) as unknown as Parameters<
      typeof noiseSums
    >[0];
  const sound = noiseSums(block(1), [[0.5]]);
  const odd = noiseSums(block(0.1), [[0.5]]);
  expect(odd.shots).toBeCloseTo(0.1, 12);
  expect(odd.shotSquares).toBeCloseTo(0.1 * sound.shotSquares, 12);
});
