/** Machine, grinder and basket, as far as proposal and advice need them. */
import { z } from 'zod';
import { entryShape } from './entry';
import { BASKET, GRINDER, MACHINE } from '../entity/equipment';
import { quantity } from './fields';
import { inIssue } from '../message';

const name = z.string().max(80).optional();

/** From a shell nothing of a machine need be known. */
export const machineSchema = z.strictObject({ ...entryShape(MACHINE), name }).partial();

export const grinderSchema = z
  .strictObject({
    ...entryShape(GRINDER),
    name,
    stepless: entryShape(GRINDER).stepless.unwrap().optional(),
    notation: entryShape(GRINDER).notation.unwrap().optional(),
  })
  .refine(({ min, max }) => min < max, {
    path: ['max'],
    error: inIssue('setup.dial'),
  })
  .refine(
    ({ min, max, chokesAt }) => chokesAt === undefined || (chokesAt >= min && chokesAt <= max),
    {
      path: ['chokesAt'],
      error: inIssue('setup.chokesAt'),
    },
  );

const basket = entryShape(BASKET);
export const basketSchema = z.strictObject({
  ...basket,
  name,
  diameterMm: quantity('diameterMm').optional(),
  pressurised: basket.pressurised.optional(),
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
