/** Programmes as they come in from outside: what a step may hold, and what no pump can do. */
import { z } from 'zod';
import { oneOf, quantity } from './fields';
import { DRIVE_UNITS, DRIVES, MOST, MOST_STEPS, type Drive } from '../programme/step';
import { inIssue } from '../message';

const stepFields = {
  drive: oneOf('Step drives', DRIVES),
  level: z
    .number({ error: inIssue('programme.noLevel') })
    .min(0, { error: inIssue('programme.belowZero') }),
  seconds: quantity('stepS'),
  ramp: z.boolean({ error: inIssue('programme.ramp') }),
  limitBar: quantity('pressureBar').optional(),
};

export const stepSchema = z
  .strictObject(stepFields)
  .refine(({ drive, level }) => level <= MOST[drive], {
    path: ['level'],
    error: ({ input }) => {
      const { drive } = input as { drive: Drive };
      return inIssue('programme.tooHigh', { drive, most: MOST[drive], unit: DRIVE_UNITS[drive] });
    },
  });

export const programmeSchema = z
  .array(stepSchema)
  .min(1, { error: inIssue('programme.empty') })
  .max(MOST_STEPS, { error: inIssue('programme.tooMany', { most: MOST_STEPS }) })
  .refine((steps) => steps.at(-1)?.level !== 0, {
    error: inIssue('programme.endsInPause'),
  });
