/**
 * A house changes its mind: what it published long ago counts for less. House heuristic (model.md §2).
 */

/** Releases after which a recipe counts half. */
export const DEFAULT_HALF_LIFE = 50;

/** Weight of the release k ago, the newest being 0 ago: .5^(k/halfLife); 1 for all without one. */
export function recencyWeight(ago: number, halfLife: number | null): number {
  return halfLife === null ? 1 : 0.5 ** (ago / halfLife);
}
