/**
 * Plain summaries of what a house has written down: a mean with its interval, an early and a late half
 * beside each other. Source: Student's t interval of a mean (published); what counts as one observation
 * is a house heuristic: a release, since cups of one coffee say the same thing many times.
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

/** Middle value; of an even number the mean of the two middle ones; null without any. */
export function medianOf(values: readonly number[]): number | null {
  if (values.length === 0) return null;
  const sorted = [...values].sort((a, b) => a - b);
  const at = (sorted.length - 1) / 2;
  return (sorted[Math.floor(at)]! + sorted[Math.ceil(at)]!) / 2;
}

/** The older and the newer half of a series in time; the newer gets the odd one. */
export function halves<T>(
  series: readonly T[],
): readonly [older: readonly T[], newer: readonly T[]] {
  const middle = Math.floor(series.length / 2);
  return [series.slice(0, middle), series.slice(middle)];
}

/** Groups by a key, in the order the keys first come. */
export function groupBy<T, K>(items: readonly T[], keyOf: (item: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>();
  for (const item of items) {
    const key = keyOf(item);
    const group = groups.get(key);
    if (group) group.push(item);
    else groups.set(key, [item]);
  }
  return groups;
}
