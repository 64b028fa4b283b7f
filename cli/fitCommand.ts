/** `kb fit`: the same recipe on another setup. */
import { z } from 'zod';
import { USUAL_CREMA_G_PER_ML } from '@/core/extraction/volume';
import { RULE_FACTORS } from '@/core/fits/factors';
import { fitRecipe, FIT_CODES, type FitPlace } from '@/core/fits/fit';
import { REFERENCE_BASKET, type BasketSize } from '@/core/extraction/basketLaw';
import { fitSentences } from '@/words/fitWords';
import { oneOf, quantity } from '@/core/schema/fields';
import { recipeSchema } from '@/core/schema/recipe';
import { setupSchema, type Setup } from '@/core/schema/setup';
import { CLOCKS, STYLES } from '@/core/vocabulary';
import { command } from './command';

const place = setupSchema.extend({
  hasScale: z.boolean().default(true),
  /** Wets the puck by hand before the pull, as small levers do. */
  soaksByHand: z.boolean().default(false),
  clock: oneOf('Clock', CLOCKS).optional(),
});

function basketOf({ basket }: Pick<Setup, 'basket'>): BasketSize {
  return {
    diameterMm: basket?.diameterMm ?? REFERENCE_BASKET.diameterMm,
    ratedG: basket?.ratedG ?? REFERENCE_BASKET.ratedG,
  };
}

export const fit = command({
  purpose:
    'A recipe for another basket, machine or clock, or for no scale; null where none can be brewed.',
  input: z.strictObject({
    recipe: recipeSchema,
    style: oneOf('Style', STYLES).default('classic'),
    from: setupSchema.default({}),
    to: place,
    cremaGPerMl: quantity('cremaGPerMl').default(USUAL_CREMA_G_PER_ML),
    /** ln ratio per missing °C, where the coffee's own cups taught it. */
    lnRatioPerC: z.number().min(-0.2).max(0.2).optional(),
    /** Share of the law of the bed in the time, where fits were tried. */
    timeShare: z.number().min(-0.5).max(1).default(RULE_FACTORS.timeShare),
  }),
  output: z.object({
    recipe: z
      .object({
        doseG: z.number(),
        yieldG: z.number(),
        ratio: z.number(),
        temperatureC: z.number(),
        timeS: z.tuple([z.number(), z.number()]),
        clock: z.enum(CLOCKS),
        yieldMl: z.number().optional(),
      })
      .nullable(),
    style: z.enum(STYLES),
    centreS: z.number(),
    coarserSteps: z.number(),
    notes: z.array(
      z.object({
        code: z.enum(FIT_CODES),
        text: z.string(),
        figures: z.record(z.string(), z.number()).optional(),
      }),
    ),
  }),
  run: ({ from, to, lnRatioPerC, timeShare, ...asked }) => {
    const { machine, basket, hasScale, soaksByHand } = to;
    const target: FitPlace = {
      ...basketOf(to),
      fixedTemperatureC:
        machine?.settableTemperature === false ? machine.fixedTemperatureC : undefined,
      runsHot: machine?.boiler === 'heatExchanger',
      canShape: machine?.pressureControl !== false || machine.flowControl === true,
      isPressurised: basket?.pressurised ?? false,
      clock: to.clock ?? asked.recipe.clock,
      hasScale,
      soaksByHand,
    };
    const factors = {
      timeShare,
      lnRatioPerCooler: lnRatioPerC ?? RULE_FACTORS.lnRatioPerCooler,
      lnRatioPerHotter: lnRatioPerC ?? RULE_FACTORS.lnRatioPerHotter,
    };
    const found = fitRecipe({ ...asked, from: basketOf(from), to: target, factors });
    const texts = fitSentences('en', found, asked.style);
    return {
      ...found,
      notes: found.notes.map((note, i) => ({ ...note, text: texts[i]! })),
    };
  },
});
