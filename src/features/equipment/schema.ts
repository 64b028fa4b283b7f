/** What a person enters of machine, grinder, basket and of a setup of the three. */
import { z } from 'zod';
import { entryShape } from '@/core/schema/entry';
import { BASKET, GRINDER, MACHINE, PART_NAMES } from '@/core/entity/equipment';
import { SETUP, SETUP_LINKS } from '@/core/entity/setup';
import { DIVISIONS, dialRangeWords, dialWords } from '@/core/grinder/notation';

export const machineInput = z
  .strictObject(entryShape(MACHINE))
  .refine(
    ({ settableTemperature, fixedTemperatureC }) =>
      settableTemperature || fixedTemperatureC !== undefined,
    {
      path: ['fixedTemperatureC'],
      error:
        'A machine without a settable temperature stands at some temperature. Enter it, 60-100 °C.',
    },
  );

export const grinderInput = z
  .strictObject(entryShape(GRINDER))
  .superRefine(({ notation, divisions }, context) => {
    if (notation !== 'letters' && notation !== 'marks') return;
    const [least, most] = DIVISIONS[notation];
    if (divisions === undefined || divisions < least || divisions > most)
      context.addIssue({
        code: 'custom',
        path: ['divisions'],
        message:
          notation === 'letters'
            ? `How many letters lie between two numbers? Enter ${least}-${most}.`
            : `How many marks are on one turn? Enter ${least}-${most}.`,
      });
  })
  .refine(({ min, max }) => min < max, {
    path: ['max'],
    error: 'The dial ends before it begins. Make the highest setting larger than the lowest.',
  })
  .superRefine((grinder, context) => {
    const { min, max } = grinder;
    for (const name of ['referenceDial', 'chokesAt'] as const) {
      const dial = grinder[name];
      if (dial !== undefined && (dial < min || dial > max))
        context.addIssue({
          code: 'custom',
          path: [name],
          message: `Dial ${dialWords(grinder, dial)} is outside ${dialRangeWords(grinder)} of this grinder. Enter a setting it has.`,
        });
    }
  });

export const basketInput = z.strictObject(entryShape(BASKET));

export const PART_INPUTS = {
  machine: machineInput,
  grinder: grinderInput,
  basket: basketInput,
} as const;

const chosen = z.string().max(64).optional();
/** Each part is one that is described already, by its id, or a new one. */
export const setupInput = z
  .strictObject({
    ...entryShape(SETUP),
    machineId: chosen,
    machine: machineInput.optional(),
    grinderId: chosen,
    grinder: grinderInput.optional(),
    basketId: chosen,
    basket: basketInput.optional(),
    links: z.strictObject(entryShape(SETUP_LINKS)).prefault({}),
  })
  .superRefine((setup, context) => {
    for (const part of PART_NAMES)
      if ((setup[part] === undefined) === (setup[`${part}Id`] === undefined))
        context.addIssue({
          code: 'custom',
          path: [`${part}Id`],
          message: `Choose a ${part} that is there, or describe a new one.`,
        });
  });
