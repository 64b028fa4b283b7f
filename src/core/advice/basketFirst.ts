/** A basket that is too full is answered before the grind. House heuristic (model.md §3c, the basket first). */
import { isTooFull } from '../start/setupLimits';
import { moveTo } from './grind';
import { lastOf, type Judged } from './judge';
import type { Judgement } from './judgement';
import { UNDER_RATING_G } from './nextSetting';
import { plainReason, REASONS } from './reasons';

/** A puck that touches the screen is this much too high, g. */
const SWOLLEN_G = 0.5;

/** Where the basket is full, less goes into it before the grind goes coarser; the dial stays. */
export function basketFirst(judged: Judged, judgement: Judgement): Judgement {
  const { basket, shots, target } = judged.input;
  const isCoarser =
    judgement.move?.variable === 'dial' && judgement.move.message.values?.side === 'coarser';
  if (!isCoarser || shots.length === 0 || judged.isRevised) return judgement;
  const { aimDoseG, dial } = judged;
  // A dose trimmed for the steps of this grinder is meant: the recipe's own is what can be too much.
  const isOver = isTooFull(target.doseG, basket);
  if (!isOver && !lastOf(judged).shot.seen.includes('screenPrint')) return judgement;
  const lessG = Math.max(basket.ratedG - UNDER_RATING_G, aimDoseG - SWOLLEN_G);
  const doseG = isOver ? basket.ratedG : Math.round(10 * lessG) / 10;
  const move = moveTo(judged, { dial, doseG });
  if (move === null) return judgement;
  const isChoked = judgement.reasons.some(({ code }) => code === 'choked');
  const full = REASONS.basketFull({ doseG: aimDoseG, ratedG: basket.ratedG }, isOver);
  return {
    status: 'dose',
    move,
    // Pressure behind the puck is said first, whatever comes next.
    reasons: isChoked ? [plainReason('chokedFull'), full] : [full, ...judgement.reasons],
  };
}
