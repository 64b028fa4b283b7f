/** A longer gap than this between two shots is a break, not work. House heuristic. */
const BREAK_MIN = 25;
/** What the first shot of a run takes. House heuristic. */
const SHOT_MIN = 3;

/** Minutes spent at the bench, from the moments of its shots in order (ISO 8601); breaks count nothing. */
export function benchMinutes(moments: readonly string[]): number {
  return moments.reduce((minutes, moment, i) => {
    const before = moments[i - 1];
    const gap =
      before === undefined ? Infinity : (Date.parse(moment) - Date.parse(before)) / 60_000;
    return minutes + (gap > BREAK_MIN ? SHOT_MIN : Math.max(0, gap));
  }, 0);
}
