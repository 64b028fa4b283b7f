/** Grams of a batch that are left for shots and checks. Pure. */

interface Bag {
  readonly bagG: number;
  /** What was pulled out of this bag, purges and all. */
  readonly spentG: number;
}

/**
 * Of what was said to be set aside, less every shot of the batch; else of what its bags hold, less what came out of them:
 * shots of ordinary stock are no matter of theirs. Null where nothing was noted; below 0 where more was pulled than said.
 */
export function coffeeLeftG({
  sampleG,
  bags,
  spentG,
}: {
  readonly sampleG: number | undefined;
  readonly bags: readonly Bag[];
  /** Of all shots of the batch, purges and all. */
  readonly spentG: number;
}): number | null {
  if (sampleG !== undefined) return sampleG - spentG;
  if (bags.length === 0) return null;
  return bags.reduce((sum, bag) => sum + Math.max(0, bag.bagG - bag.spentG), 0);
}
