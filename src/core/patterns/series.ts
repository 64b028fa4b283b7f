/** Plain summaries of a series in time. Source: the median (published). */

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
