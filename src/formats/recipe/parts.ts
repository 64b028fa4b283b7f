/** What a document says beside the recipe: other setups, the ageing coffee, milk, cups, other languages. */
import { z } from 'zod';
import { AUDIENCES } from '@/core/fits/audience';
import type { FitFactors } from '@/core/fits/factors';
import { FIT_CODES } from '@/core/fits/fit';
import { FILLS } from '@/core/fits/drinks';
import { LANGUAGES } from '@/core/language';
import { CLOCKS, STYLES } from '@/core/vocabulary';

const figure = z.number();
const name = z.string().max(400);
const sentences = z.string().max(4000);
const window = z.tuple([figure, figure]);

/** The recipe on a setup that many have; none where none can be brewed. */
export const fitSchema = z.object({
  audience: z.enum(AUDIENCES),
  /** What was tried there, in the house's words; computed alone when absent. */
  tried: sentences.optional(),
  style: z.enum(STYLES),
  recipe: z
    .object({
      doseG: figure,
      yieldG: figure,
      ratio: figure,
      temperatureC: figure,
      timeS: window,
      clock: z.enum(CLOCKS),
      yieldMl: figure.optional(),
    })
    .optional(),
  coarserSteps: figure,
  notes: z.array(
    z.object({ code: z.enum(FIT_CODES), figures: z.record(z.string(), figure).optional() }),
  ),
});
export type PublishedFit = z.output<typeof fitSchema>;

/** The factors its fits were made with, where cafés had refined the rules' own. */
const fittingSchema = z.object({
  timeShare: figure,
  lnRatioPerCooler: figure,
  lnRatioPerHotter: figure,
}) satisfies z.ZodType<FitFactors>;

/** One recipe as the coffee ages: days that cover its span, and how the grind follows. */
export const phasesSchema = z.object({
  /** Rest day of the card's own setting. */
  cardDay: figure,
  list: z
    .array(z.object({ from: figure, to: figure, steps: figure }))
    .min(1)
    .max(6),
  /** Café shots in 100 within 2.5 s of the middle, so and with one setting; a model's figure. */
  kept: z.object({ phased: figure, one: figure }).optional(),
});

/** The second recipe of a card. */
export const milkSchema = z.object({
  doseG: figure,
  yieldG: figure,
  ratio: figure,
  temperatureC: figure,
  timeS: window,
  clock: z.enum(CLOCKS),
  programme: name,
});

export const drinkRowSchema = z.object({
  name,
  cupMl: figure,
  shots: figure,
  fill: z.enum(FILLS),
  espressoG: figure,
  buttonMl: figure,
  fillMl: figure,
});

/** The house's own words in another language; what is not said stands in its own. */
export const ownWordsSchema = z.object({
  right: sentences.optional(),
  short: sentences.optional(),
  long: sentences.optional(),
  whatChanged: sentences.optional(),
});
export type OwnWords = z.output<typeof ownWordsSchema>;

/** Facts added to format 2; a document without them was made before. */
export const partsShape = {
  /** Of the house's own words. */
  language: z.enum(LANGUAGES).optional(),
  otherWords: z.partialRecord(z.enum(LANGUAGES), ownWordsSchema).optional(),
  fits: z.array(fitSchema).max(AUDIENCES.length),
  fitting: fittingSchema.optional(),
  phases: phasesSchema.optional(),
  milk: milkSchema.optional(),
  drinks: z.array(drinkRowSchema).max(40).optional(),
  water: z.object({ hardnessMgL: figure.optional(), alkalinityMgL: figure.optional() }).optional(),
  /** What the display of the house's machine showed, °C. */
  displayC: figure.optional(),
  /** Against the version before, on the house's own grinder: steps finer. */
  grindSince: z.object({ version: figure, steps: figure }).optional(),
} as const;
