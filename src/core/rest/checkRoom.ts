/** Which of the checks still ahead the coffee left of a batch is enough for. House heuristic. */
import { CHECK_KINDS, type PlannedCheck } from './checkPlan';

export interface CheckRoom {
  /** Those there is coffee for, earliest first. */
  readonly kept: readonly PlannedCheck[];
  /** Those there is none for. */
  readonly dropped: readonly PlannedCheck[];
  /** Grams to hold back for all that are ahead, and how many of them are missing. */
  readonly neededG: number;
  readonly shortG: number;
}

/**
 * @param ahead the checks still to come, earliest first.
 * @param leftG of the batch; null where nobody said how much was set aside: nothing is dropped.
 */
export function checkRoom(
  ahead: readonly PlannedCheck[],
  { leftG, gramsEach }: { readonly leftG: number | null; readonly gramsEach: number },
): CheckRoom {
  const neededG = ahead.length * gramsEach;
  const affordable =
    leftG === null ? ahead.length : Math.max(0, Math.floor(leftG / gramsEach + 1e-9));
  // The most telling first, as in the plan.
  const telling = [...ahead].sort(
    (a, b) => CHECK_KINDS.indexOf(a.kind) - CHECK_KINDS.indexOf(b.kind),
  );
  const kept = new Set(telling.slice(0, affordable));
  return {
    kept: ahead.filter((check) => kept.has(check)),
    dropped: ahead.filter((check) => !kept.has(check)),
    neededG,
    shortG: leftG === null ? 0 : Math.max(0, neededG - leftG),
  };
}
