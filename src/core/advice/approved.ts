/**
 * When a recipe that is on target is approved too: one of its good shots was tasted, without a fault, and liked as much as the
 * house asks. House heuristic.
 */
import type { Shot } from '../schema/shot';
import { directionOf, type Judged } from './judge';
import { USUAL_JUDGING, type ShotMark } from './types';

/** Was one of these shots tasted, without a fault and liked? */
export function hasLikedCup(
  judged: Judged,
  shots: readonly { readonly shot: Shot; readonly mark: ShotMark }[],
): boolean {
  const { target, leastLiking = USUAL_JUDGING.leastLiking } = judged.input;
  return shots.some(
    ({ shot, mark }) =>
      mark.valid &&
      directionOf(shot, target.roastLevel)?.verdict === 'right' &&
      (shot.taste?.liking ?? 0) >= leastLiking,
  );
}
