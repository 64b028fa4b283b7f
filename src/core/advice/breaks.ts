/** Which shots came first after a pause. House heuristic: a machine that stood this long is cold in parts. */
const COLD_AFTER_MIN = 45;

/** For each moment, ISO 8601 in order: did it come first after a pause? */
export function firstsAfterBreak(moments: readonly string[]): boolean[] {
  return moments.map((moment, i) => {
    const before = moments[i - 1];
    const gapMs = before === undefined ? Infinity : Date.parse(moment) - Date.parse(before);
    return gapMs > COLD_AFTER_MIN * 60_000;
  });
}
