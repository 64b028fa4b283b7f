/** What a shot is judged against: the recipe on the bench with its tolerances. */
import { z } from 'zod';
import { entryShape } from './entry';
import { HOLDS } from '../entity/recipe';
import { DEFAULT_TOLERANCE, yieldTolerance } from '../tolerance';
import { quantity } from './fields';
import { recipeFields, ratioField } from './recipe';

/** A whole recipe may be given as the target; what judging a shot does not need is let by. */
const allowedKeys = {
  ratio: ratioField.optional(),
  programme: recipeFields.programme.unwrap().optional(),
  steps: recipeFields.steps,
  pressureBar: recipeFields.pressureBar,
  grindUm: recipeFields.grindUm,
  restDays: recipeFields.restDays.optional(),
  ...entryShape(HOLDS),
};

const fields = z.strictObject({
  ...allowedKeys,
  doseG: recipeFields.doseG,
  yieldG: recipeFields.yieldG,
  timeS: recipeFields.timeS,
  clock: recipeFields.clock,
  temperatureC: recipeFields.temperatureC.optional(),
  doseToleranceG: z.number().min(0.05).max(2).default(DEFAULT_TOLERANCE.doseG),
  /** The trade's share of the yield when absent. */
  yieldToleranceG: z.number().min(0.1).max(10).optional(),
  /** Dial at which the target's time is expected; the first shot's dial when absent. */
  startDial: quantity('dial').optional(),
  /** Taste decides before time does. */
  tasteFirst: z.boolean().default(false),
  /** First rest day on which a shot of this coffee is evidence. */
  openDay: quantity('restDays').optional(),
  roastLevel: quantity('roastLevel').default(0),
});

export const targetSchema = fields.transform((given) => ({
  ...given,
  yieldToleranceG: given.yieldToleranceG ?? yieldTolerance(DEFAULT_TOLERANCE.yieldG, given.yieldG),
}));

export type Target = z.output<typeof targetSchema>;
