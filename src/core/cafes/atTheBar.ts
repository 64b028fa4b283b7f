/**
 * The very next move at a café, at once and without a network: what the field last knew of this coffee there, and the
 * shot in hand. One step of the same normal model as the field's own, robust against an odd shot; when the check has
 * arrived the whole model says it again. Seconds count from the pump (house heuristic).
 */
import { DEFAULT_TOLERANCE, yieldTolerance } from '../tolerance';
import { bestMove, chanceAfter, type DialStep, type CafeMove } from './advice';
import { soundShare } from './block';
import { lnTimeAt, type CafeTarget } from './check';
import { isChoked } from './checkState';
import { CAFE_RULES, ODD_UNDER } from './cafeRules';

/** What the house sends of one coffee at one café. */
export interface KnownAtCafe {
  /** ln of the expected time ÷ the recipe's, at the recipe's weights and `dial`. */
  readonly levelLn: number;
  readonly sd: number;
  /** What the café's usual weights add. */
  readonly habitLn: number;
  /** In the model's steps; null: never written down. */
  readonly dial: number | null;
  readonly slope: DialStep;
  readonly shotSd: number;
  readonly visitSd: number;
}

/** A café that has sent nothing yet. */
export const NOTHING_KNOWN: KnownAtCafe = {
  levelLn: 0,
  sd: CAFE_RULES.levelSd,
  habitLn: 0,
  dial: null,
  slope: CAFE_RULES.slope,
  shotSd: CAFE_RULES.noise.sd,
  visitSd: CAFE_RULES.visit.sd,
};

export interface BarShot {
  readonly doseG: number;
  readonly yieldG: number;
  readonly timeS: number;
  readonly dial: number | null;
  readonly taste?: string | undefined;
}

export interface BarAnswer {
  /** What comes first: nothing, a weight, a choke, an odd shot, the grind, or the taste. */
  readonly first: 'stay' | 'dose' | 'yield' | 'choked' | 'odd' | 'grind' | 'taste';
  /** Against the nearer edge of the window, s on its clock; 0 inside, less than 0 fast. */
  readonly missS: number;
  readonly offDoseG: number;
  readonly offYieldG: number;
  readonly move: CafeMove;
}

const COARSER_AFTER_CHOKE: CafeMove = { steps: 2, inWindow: 0, asItIs: 0 };

/**
 * @param windowS the recipe's window, from the pump
 * @param target its weights and the middle of that window
 */
export function answerAtTheBar(
  shot: BarShot,
  known: KnownAtCafe,
  target: CafeTarget,
  windowS: readonly [number, number],
): BarAnswer {
  const offDoseG = shot.doseG - target.doseG;
  const offYieldG = shot.yieldG - target.yieldG;
  const [low, high] = windowS;
  const missS = shot.timeS < low ? shot.timeS - low : shot.timeS > high ? shot.timeS - high : 0;
  const said = { missS, offDoseG, offYieldG };
  if (isChoked({ ...shot, target: { yieldG: target.yieldG, timeS: windowS } }))
    return { ...said, first: 'choked', move: COARSER_AFTER_CHOKE };
  const { offLn, sd, good } = updated(shot, known, target);
  const window = [Math.log(low / target.timeS), Math.log(high / target.timeS)] as const;
  const question = { offLn, sd, slope: known.slope, window };
  const move = bestMove(question);
  const isDoseOff = Math.abs(offDoseG) > DEFAULT_TOLERANCE.doseG;
  const isYieldOff = Math.abs(offYieldG) > yieldTolerance(DEFAULT_TOLERANCE.yieldG, target.yieldG);
  if (isDoseOff) return { ...said, first: 'dose', move };
  if (isYieldOff) return { ...said, first: 'yield', move };
  // A cup they like is kept, whatever the clock says.
  if (shot.taste === 'fine' && missS !== 0) return { ...said, first: 'stay', move: stay(question) };
  if (good < ODD_UNDER && missS !== 0) return { ...said, first: 'odd', move: stay(question) };
  if (move.steps !== 0 && isToldBySide(missS, move, known))
    return { ...said, first: 'grind', move };
  const isTasteOff = shot.taste !== undefined && shot.taste !== 'fine' && missS === 0;
  return { ...said, first: isTasteOff ? 'taste' : 'stay', move: stay(question) };
}

const stay = (question: Parameters<typeof bestMove>[0]): CafeMove => {
  const asItIs = chanceAfter(0, question);
  return { steps: 0, inWindow: asItIs, asItIs };
};

/** A shot that ran fast is never answered by coarser, nor a slow one by finer. */
function isToldBySide(missS: number, { steps }: CafeMove, { slope }: KnownAtCafe): boolean {
  return missS === 0 || Math.sign(steps * slope.mean) === -Math.sign(missS);
}

function updated(shot: BarShot, known: KnownAtCafe, target: CafeTarget) {
  const { slope, shotSd, visitSd, habitLn } = known;
  const moved = shot.dial === null || known.dial === null ? 0 : shot.dial - known.dial;
  const prior = known.levelLn + slope.mean * moved;
  const priorVariance = known.sd ** 2 + (slope.sd * moved) ** 2;
  const seen = Math.log(shot.timeS) - lnTimeAt(target, shot);
  const usual = shotSd ** 2 + visitSd ** 2;
  const wide = usual + CAFE_RULES.odd.sd ** 2;
  const residual = seen - prior;
  const good = soundShare(residual, usual + priorVariance);
  const precision = good / usual + (1 - good) / wide;
  const gain = priorVariance / (priorVariance + 1 / precision);
  return {
    offLn: prior + gain * residual + habitLn,
    sd: Math.sqrt((1 - gain) * priorVariance),
    good,
  };
}
