/** What a dial-in's time model starts from, and how it takes shots that may be odd. */
import { Matrix } from 'ml-matrix';
import type { PumpSeconds } from '../extraction/clock';
import { AGE_SLOPE, DOSE_EXPONENT, NOISE_SD, YIELD_EXPONENT } from './timeRows';

/** Share of shots that do not fit, and how far those scatter in ln time. House heuristic (model.md §3b). */
export const ODD_RATE = 0.04;
export const ODD_SD = 0.3;

/** Prior sd of the level where no memory of the grinder stands. House heuristic (model.md §3). */
const EXPECTED_SD = 0.25;

/** Mean and full covariance of a, b, c, d, e; sd of like shots; share of odd ones. */
export interface TimePrior {
  readonly mean: readonly number[];
  readonly covariance: Matrix;
  readonly noiseSd: number;
  readonly oddRate: number;
}

/** The slope a grinder's profile claims, per dial number, signed by which way is finer. */
export interface Slope {
  readonly mean: number;
  readonly sd: number;
}

/** Without a memory: the proposal's time at the reference, the profile's slope. */
export function plainPrior(expectedTimeS: PumpSeconds, slope: Slope): TimePrior {
  const all = [
    { mean: Math.log(expectedTimeS), sd: EXPECTED_SD },
    slope,
    DOSE_EXPONENT,
    YIELD_EXPONENT,
    AGE_SLOPE,
  ];
  return {
    mean: all.map(({ mean }) => mean),
    covariance: Matrix.diag(all.map(({ sd }) => sd ** 2)),
    noiseSd: NOISE_SD,
    oddRate: ODD_RATE,
  };
}

/**
 * A shot among shots of which some are odd: how probably it is not, and its weight as evidence.
 * @param squared its expected squared miss; @param variance of a shot that fits.
 */
export function weightOf(
  squared: number,
  variance: number,
  oddRate: number,
): { readonly good: number; readonly weight: number } {
  const wide = variance + ODD_SD ** 2;
  const odds =
    (oddRate / (1 - oddRate)) *
    Math.sqrt(variance / wide) *
    Math.exp(squared / 2 / variance - squared / 2 / wide);
  const good = 1 / (1 + odds);
  return { good, weight: good + ((1 - good) * variance) / wide };
}
