/** One line of a benchmark. */
export interface Measure {
  readonly part: string;
  readonly case: string;
  readonly metric: string;
  readonly value: number;
  readonly unit: string;
}
