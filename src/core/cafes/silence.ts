/** Is a café silent, or did it only miss a check? By its own share of missed checks, Beta(2, 8) before any (house heuristic). */
export const SILENCE = {
  prior: { missed: 2, made: 8 },
  forgetting: 0.995,
  /** One café in so many falls silent at any check. */
  chanceOneIn: 300,
  opensAt: 9,
} as const;

/** Share of its checks that a café usually misses, by what it did before, oldest first. */
export function missedShare(wasMade: readonly boolean[]): number {
  let { missed, made }: { missed: number; made: number } = SILENCE.prior;
  for (const isMade of wasMade) {
    missed = missed * SILENCE.forgetting + (isMade ? 0 : 1);
    made = made * SILENCE.forgetting + (isMade ? 1 : 0);
  }
  return missed / (missed + made);
}

/** Odds that a café has fallen silent after so many checks missed in a row; q is its usual missed share. */
export function silenceOdds(missedInARow: number, q: number): number {
  let sum = 0;
  for (let j = 1; j <= missedInARow; j++) sum += q ** -j;
  return sum / SILENCE.chanceOneIn;
}
