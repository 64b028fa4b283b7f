/** What a person enters of machine, grinder, basket and of a setup of the three. */
import { z } from 'zod';
import { oneOf, quantity, text } from '@/core/schema/fields';

const yesNo = (label: string) => z.boolean({ error: `${label}: say yes or no.` });

export const machineInput = z
  .strictObject({
    name: text('Machine', 'name'),
    settableTemperature: yesNo('Temperature can be set'),
    fixedTemperatureC: quantity('temperatureC').optional(),
    displayOffsetC: quantity('displayOffsetC').optional(),
    pressureControl: yesNo('Pressure can be programmed'),
    flowControl: yesNo('Flow can be programmed'),
    preinfusion: yesNo('Pre-infusion'),
  })
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
  .strictObject({
    name: text('Grinder', 'name'),
    stepSize: quantity('stepSize'),
    finerIs: oneOf('Finer is', ['lower', 'higher']),
    min: quantity('dial'),
    max: quantity('dial'),
    retentionG: quantity('retentionG'),
    umPerStep: quantity('umPerStep').optional(),
    secondsPerStep: quantity('secondsPerStep').optional(),
  })
  .refine(({ min, max }) => min < max, {
    path: ['max'],
    error: 'The dial ends before it begins. Make the highest setting larger than the lowest.',
  });

export const basketInput = z.strictObject({
  name: text('Basket', 'name'),
  diameterMm: quantity('diameterMm'),
  ratedG: quantity('ratedG'),
  pressurised: yesNo('Pressurised'),
});

export const PART_INPUTS = {
  machine: machineInput,
  grinder: grinderInput,
  basket: basketInput,
} as const;

const chosen = z.string().max(64).optional();

/** Each part is one that is described already, by its id, or a new one. */
export const setupInput = z
  .strictObject({
    name: text('Name of the setup', 'name'),
    machineId: chosen,
    machine: machineInput.optional(),
    grinderId: chosen,
    grinder: grinderInput.optional(),
    basketId: chosen,
    basket: basketInput.optional(),
  })
  .superRefine((setup, context) => {
    for (const part of ['machine', 'grinder', 'basket'] as const)
      if ((setup[part] === undefined) === (setup[`${part}Id`] === undefined))
        context.addIssue({
          code: 'custom',
          path: [`${part}Id`],
          message: `Choose a ${part} that is there, or describe a new one.`,
        });
  });
