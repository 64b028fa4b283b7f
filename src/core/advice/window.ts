/**
 * The window that follows a cup: one that is much liked outside it, or, where taste comes first, one that is
 * right. A liked cup that was cut early, or ran on, gives its yield too. House heuristic (model.md §3, taste and clock
 * together).
 */
import type { CodedMessage } from '../message';
import { isWellLiked } from '../taste/direction';
import { directionOf, lastOf, type Judged } from './judge';
import { shotsAt } from './onTarget';
import { settingNow } from './grind';
import { USUAL_JUDGING, type Kept } from './types';
import { REASONS } from './reasons';

/** A cup this much liked outside the window moves the window. */
const LIKED_OUTSIDE = 8;
/** So many such cups, and keeping them is the next step. */
const LIKED_TWICE = 2;

const isLiked = ({ target }: Judged['input'], shot: Judged['input']['shots'][number]): boolean => {
  const verdict = directionOf(shot, target.roastLevel)?.verdict;
  return (
    (shot.taste?.liking ?? 0) >= LIKED_OUTSIDE && (verdict === 'right' || verdict === 'unclear')
  );
};

/** Cups of this recipe, pulled with its dose, that are much liked though time or yield is not the recipe's; as the last one. */
function likedOutside({ input, marks }: Judged) {
  const last = marks.at(-1)!;
  return input.shots.flatMap((shot, i) => {
    const mark = marks[i]!;
    const isOfRecipe = i >= (input.targetFrom ?? 0);
    const isOutside = mark.side === 'fast' || mark.side === 'slow' || !mark.inYield;
    const isLikeLast = mark.side === last.side && mark.inYield === last.inYield;
    return isOfRecipe && mark.inDose && isOutside && isLikeLast && isLiked(input, shot)
      ? [{ shot, mark }]
      : [];
  });
}

/** A cup without a fault that is much liked, though its time or its yield is another. */
export function isLikedOutside(judged: Judged): boolean {
  return likedOutside(judged).some(({ shot }) => shot === lastOf(judged).shot);
}

/** Liked twice there: keeping it is the next step, in every house. */
export function isKeptOutside(judged: Judged): boolean {
  return isLikedOutside(judged) && likedOutside(judged).length >= LIKED_TWICE;
}

/** A good shot in its window was liked too much to move away from it. */
export function isWonHere(judged: Judged): boolean {
  return shotsAt(judged, settingNow(judged)).here.some(
    ({ shot, mark }) => mark.landed && shot.taste !== undefined && isWellLiked(shot.taste),
  );
}

/** In balance, and liked as far as anybody said: where taste comes first the window follows the cup. */
export function isRightEnough(judged: Judged): boolean {
  const { target, leastLiking = USUAL_JUDGING.leastLiking } = judged.input;
  const { shot } = lastOf(judged);
  return (
    directionOf(shot, target.roastLevel)?.verdict === 'right' &&
    (shot.taste?.liking ?? leastLiking) >= leastLiking
  );
}

/** The recipe that keeps such a cup: a window of the same width around its time, and its yield where that is another. */
function keptFrom(judged: Judged): Kept {
  const { target } = judged.input;
  const [low, high] = target.timeS;
  const liked = likedOutside(judged);
  const cups = liked.length > 0 ? liked : [lastOf(judged)];
  const meanOf = (values: readonly number[]) =>
    values.reduce((sum, value) => sum + value, 0) / values.length;
  const meanS = meanOf(cups.map(({ mark }) => mark.timeOnTargetClockS));
  const shift = Math.round(meanS - (low + high) / 2);
  const yieldG = meanOf(cups.map(({ shot }) => shot.yieldG));
  return {
    timeS: [low + shift, high + shift],
    yieldG: cups.every(({ mark }) => mark.inYield) ? null : Math.round(2 * yieldG) / 2,
  };
}

export function keptMessage(judged: Judged): CodedMessage {
  return REASONS.likedOutside(keptFrom(judged));
}

/** How the recipe should follow a cup that is liked outside it; null where it stands. */
export function keptRecipe(judged: Judged): Kept | null {
  if (judged.input.shots.length === 0 || judged.isRevised) return null;
  const isRight = judged.input.target.tasteFirst && isRightEnough(judged);
  const isOutside = lastOf(judged).mark.side !== 'inside';
  return isLikedOutside(judged) || (isRight && isOutside) ? keptFrom(judged) : null;
}
