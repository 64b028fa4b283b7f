/**
 * What a house has learnt, factor by factor: the trade's rule beside the house's own figure with its
 * 80 % interval. A process is shown against washed, as one effect: its intensity and its own term cannot
 * be told apart by shots. Source: posterior of a sum of coefficients (published); the rules are house
 * heuristics (model.md §2).
 */
import { PROCESS_INTENSITY } from '../coffee/features';
import { dot } from '../linear';
import {
  PROCESS_LABELS,
  PROCESSES,
  STYLE_LABELS,
  VARIETY_LABELS,
  type Process,
} from '../vocabulary';
import type { HouseModel } from './fit';
import { estimate } from './posterior';
import { ALTERED_STYLES, FACTORS, NOISE_SD, type Factor, type Output } from './priors';

export type EffectName = Exclude<Factor, `${string}:${string}` | 'intensity'>;

export interface Effect {
  readonly name: EffectName;
  readonly label: string;
  /** The rule's own figure, on the model's scale. */
  readonly rule: number;
  readonly learned: number;
  readonly halfWidth80: number;
  /** Releases of the house in which this factor is at work and this output is known. */
  readonly releases: number;
  /** The rule lies outside the house's interval, by more than the cup would ever show. */
  readonly isDifferent: boolean;
}

/** A difference under a quarter of the noise between two like releases is none. House heuristic. */
const NOTICED_SHARE = 0.25;

type Weights = Partial<Record<Factor, number>>;

interface Contrast {
  readonly name: EffectName;
  readonly label: string;
  readonly weights: Weights;
}

const processes = PROCESSES.filter(
  (process): process is Exclude<Process, 'washed' | 'other'> =>
    process !== 'washed' && process !== 'other',
);

const CONTRASTS: readonly Contrast[] = [
  { name: 'base', label: 'Medium washed, classic', weights: { base: 1 } },
  { name: 'light', label: 'One roast step lighter', weights: { light: 1 } },
  { name: 'dark', label: 'One roast step darker', weights: { dark: 1 } },
  ...processes.map((process) => ({
    name: process,
    label: `${PROCESS_LABELS[process]}, beside washed`,
    weights: { intensity: PROCESS_INTENSITY[process], [process]: 1 },
  })),
  ...(['landrace', 'bigBean', 'robusta'] as const).map((variety) => ({
    name: variety,
    label: `${VARIETY_LABELS[variety]}, beside ordinary`,
    weights: { [variety]: 1 },
  })),
  { name: 'density', label: '30 g/L denser', weights: { density: 1 } },
  { name: 'altitude', label: '300 m higher', weights: { altitude: 1 } },
  { name: 'rest', label: 'One week more rest', weights: { rest: 1 } },
  ...ALTERED_STYLES.map((style) => ({
    name: style,
    label: `${STYLE_LABELS[style]}, beside classic`,
    weights: { [style]: 1 },
  })),
];

/** Every effect on one output, in the order of the rule table. */
export function effectsOf({ fits }: HouseModel, output: Output): Effect[] {
  const fit = fits[output];
  const ruleMean = fit.rule.map(({ mean }) => mean);
  return CONTRASTS.map(({ name, label, weights }) => {
    const row = FACTORS.map((factor) => weights[factor] ?? 0);
    const rule = dot(row, ruleMean);
    const { mean, halfWidth80 } = estimate(fit.posteriors, row);
    const at = FACTORS.indexOf(name);
    const releases = fit.rows.filter((past) => past[at] !== 0).length;
    const apart = Math.abs(mean - rule);
    const isDifferent =
      releases > 0 && apart > halfWidth80 && apart > NOTICED_SHARE * NOISE_SD[output];
    return { name, label, rule, learned: mean, halfWidth80, releases, isDifferent };
  });
}
