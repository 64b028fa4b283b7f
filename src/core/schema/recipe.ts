/** A recipe in the units of the card. `ratio` is yieldG / doseG and is checked against them. */
import { z } from 'zod';
import { LIMITS } from '../limits';
import { programmeSchema } from '../programme/programme';
import { CLOCKS } from '../vocabulary';
import { oneOf, optionalText, quantity, wholeDays } from './fields';

/** How far a written ratio may be from the masses: half of the last digit people write. */
const RATIO_TOLERANCE = 0.051;

const timeWindow = z
  .tuple([quantity('timeS'), quantity('timeS')], {
    error: 'The time window takes two times in seconds, [low, high]. Give both.',
  })
  .refine(([low, high]) => low <= high, {
    error: 'The time window ends before it begins. Put the shorter time first.',
  });

const restRange = z.tuple([wholeDays(), wholeDays()]).refine(([from, to]) => from <= to, {
  error: 'The rest span ends before it begins. Put the earlier day first.',
});

export const recipeFields = {
  doseG: quantity('doseG'),
  yieldG: quantity('yieldG'),
  temperatureC: quantity('temperatureC'),
  timeS: timeWindow,
  clock: oneOf('Clock', CLOCKS),
  /** What the machine does in a few words, and step by step. */
  programme: optionalText('Programme', 'name').optional(),
  steps: programmeSchema.optional(),
  pressureBar: quantity('pressureBar').optional(),
  grindUm: z.number().min(50).max(2000).optional(),
  restDays: restRange,
};

/** From the least cup of the largest dose to the fullest cup of the smallest. */
export const ratioField = z
  .number()
  .min(LIMITS.yieldG.min / LIMITS.doseG.max)
  .max(70);

export const recipeSchema = z
  .strictObject({
    ...recipeFields,
    ratio: ratioField,
  })
  .refine(({ ratio, doseG, yieldG }) => Math.abs(ratio - yieldG / doseG) <= RATIO_TOLERANCE, {
    path: ['ratio'],
    error: 'The ratio is not the yield divided by the dose. Correct one of the three.',
  });

export type Recipe = z.output<typeof recipeSchema>;
