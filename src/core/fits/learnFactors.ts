/**
 * What cafés on other baskets and at other temperatures teach of the factors of fits: if a fit is right, what a café calls
 * sour or bitter at it has nothing to do with its basket or its heat. Each café's lean, brought to the place the rule gives it,
 * is a line in how far the law and the missing heat reach; its own taste scatters around that line.
 * Source: Bayesian linear regression (published, textbook); priors, spreads and the direction of signs are house heuristics.
 * Units: points of under less over; lnLaw dimensionless, heat in °C.
 */
import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { STEP } from '../trials/coding';
import { SIGN_DIRECTION } from '../trials/surface';
import { CAFE_TASTE, leanOf, type Words } from '../cafes/cafeTaste';
import { groupBy } from '../groupBy';
import { RULE_FACTORS, type FitFactors } from './factors';

/** What one café said of one coffee, pulled near the fit of its card. */
export interface TriedFit extends Words {
  readonly cafe: string;
  /** Of the basket's law, and heat that could not be set: what the factors act on. */
  readonly lnLaw: number;
  readonly missingC: number;
  /** Where its cups really were, from the place that the rules' factors give; ln. */
  readonly lnRatioOff: number;
  readonly lnTimeOff: number;
}

export interface LearntFactors extends FitFactors {
  readonly timeShareSd: number;
  /** Of both answers to heat. */
  readonly lnRatioPerCSd: number;
  /** Cafés that taught it: on another basket, at another heat. */
  readonly baskets: number;
  readonly heats: number;
}

/** How far the rules may be off, and where all cafés of a house together set their "fine". */
const PRIOR = { timeShareSd: 0.08, lnRatioPerCSd: 0.02, zeroSd: 0.65 } as const;
/** Less law or heat than this teaches nothing. */
const COUNTS_FROM = { lnLaw: 0.02, missingC: 0.75 } as const;

/** Points of the sign that ln ratio and ln time take away, at the usual strength of signs. */
const PULL = {
  ratio: SIGN_DIRECTION[0]! / STEP.lnRatio,
  time: SIGN_DIRECTION[2]! / STEP.lnTimeS,
} as const;

/** The factors after what cafés tried; the rules' own where none tried another place. */
export function learnFactors(tried: readonly TriedFit[]): LearntFactors {
  const cafes = [...groupBy(tried, ({ cafe }) => cafe).values()].flatMap(
    (own) => cafeOf(own) ?? [],
  );
  const A = Matrix.diag([PRIOR.zeroSd ** -2, PRIOR.timeShareSd ** -2, PRIOR.lnRatioPerCSd ** -2]);
  const b = Matrix.zeros(3, 1);
  for (const { lnLaw, missingC, lean, variance } of cafes) {
    const row = Matrix.columnVector([1, PULL.time * lnLaw, PULL.ratio * missingC]);
    A.add(row.mmul(row.transpose()).div(variance));
    b.add(Matrix.mul(row, lean / variance));
  }
  const inverse = new CholeskyDecomposition(A).solve(Matrix.eye(3));
  const [, share, perC] = inverse.mmul(b).to1DArray();
  return {
    timeShare: RULE_FACTORS.timeShare + share!,
    lnRatioPerCooler: RULE_FACTORS.lnRatioPerCooler + perC!,
    lnRatioPerHotter: RULE_FACTORS.lnRatioPerHotter + perC!,
    timeShareSd: Math.sqrt(inverse.get(1, 1)),
    lnRatioPerCSd: Math.sqrt(inverse.get(2, 2)),
    baskets: cafes.filter(({ lnLaw }) => Math.abs(lnLaw) > COUNTS_FROM.lnLaw).length,
    heats: cafes.filter(({ missingC }) => Math.abs(missingC) > COUNTS_FROM.missingC).length,
  };
}

/** A café's lean at the fit itself, over its coffees: the mean of what its fits reach over, weighted alike. */
function cafeOf(own: readonly TriedFit[]) {
  let precision = 0;
  const sums = { lean: 0, lnLaw: 0, missingC: 0 };
  for (const tried of own) {
    const lean = leanOf(tried);
    if (lean === null) continue;
    const weight = 1 / (lean.variance + CAFE_TASTE.coffeeSd ** 2);
    const moved = PULL.ratio * tried.lnRatioOff + PULL.time * tried.lnTimeOff;
    precision += weight;
    sums.lean += weight * (lean.u + moved);
    sums.lnLaw += weight * tried.lnLaw;
    sums.missingC += weight * tried.missingC;
  }
  if (precision === 0) return null;
  return {
    lean: sums.lean / precision,
    lnLaw: sums.lnLaw / precision,
    missingC: sums.missingC / precision,
    variance: 1 / precision + CAFE_TASTE.zeroSd ** 2 + CAFE_TASTE.ownSd ** 2,
  };
}
