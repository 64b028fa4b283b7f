/**
 * When a dial-in was first on target, tasted or not: the same judgement as the advice, asked shot by shot afterwards.
 */
import { isSameDial } from '../grinder/dial';
import type { Shot } from '../schema/shot';
import { isUnsound } from './judge';
import { nextMove } from './next';
import { LEAST_SHOTS } from './proofCost';
import type { NextInput } from './types';

/** A dial-in that took more never was one. House heuristic. */
const MOST_SHOTS = 100;

/**
 * Number of shots pulled until a setting of the recipe was first on target, or null when none was.
 * `targetOf` gives the target a shot was pulled for; shots of another target prove nothing.
 */
export function shotsToTarget<T>(
  input: Omit<NextInput, 'target' | 'shots' | 'targetFrom'>,
  shots: readonly { readonly shot: Shot; readonly recipe: T }[],
  targetOf: (recipe: T) => NextInput['target'],
): number | null {
  const most = Math.min(shots.length, MOST_SHOTS);
  for (let count = input.carry ? 1 : LEAST_SHOTS; count <= most; count++) {
    const [before, last] = [shots[count - 2], shots[count - 1]!];
    // Where nothing came over two shots at one setting are the least that can prove it.
    const isPair = before?.recipe === last.recipe && isSameDial(before.shot.dial, last.shot.dial);
    if (!input.carry && !isPair) continue;
    const target = targetOf(last.recipe);
    if (isUnsound(last.shot, target)) continue;
    const { status } = nextMove({
      ...input,
      target,
      targetFrom: shots.findIndex(({ recipe }) => recipe === last.recipe),
      shots: shots.slice(0, count).map(({ shot }) => shot),
    });
    if (status === 'onTarget' || status === 'approved') return count;
  }
  return null;
}
