/**
 * The proposal as a sum: for each factor what the rule adds and what the house's shots have taught,
 * the coffee's own last recipe, what basket and clock do, then one bar for rounding or a limit. The bars of a variable sum exactly to its proposed value.
 * ln outputs are shown in their own unit by the factor (y − y_base)/ln(y/y_base) (model.md §2).
 */
import { factorLabel } from './design';
import { FACTORS, type Factor } from './priors';

export interface Contribution {
  readonly factor: Factor | 'own' | 'cups' | 'basket' | 'clock' | 'rounding' | 'limit';
  readonly label: string;
  readonly rule: number;
  readonly learned: number;
}

export interface ContributionInput {
  readonly row: readonly number[];
  readonly ruleMean: readonly number[];
  readonly learnedMean: readonly number[];
  /** Unit of the shown value: exp for ln outputs, times `scale` (basket rating for the dose). */
  readonly logarithmic: boolean;
  readonly scale?: number;
  /** What cups add to what the recipes say, on the model's scale. */
  readonly cups?: number;
  /** What the coffee's own last recipe adds, on the model's scale. */
  readonly own?: number;
  /** What basket and clock do to the sum, in the shown unit. */
  readonly moved?: readonly Contribution[];
  /** What the recipe finally says, after limits and rounding. */
  readonly proposed: number;
  readonly limited: boolean;
}

/** Bars of one variable; bars of zero are left out, the base and the last are always there. */
export function contributionsOf(input: ContributionInput): Contribution[] {
  const {
    row,
    ruleMean,
    learnedMean,
    logarithmic,
    scale = 1,
    own = 0,
    cups = 0,
    moved = [],
    proposed,
  } = input;
  const base = FACTORS.indexOf('base');
  const show = (value: number) => (logarithmic ? scale * Math.exp(value) : scale * value);
  const lnTotal = row.reduce((sum, x, j) => sum + x * learnedMean[j]!, own + cups);
  const shownBase = show(learnedMean[base]!);
  const shownTotal = show(lnTotal);
  const stretch = logarithmic
    ? stretchOf(shownBase, shownTotal, lnTotal - learnedMean[base]!)
    : scale;
  const bars: Contribution[] = FACTORS.flatMap<Contribution>((factor, j) => {
    if (factor === 'base') {
      const rule = show(ruleMean[j]!);
      return [{ factor, label: factorLabel(factor), rule, learned: shownBase - rule }];
    }
    const rule = row[j]! * ruleMean[j]! * stretch;
    const learned = row[j]! * (learnedMean[j]! - ruleMean[j]!) * stretch;
    return rule === 0 && learned === 0
      ? []
      : [{ factor, label: factorLabel(factor), rule, learned }];
  });
  if (cups !== 0)
    bars.push({
      factor: 'cups',
      label: 'Cups, and the three together',
      rule: 0,
      learned: cups * stretch,
    });
  if (own !== 0)
    bars.push({
      factor: 'own',
      label: 'This coffee’s own last recipe',
      rule: 0,
      learned: own * stretch,
    });
  bars.push(...moved);
  const sum = bars.reduce((total, bar) => total + bar.rule + bar.learned, 0);
  const last: Contribution = input.limited
    ? { factor: 'limit', label: 'Held by a limit', rule: proposed - sum, learned: 0 }
    : { factor: 'rounding', label: 'Rounding', rule: proposed - sum, learned: 0 };
  return [...bars, last];
}

/** (y − y_base)/ln(y/y_base), whose limit is y_base as the two meet. */
function stretchOf(shownBase: number, shownTotal: number, lnDifference: number): number {
  return Math.abs(lnDifference) < 1e-12 ? shownBase : (shownTotal - shownBase) / lnDifference;
}
