/** How far off dose and yield may be before a shot is no evidence, g. */
export const DEFAULT_TOLERANCE = { doseG: 0.3, yieldG: 1 } as const;
/** People accept a yield within about this share. Source: trade practice. */
const YIELD_SHARE = 0.04;

/** Grams a yield may be off: the house's, at least 4 % of the yield, to .1 g. */
export function yieldTolerance(leastG: number, yieldG: number): number {
  return Math.max(leastG, Math.round(10 * YIELD_SHARE * yieldG) / 10);
}
