/**
 * A mean of what a house has written down, with its interval. Source: Student's t interval of a mean
 * (published); what counts as one observation is a house heuristic: a release, since cups of one coffee
 * say the same thing many times.
 */
import jStat from 'jstat';

export interface MeanOf {
  readonly mean: number;
  /** Half of the 80 % interval of the mean; null from a single value, which has none. */
  readonly half80: number | null;
  readonly count: number;
}

/** Mean of values with the 80 % interval of the mean; null without any. */
export function meanOf(values: readonly number[]): MeanOf | null {
  const count = values.length;
  if (count === 0) return null;
  const mean = values.reduce((sum, value) => sum + value, 0) / count;
  if (count === 1) return { mean, half80: null, count };
  const squares = values.reduce((sum, value) => sum + (value - mean) ** 2, 0);
  const standardError = Math.sqrt(squares / (count - 1) / count);
  return { mean, half80: jStat.studentt.inv(0.9, count - 1) * standardError, count };
}
