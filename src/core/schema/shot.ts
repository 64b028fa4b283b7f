/** A shot as it was pulled, and what was tasted of it. */
import { z } from 'zod';
import { LIMITS, rangeWords } from '../limits';
import { BEAN_STATES, CLOCKS, SEEN, TASTE_SIGNS } from '../vocabulary';
import { oneOf, quantity } from './fields';

export const tasteSchema = z.strictObject({
  acidity: quantity('cup').optional(),
  sharpness: quantity('cup').optional(),
  sweetness: quantity('cup').optional(),
  bitterness: quantity('cup').optional(),
  dryness: quantity('cup').optional(),
  body: quantity('cup').optional(),
  clarity: quantity('cup').optional(),
  strength: quantity('strength').optional(),
  liking: quantity('cup').optional(),
  /** Words ticked beside the scales. */
  signs: z.array(oneOf('Sign', TASTE_SIGNS)).max(TASTE_SIGNS.length).optional(),
});
export type Taste = z.output<typeof tasteSchema>;

export const shotFields = {
  dial: quantity('dial'),
  doseG: quantity('doseG'),
  /** Dose aimed at when it was trimmed on purpose; the target's dose when absent. */
  aimDoseG: quantity('doseG').optional(),
  yieldG: quantity('shotYieldG'),
  timeS: quantity('timeS'),
  firstDripS: quantity('firstDripS').optional(),
  clock: oneOf('Clock', CLOCKS),
  temperatureC: quantity('temperatureC').optional(),
  purged: z.boolean(),
  /** Grams purged; a tick without a figure counts as twice the retention. */
  purgeG: quantity('purgeG').optional(),
  restDays: quantity('restDays').optional(),
  seen: z.array(oneOf('Seen', SEEN)).max(SEEN.length),
  /** Room temperature when absent. */
  beans: oneOf('Beans', BEAN_STATES).optional(),
  /** When the stream turned pale, from the pump. */
  blondS: quantity('blondS').optional(),
};

export const dripInTime = {
  path: ['firstDripS'],
  error: 'The first drip comes after the shot ended. Correct the first drip or the time.',
};
export const isDripInTime = (shot: {
  clock: 'pump' | 'firstDrip';
  timeS: number;
  firstDripS?: number | undefined;
}) => shot.clock !== 'pump' || shot.firstDripS === undefined || shot.firstDripS <= shot.timeS;

/** Only a choked shot leaves less than 2 g in the cup; anything else is a slip of the scale. */
const LEAST_YIELD_G = LIMITS.yieldG.min;
const CHOKED_AFTER_S = 20;
export const thinYield = {
  path: ['yieldG'],
  error: `Yield is under ${LEAST_YIELD_G} g, which only a choked shot leaves. Enter ${rangeWords('yieldG')}, or mark it choked.`,
};
export const isYieldPlausible = (shot: {
  yieldG: number;
  timeS: number;
  seen: readonly string[];
}) => shot.yieldG >= LEAST_YIELD_G || shot.timeS >= CHOKED_AFTER_S || shot.seen.includes('choke');

export const shotSchema = z
  .strictObject({
    ...shotFields,
    /** Mass read from a volume mark: too rough to judge a time by. */
    byVolume: z.boolean().optional(),
    taste: tasteSchema.optional(),
  })
  .refine(isDripInTime, dripInTime)
  .refine(isYieldPlausible, thinYield);

export type Shot = z.output<typeof shotSchema>;
