/**
 * How age moves the time of a shot (model.md §5b). Not a straight line: ψ(d) = 24·ln((d + 10)/24) has the
 * slope 1 at day 14 and flattens after it, so that a change of ln time per day at day 14 times ψ is the
 * effect of age. d is rest days, so that frozen spells stop the clock. House heuristic, prototyped.
 */
const AT_DAY = 14;
/** ψ adds so many days before it takes the logarithm. */
export const OFFSET_DAYS = 10;

/** ψ of a rest day, in days as they count at day 14; 0 there. */
export function ageOf(restDays: number): number {
  const scale = AT_DAY + OFFSET_DAYS;
  return scale * Math.log((restDays + OFFSET_DAYS) / scale);
}

/** Variance of ln time that fresh gas adds on a rest day. */
export function freshVariance(restDays: number): number {
  return (0.235 * Math.exp(-restDays / 3)) ** 2;
}
