/** Machine, grinder and basket, as far as proposal and advice need them. */
import { z } from 'zod';
import { oneOf, quantity } from './fields';

export const machineSchema = z.strictObject({
  name: z.string().max(80).optional(),
  settableTemperature: z.boolean().optional(),
  fixedTemperatureC: quantity('temperatureC').optional(),
  /** Temperature on the display minus temperature at the group. */
  displayOffsetC: quantity('displayOffsetC').optional(),
  pressureControl: z.boolean().optional(),
  flowControl: z.boolean().optional(),
  preinfusion: z.boolean().optional(),
});

export const grinderSchema = z
  .strictObject({
    name: z.string().max(80).optional(),
    stepSize: quantity('stepSize'),
    finerIs: oneOf('Finer is', ['lower', 'higher']),
    /** Burr travel of one step; with it the grinder's slope is known better than by default. */
    umPerStep: quantity('umPerStep').optional(),
    /** What one step changes in a shot of about 28 s; believed before the burr travel. */
    secondsPerStep: quantity('secondsPerStep').optional(),
    min: quantity('dial'),
    max: quantity('dial'),
    retentionG: quantity('retentionG'),
  })
  .refine(({ min, max }) => min < max, {
    path: ['max'],
    error: 'The dial ends before it begins. Make the highest setting larger than the lowest.',
  });

export const basketSchema = z.strictObject({
  name: z.string().max(80).optional(),
  diameterMm: quantity('diameterMm').optional(),
  ratedG: quantity('ratedG'),
  /** With a valve that makes its own resistance. */
  pressurised: z.boolean().optional(),
});

/** A machine may be given by its name alone: then its abilities are not known. */
const machineOrName = z.union([
  z
    .string()
    .max(80)
    .transform((name): z.output<typeof machineSchema> => ({ name })),
  machineSchema,
]);

export const setupSchema = z.strictObject({
  machine: machineOrName.optional(),
  grinder: grinderSchema.optional(),
  basket: basketSchema.optional(),
});

export type Machine = z.output<typeof machineSchema>;
export type Grinder = z.output<typeof grinderSchema>;
export type Basket = z.output<typeof basketSchema>;
export type Setup = z.output<typeof setupSchema>;
