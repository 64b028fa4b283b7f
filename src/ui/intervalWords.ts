/** An 80 % interval as it is said at a bar. */
export const intervalWords = (low: string, high: string): string =>
  `likely ${low}-${high} (8 in 10)`;
