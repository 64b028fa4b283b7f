/** One line of a benchmark. */
export interface Measure {
  readonly part: string;
  readonly case: string;
  readonly metric: string;
  readonly value: number;
  readonly unit: string;
}

export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)]!;
}
