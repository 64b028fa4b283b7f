/**
 * Ratio, temperature and time as recipes and cups together expect them, beside what the recipes alone say: the
 * difference is a bar of its own in the proposal (model.md §4b; the joint model's mean and variance).
 */
import { dot } from '../linear';
import { STEP } from '../trials/coding';
import { averageMean, outputOf, rowOfPast, type PastRelease } from './fit';
import { predictJoint, JOINT_OUTPUTS, type JointOutput } from './joint';
import type { TaughtModel } from './learnTaste';
import { ownRecipeShare } from './ownRecipe';

export interface TastedPart {
  /** Beyond what the recipes alone say, on the model's scale. */
  readonly cups: number;
  /** What the coffee's own last recipe adds beyond that. */
  readonly own: number;
  /** Of the coffee's own value. */
  readonly variance: number;
}

/** Nothing where no past cups teach more than the recipes do. */
export function tastedParts(
  model: TaughtModel,
  row: readonly number[],
  own: PastRelease | null,
  asked: Pick<PastRelease, 'style' | 'setupId'>,
): Partial<Record<JointOutput, TastedPart>> {
  const { taste } = model;
  if (!taste) return {};
  const { mean, covariance } = predictJoint(taste.model, row);
  const before = own && predictJoint(taste.model, rowOfPast(own)).mean;
  const shared = own === null ? 0 : ownRecipeShare(own, asked);
  return Object.fromEntries(
    JOINT_OUTPUTS.map((output, j): [JointOutput, TastedPart] => {
      const step = STEP[output];
      const value = own && outputOf(own, output);
      const follows = before !== null && value !== null;
      const noise = taste.model.spread[j]!;
      return [
        output,
        {
          cups: step * mean[j]! - dot(row, averageMean(model.fits[output])),
          own: follows ? shared * (value - step * before[j]!) : 0,
          variance: step ** 2 * (covariance.get(j, j) - (follows ? shared ** 2 * noise : 0)),
        },
      ];
    }),
  );
}
