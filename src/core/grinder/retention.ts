/**
 * Grounds of the old setting that stay in the grinder. Dials in dial numbers, masses in grams.
 * Source: model.md §3 (a single well-mixed chamber; heuristic form). Caveat: real grinders also hold
 * coffee in dead corners that come loose later.
 */

/** A "purged" tick without a figure means this many times the retained mass. House heuristic. */
export const PURGE_TIMES_RETENTION = 2;

export interface Passage {
  /** Grounds the grinder holds, g. */
  readonly retentionG: number;
  readonly doseG: number;
  /** Thrown away at the new setting before the dose, g. */
  readonly purgeG: number;
}

/** Share ρ of the dose that was still ground at the chamber's setting, 0-1. */
export function carriedShare({ retentionG, doseG, purgeG }: Passage): number {
  if (retentionG <= 0) return 0;
  return (
    (retentionG / doseG) * Math.exp(-purgeG / retentionG) * (1 - Math.exp(-doseG / retentionG))
  );
}

/** The setting the dose was on average ground at: (1 − ρ)·new + ρ·chamber. */
export function effectiveDial(dial: number, chamberDial: number, passage: Passage): number {
  const share = carriedShare(passage);
  return (1 - share) * dial + share * chamberDial;
}

/** The chamber's mean setting after purge and dose have passed. */
export function chamberAfter(dial: number, chamberDial: number, passage: Passage): number {
  const { retentionG, doseG, purgeG } = passage;
  if (retentionG <= 0) return dial;
  const afterPurge = dial + (chamberDial - dial) * Math.exp(-purgeG / retentionG);
  return dial + (afterPurge - dial) * Math.exp(-doseG / retentionG);
}

/** Grams to purge after a change of setting, to the half gram; 0 for a grinder that keeps nothing. */
export function purgeFor(retentionG: number): number {
  return Math.ceil(2 * PURGE_TIMES_RETENTION * retentionG) / 2;
}
