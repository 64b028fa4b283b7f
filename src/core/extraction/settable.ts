/** What a bench can set: a cup is stopped by half a gram, a temperature set by half a degree. House heuristic. */
export const settableG = (g: number): number => Math.round(2 * g) / 2;
export const settableC = (c: number): number => Math.round(2 * c) / 2;

/** So much more than its rating a lead may put into a basket, g. House heuristic. */
export const OVER_RATING_G = 1;
