/** How far a coffee's best point lies from a proposal of the rules alone, coded. */
import { Matrix } from 'ml-matrix';
import { JOINT_OUTPUTS } from './joint';
import { NOISE_SD, priorFor } from './priors';
import { STEP } from '../trials/coding';

/** V₀ without any history: the doubt of the base rule and the spread between releases. House heuristic. */
export function usualPrior(): Matrix {
  return Matrix.diag(
    JOINT_OUTPUTS.map((output) => {
      const base = priorFor(output, 'both').find(({ factor }) => factor === 'base')!;
      return (Math.hypot(base.sd, NOISE_SD[output]) / STEP[output]) ** 2;
    }),
  );
}
