/**
 * Batches of one release side by side: what lies further apart than shots and palates scatter. House heuristic: each
 * figure is held against the others' weighted mean, and counts as other where their 80 % bands leave no room.
 */
import { Z_80 } from '../grinder/dial';
import type { Estimate } from '../rest/houseAgeing';

/** The mean of estimates, each counted by how sure it is. @throws never; null where there are none. */
export function pooled(estimates: readonly Estimate[]): Estimate | null {
  if (estimates.length === 0) return null;
  const weights = estimates.map(({ sd }) => 1 / sd ** 2);
  const sum = weights.reduce((total, weight) => total + weight, 0);
  const mean = estimates.reduce((total, { mean: one }, i) => total + weights[i]! * one, 0) / sum;
  return { mean, sd: Math.sqrt(1 / sum) };
}

/** For each estimate, whether it differs from the others more than they scatter; false where it stands alone. */
export function apart(estimates: readonly (Estimate | null)[]): boolean[] {
  return estimates.map((own, i) => {
    const others = pooled(estimates.filter((one, j): one is Estimate => one !== null && j !== i));
    if (!own || !others) return false;
    return Math.abs(own.mean - others.mean) > Z_80 * Math.hypot(own.sd, others.sd);
  });
}
