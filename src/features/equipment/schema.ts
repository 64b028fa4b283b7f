/** What a person enters of a setup. */
import { z } from 'zod';
import { oneOf, quantity, text } from '@/core/schema/fields';

export const setupInput = z
  .strictObject({
    name: text('Name of the setup', 'name'),
    machineName: text('Machine', 'name'),
    settableTemperature: z.boolean(),
    fixedTemperatureC: quantity('temperatureC').optional(),
    pressureControl: z.boolean(),
    grinderName: text('Grinder', 'name'),
    stepSize: quantity('stepSize'),
    finerIs: oneOf('Finer is', ['lower', 'higher']),
    dialMin: quantity('dial'),
    dialMax: quantity('dial'),
    retentionG: quantity('retentionG'),
    umPerStep: quantity('umPerStep').optional(),
    basketName: text('Basket', 'name'),
    diameterMm: quantity('diameterMm'),
    ratedG: quantity('ratedG'),
  })
  .refine(({ dialMin, dialMax }) => dialMin < dialMax, {
    path: ['dialMax'],
    error: 'The dial ends before it begins. Make the highest setting larger than the lowest.',
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
