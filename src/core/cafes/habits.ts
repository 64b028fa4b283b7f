/**
 * Has a café begun to weigh in or out by another figure? A lasting step of its dose (all coffees) or of its yield
 * (one coffee) against what it used to do. A step of yield may also be the former recipe's, exactly. House heuristic.
 */
export interface HabitSignal {
  readonly probability: number;
  /** Index of the visit from which it holds. */
  readonly from: number;
  readonly sizeG: number;
  readonly sdG: number;
}

export const HABIT = {
  /** Scatter of a weighing, spread of cafés' own habits, size of a step, chance of one at any visit. */
  dose: { sd: 0.32, ownSd: 0.3, stepSd: 0.5, chance: 0.002 },
  yield: { sd: 1.6, ownSd: 1.2, stepSd: 3, chance: 0.0007 },
  /** Odds from which it is said: 85 in 100. */
  opensAt: 5.67,
} as const;

/** Mean of a café's own habit after so many weighings off the recipe, g. */
export function usualOff(offG: readonly number[], rule: { sd: number; ownSd: number }): number {
  const sum = offG.reduce((total, off) => total + off, 0);
  return sum / rule.sd ** 2 / (offG.length / rule.sd ** 2 + 1 / rule.ownSd ** 2);
}

/**
 * @param offG what was weighed less what the recipe says, oldest first
 * @param formerOffG the former recipe's yield less today's, where there was one
 */
export function habitSignal(
  offG: readonly number[],
  kind: 'dose' | 'yield',
  formerOffG?: number,
): HabitSignal | null {
  const rule = HABIT[kind];
  const precision = 1 / rule.sd ** 2;
  const mean = usualOff(offG, rule);
  const whole = offG.length * precision + 1 / rule.ownSd ** 2;
  let S = 0;
  let I0 = 0;
  let odds = 0;
  let best: { lnBayes: number; from: number; sizeG: number; sdG: number } | null = null;
  for (let from = offG.length - 1; from >= 0; from--) {
    S += (offG[from]! - mean) * precision;
    I0 += precision;
    const I = I0 - I0 ** 2 / whole;
    const posterior = I + 1 / rule.stepSd ** 2;
    const free = -0.5 * Math.log(posterior * rule.stepSd ** 2) + (0.5 * S * S) / posterior;
    const former = formerOffG === undefined ? null : S * formerOffG - 0.5 * I * formerOffG ** 2;
    const bayes = former === null ? Math.exp(free) : 0.5 * Math.exp(free) + 0.5 * Math.exp(former);
    odds += rule.chance * bayes;
    if (best === null || Math.log(bayes) > best.lnBayes)
      best = {
        lnBayes: Math.log(bayes),
        from,
        sizeG: S / posterior,
        sdG: 1 / Math.sqrt(posterior),
      };
  }
  if (best === null) return null;
  const { from, sizeG, sdG } = best;
  return { probability: odds / (1 + odds), from, sizeG, sdG };
}
