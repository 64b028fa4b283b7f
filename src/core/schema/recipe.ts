/** A recipe as it comes from outside. `ratio` is yieldG / doseG and is checked against them. */
import { z } from 'zod';
import { entryShape } from './entry';
import { RECIPE, type RecipeInput } from '../entity/recipe';
import { LIMITS } from '../limits';
import { quantity } from './fields';
import { inIssue } from '../message';

/** How far a written ratio may be from the masses: half of the last digit people write. */
const RATIO_TOLERANCE = 0.051;

export const recipeFields = {
  ...entryShape(RECIPE),
  pressureBar: quantity('pressureBar').optional(),
  grindUm: z.number().min(50).max(2000).optional(),
};

/** From the least cup of the largest dose to the fullest cup of the smallest. */
export const ratioField = z
  .number()
  .min(LIMITS.yieldG.min / LIMITS.doseG.max)
  .max(70);

export const recipeSchema = z
  .strictObject({ ...recipeFields, ratio: ratioField })
  .refine(({ ratio, doseG, yieldG }) => Math.abs(ratio - yieldG / doseG) <= RATIO_TOLERANCE, {
    path: ['ratio'],
    error: inIssue('recipe.ratio'),
  });

export interface Recipe extends RecipeInput {
  readonly ratio: number;
}

/** A recipe from what is kept or entered of it: the ratio follows from the masses. */
export function withRatio<R extends Pick<RecipeInput, 'doseG' | 'yieldG'>>(
  recipe: R,
): R & { readonly ratio: number } {
  return { ...recipe, ratio: recipe.yieldG / recipe.doseG };
}
