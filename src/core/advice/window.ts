/**
 * The window that follows a cup: one that is much liked outside it, or, where taste comes first, one that is
 * right. House heuristic (model.md §3, taste and clock together).
 */
import type { CodedMessage } from '../message';
import { directionOf, lastOf, type Judged } from './judge';
import { USUAL_JUDGING } from './types';
import { REASONS } from './reasons';

/** A cup this much liked outside the window moves the window. */
const LIKED_OUTSIDE = 8;

/** A cup without a fault that is much liked, though its time is outside the window. */
export function isLikedOutside(judged: Judged): boolean {
  const { shot, mark } = lastOf(judged);
  const verdict = directionOf(shot, judged.input.target.roastLevel)?.verdict;
  return (
    mark.side !== 'inside' &&
    (shot.taste?.liking ?? 0) >= LIKED_OUTSIDE &&
    (verdict === 'right' || verdict === 'unclear')
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

/** The window of the same width around the time of the last shot. */
function windowAround(judged: Judged): readonly [number, number] {
  const [low, high] = judged.input.target.timeS;
  const shift = Math.round(lastOf(judged).mark.timeOnTargetClockS - (low + high) / 2);
  return [low + shift, high + shift];
}

export function windowMoves(judged: Judged): CodedMessage {
  return REASONS.likedOutside(...windowAround(judged));
}

/** Where the window should follow a cup that is liked outside it. */
export function movableWindow(judged: Judged): readonly [number, number] | null {
  if (judged.input.shots.length === 0 || judged.isRevised) return null;
  const isRight = judged.input.target.tasteFirst && isRightEnough(judged);
  const isOutside = lastOf(judged).mark.side !== 'inside';
  return isLikedOutside(judged) || (isRight && isOutside) ? windowAround(judged) : null;
}
