/** The next shot of one coffee at one café: where it lies, what moved it there, and what to do. */
import { bestMove, type DialStep, type CafeMove } from './advice';
import { ageOffset, lnTimeAt, type CafeCheck, type CafeTarget } from './check';
import { CAFE_RULES } from './cafeRules';
import { fitted } from './cafeFit';
import type { CafesModel, FittedCafe } from './model';
import type { CafeRow } from './rows';
import { rowVariance } from './uncertainty';

const RULES = {
  /** Days of weighings that say what the café usually weighs, worth 2.25 on the recipe. */
  habitDays: 5,
  habitWorth: 2.25,
  visitShare: 0.3,
  /** Unsure of each step of a move, ln time. */
  moveSd: 0.015,
} as const;

/** Where a coffee lies at a café, ln of the expected time ÷ the recipe's. */
export interface LiesAtCafe {
  /** At the recipe's weights. */
  readonly levelLn: number;
  readonly sd: number;
  /** What the café's usual weights add. */
  readonly habitLn: number;
  readonly last: CafeCheck;
}

/**
 * Null before the café has sent a check of the coffee.
 * @param card the recipe it is to pull now; that of its last check where absent
 */
export function whereItLies(
  model: CafesModel,
  cafeId: string,
  coffee: string,
  card?: CafeTarget,
): LiesAtCafe | null {
  const found = lastRow(model, cafeId, coffee);
  if (found === null) return null;
  const { cafe, row, last } = found;
  const { reference } = model.known(cafeId, coffee)!;
  const recent = cafe.rows.visits
    .flat()
    .map(({ check }) => check)
    .filter((check) => check.coffee === coffee && check.atDay >= last.atDay - RULES.habitDays);
  const target = card ?? last.target;
  const offDose = usually(recent.map((check) => check.doseG - check.target.doseG));
  const offYield = usually(recent.map((check) => check.yieldG - check.target.yieldG));
  const usual = { doseG: target.doseG + offDose, yieldG: target.yieldG + offYield };
  const { visitSd } = model.noise(cafeId);
  const variance = rowVariance(row, cafe.block, cafe.covariance) + RULES.visitShare * visitSd ** 2;
  return {
    levelLn:
      fitted(row, cafe.fit.effects) +
      CAFE_RULES.agePerDay * ageOffset(last) +
      lnTimeAt(reference, target) -
      Math.log(target.timeS),
    sd: Math.sqrt(variance),
    habitLn: lnTimeAt(target, usual) - Math.log(target.timeS),
    last,
  };
}

export interface NextAtCafe {
  /** ln of the expected time ÷ the recipe's time, at the café's usual weights. */
  readonly offLn: number;
  readonly sd: number;
  readonly move: CafeMove;
}

/**
 * Null before the café has sent a check of the coffee.
 * @param window of its recipe around the middle, ln
 * @param card the recipe it is to pull now; that of its last check where absent
 */
export function nextAtCafe(
  model: CafesModel,
  cafeId: string,
  coffee: string,
  window: readonly [number, number],
  card?: CafeTarget,
): NextAtCafe | null {
  const lies = whereItLies(model, cafeId, coffee, card);
  if (lies === null) return null;
  const { levelLn, habitLn, sd } = lies;
  const offLn = levelLn + habitLn;
  return { offLn, sd, move: bestMove({ offLn, sd, slope: slopeAt(model, cafeId), window }) };
}

/** What one step of a café's dial does, as far as a move may rely on it. */
export function slopeAt(model: CafesModel, cafeId: string): DialStep {
  const { isStepless } = model.cafe(cafeId);
  return { mean: model.slope(cafeId).mean, sd: RULES.moveSd, isStepless };
}

/** A café's newest row of a coffee. */
export function lastRow(
  model: CafesModel,
  cafeId: string,
  coffee: string,
): { cafe: FittedCafe; row: CafeRow; last: CafeCheck } | null {
  const cafe = model.fitted(cafeId);
  if (cafe === null) return null;
  const row = cafe.rows.visits.flat().findLast(({ check }) => check.coffee === coffee);
  return row === undefined ? null : { cafe, row, last: row.check };
}

function usually(offG: readonly number[]): number {
  return offG.reduce((sum, off) => sum + off, 0) / (offG.length + RULES.habitWorth);
}
