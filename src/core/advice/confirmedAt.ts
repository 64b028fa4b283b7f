/**
 * When a dial-in was first confirmed: the same judgement as the advice, asked shot by shot afterwards.
 */
import { isSameDial } from '../grinder/dial';
import type { Shot } from '../schema/shot';
import { cannotLand } from './judge';
import { nextMove } from './next';
import type { NextInput } from './types';

/** A dial-in that took more never was one. House heuristic. */
const MOST_SHOTS = 100;

/**
 * Number of shots pulled until the recipe was first confirmed, or null when it never was.
 * `targetOf` gives the target a shot was pulled for; shots of another target confirm nothing.
 */
export function shotsToConfirmed<T>(
  input: Omit<NextInput, 'target' | 'shots' | 'targetFrom'>,
  shots: readonly { readonly shot: Shot; readonly recipe: T }[],
  targetOf: (recipe: T) => NextInput['target'],
): number | null {
  const most = Math.min(shots.length, MOST_SHOTS);
  for (let count = 2; count <= most; count++) {
    const [before, last] = [shots[count - 2]!, shots[count - 1]!];
    // Two sound shots at one setting are the least that can confirm: others need not be judged.
    if (before.recipe !== last.recipe || !isSameDial(before.shot.dial, last.shot.dial)) continue;
    const target = targetOf(last.recipe);
    if (cannotLand(before.shot, target) || cannotLand(last.shot, target)) continue;
    const { status } = nextMove({
      ...input,
      target,
      targetFrom: shots.findIndex(({ recipe }) => recipe === last.recipe),
      shots: shots.slice(0, count).map(({ shot }) => shot),
    });
    if (status === 'confirmed') return count;
  }
  return null;
}
