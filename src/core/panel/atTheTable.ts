/** Rules of thumb of a flight: how long cups and machines need, and how many share a shot. House heuristics. */

/** Seconds a cup cools before it is judged warm. House heuristic: some minutes (work.md). */
export const COOL_S = 180;

/** Minutes a machine takes to settle at another temperature. House heuristic: about one for each °C, two at least. */
export const settleMin = (fromC: number, toC: number): number =>
  fromC === toC ? 0 : Math.max(2, Math.ceil(Math.abs(toC - fromC)));

/** Tasters who share the cup of one shot by spoon. House heuristic. */
export const TASTERS_PER_SHOT = 6;
