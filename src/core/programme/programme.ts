/** Programmes as they come in from outside: what a step may hold, and what no pump can do. */
import { z } from 'zod';
import { oneOf, quantity } from '../schema/fields';
import { DRIVE_UNITS, DRIVES, MOST, MOST_STEPS, type Drive } from './step';

const stepFields = {
  drive: oneOf('Step drives', DRIVES),
  level: z
    .number({ error: 'The level of a step is not a number. Enter bar or ml/s.' })
    .min(0, { error: 'The level of a step is below 0. Enter 0 for a pause.' }),
  seconds: quantity('stepS'),
  ramp: z.boolean({ error: 'Say whether the step rises evenly or goes there at once.' }),
  limitBar: quantity('pressureBar').optional(),
};

export const stepSchema = z
  .strictObject(stepFields)
  .refine(({ drive, level }) => level <= MOST[drive], {
    path: ['level'],
    error: ({ input }) => {
      const { drive } = input as { drive: Drive };
      return `The level of a ${drive} step is at most ${MOST[drive]} ${DRIVE_UNITS[drive]}. Lower it.`;
    },
  });

export const programmeSchema = z
  .array(stepSchema)
  .min(1, { error: 'A programme needs at least one step. Add one.' })
  .max(MOST_STEPS, { error: `A programme takes at most ${MOST_STEPS} steps. Remove some.` })
  .refine((steps) => steps.at(-1)?.level !== 0, {
    error: 'The last step is a pause, so the cup never fills. End with pressure or flow.',
  });
