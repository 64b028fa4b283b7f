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

/** What is carried over may move ln time by this much and is still no news: about half of a like shot's noise. */
const CARRIED_LN_TIME = 0.025;

/** Less than this nobody throws away on purpose. */
const LEAST_PURGE_G = 1;

/** Grams that clear a grinder of anything: what a tick without a figure means, to the half gram. */
export function fullPurge(retentionG: number): number {
  return upToHalfGram(PURGE_TIMES_RETENTION * retentionG);
}

/**
 * Grams to purge before a dose after a move that is expected to change ln time by `lnTimeChange`: only
 * as much as makes the grounds of the old setting not matter, at most a full purge. Solves
 * |lnTimeChange|·ρ(p) = .025 for p. House heuristic; 0 for a small move or a grinder that keeps nothing.
 */
export function purgeFor({
  retentionG,
  doseG,
  lnTimeChange,
}: Omit<Passage, 'purgeG'> & { readonly lnTimeChange: number }): number {
  const carried = Math.abs(lnTimeChange) * carriedShare({ retentionG, doseG, purgeG: 0 });
  if (carried <= CARRIED_LN_TIME) return 0;
  const needed = retentionG * Math.log(carried / CARRIED_LN_TIME);
  return Math.min(fullPurge(retentionG), Math.max(LEAST_PURGE_G, upToHalfGram(needed)));
}

/** Did the grounds of the old setting move a shot by more than its own noise hides? */
export function isSpoilt(carriedLnTime: number): boolean {
  return Math.abs(carriedLnTime) > 1.5 * CARRIED_LN_TIME;
}

function upToHalfGram(grams: number): number {
  return Math.max(0, Math.ceil(2 * grams - 1e-9) / 2);
}
