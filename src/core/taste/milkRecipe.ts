/** A first recipe for milk drinks, from the straight one. */
import { settableG } from '../extraction/settable';

/**
 * Milk thins strength and hides acidity: a shorter shot of the same dose says more in the cup. House heuristic;
 * cups in milk move it from there.
 */
const MILK_SHARE = 0.85;

/** Grams in the cup to begin with, settable on the bench. */
export const milkYieldG = ({ yieldG }: { readonly yieldG: number }): number =>
  settableG(MILK_SHARE * yieldG);
