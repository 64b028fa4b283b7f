/** Machine, grinder and basket, as far as proposal and advice need them. */
import { z } from 'zod';
import { oneOf, quantity } from './fields';

export const BOILERS = ['single', 'heatExchanger', 'dual', 'thermoblock'] as const;
export type Boiler = (typeof BOILERS)[number];

export const BOILER_LABELS: Record<Boiler, string> = {
  single: 'One boiler for brewing and steam',
  heatExchanger: 'Heat exchanger in the steam boiler',
  dual: 'A boiler of its own for brewing',
  thermoblock: 'Heated block',
};

export const machineSchema = z.strictObject({
  name: z.string().max(80).optional(),
  boiler: oneOf('Boiler', BOILERS).optional(),
  /** Seconds of water let through the group before the portafilter goes in. */
  flushS: quantity('flushS').optional(),
  /** What still runs into the cup after the pump stops. */
  overrunG: quantity('overrunG').optional(),
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
    /** Half of the 80 % interval of `secondsPerStep`, as calibrated. */
    secondsPerStepHalf80: quantity('secondsPerStepHalf80').optional(),
    /** Dial at which the house's reference coffee runs 28 s from the pump. */
    referenceDial: quantity('dial').optional(),
    /** Turns without steps; `stepSize` is then what a hand can repeat. */
    stepless: z.boolean().optional(),
    /** Finest dial that still lets water through; finer ones are never proposed. */
    chokesAt: quantity('dial').optional(),
    min: quantity('dial'),
    max: quantity('dial'),
    retentionG: quantity('retentionG'),
  })
  .refine(({ min, max }) => min < max, {
    path: ['max'],
    error: 'The dial ends before it begins. Make the highest setting larger than the lowest.',
  })
  .refine(
    ({ min, max, chokesAt }) => chokesAt === undefined || (chokesAt >= min && chokesAt <= max),
    {
      path: ['chokesAt'],
      error:
        'The choke point is not on the dial. Enter a setting between the lowest and the highest.',
    },
  );

export const basketSchema = z.strictObject({
  name: z.string().max(80).optional(),
  diameterMm: quantity('diameterMm').optional(),
  depthMm: quantity('depthMm').optional(),
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
