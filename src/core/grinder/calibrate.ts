/**
 * Calibration of a grinder from a few shots of the house's reference coffee at different dials, same
 * dose and yield: ln timeS = a + b·dial + noise. Source: conjugate Bayesian line (published); prior of
 * b and the noise are house heuristics (model.md §3). Times count from the pump.
 */
import { inverse, Matrix } from 'ml-matrix';
import { userFault } from '../errors';
import type { Grinder } from '../schema/setup';
import { finerSign, LN_TIME_PER_STEP_DEFAULT } from './dial';
import { NOISE_SD } from './timeRows';
import { fault } from '../message';

/** Time at which the reference coffee is right: the trade's usual middle (model.md §2, base). */
export const REFERENCE_TIME_S = 28;

/** Normal quantile at .9. */
const Z_80 = 1.2815515655446004;

/** A reading as far as 1.5 in ln time from the reference is still believed. */
const LEVEL_SD = 1.5;

export interface CalibrationShot {
  readonly dial: number;
  readonly timeS: number;
}

export interface Calibration {
  /** Change of a shot of 28 s by one step finer, s, with the half-width of its 80 % interval. */
  readonly secondsPerStep: number;
  readonly secondsPerStepHalf80: number;
  /** Dial at which the reference coffee runs 28 s, with the half-width of its 80 % interval. */
  readonly referenceDial: number;
  readonly referenceDialHalf80: number;
}

/**
 * @throws UserFault for fewer than two settings, or when finer ran faster: then the shots are mixed up
 * or the wrong way is noted as finer.
 */
export function calibrate(
  shots: readonly CalibrationShot[],
  grinder: Pick<Grinder, 'stepSize' | 'finerIs'>,
): Calibration {
  if (new Set(shots.map(({ dial }) => dial)).size < 2)
    throw userFault('badInput', 'shots', fault('calibrate.oneDial'));
  const sign = finerSign(grinder);
  const perStep = LN_TIME_PER_STEP_DEFAULT;
  const centre = shots.reduce((sum, { dial }) => sum + dial, 0) / shots.length;
  const priorSlope = (sign * perStep.mean) / grinder.stepSize;
  const slopeSd = perStep.sd / grinder.stepSize;
  const precision = Matrix.diag([1 / LEVEL_SD ** 2, 1 / slopeSd ** 2]);
  const right = [Math.log(REFERENCE_TIME_S) / LEVEL_SD ** 2, priorSlope / slopeSd ** 2];
  for (const { dial, timeS } of shots) {
    const x = [1, dial - centre] as const;
    for (const i of [0, 1] as const) {
      right[i]! += (x[i] * Math.log(timeS)) / NOISE_SD ** 2;
      for (const j of [0, 1] as const)
        precision.set(i, j, precision.get(i, j) + (x[i] * x[j]) / NOISE_SD ** 2);
    }
  }
  const covariance = inverse(precision);
  const [a, b] = covariance.mmul(Matrix.columnVector(right)).to1DArray() as [number, number];
  if (b * sign <= 0) throw userFault('badInput', 'shots', fault('calibrate.finerFaster'));
  const offset = (Math.log(REFERENCE_TIME_S) - a) / b;
  // First-order spread of a ratio of two normal quantities.
  const offsetVariance =
    (covariance.get(0, 0) +
      2 * offset * covariance.get(0, 1) +
      offset ** 2 * covariance.get(1, 1)) /
    b ** 2;
  const stepLn = Math.abs(b) * grinder.stepSize;
  return {
    secondsPerStep: REFERENCE_TIME_S * (Math.exp(stepLn) - 1),
    secondsPerStepHalf80:
      Z_80 *
      REFERENCE_TIME_S *
      Math.exp(stepLn) *
      Math.sqrt(covariance.get(1, 1)) *
      grinder.stepSize,
    referenceDial: centre + offset,
    referenceDialHalf80: Z_80 * Math.sqrt(offsetVariance),
  };
}
