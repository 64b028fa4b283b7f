/**
 * What a machine does during a shot: steps of pressure (bar) or flow (ml/s), in seconds from the pump.
 * The last step lasts until the cup is full. Source of the shapes: trade practice.
 */
import { z } from 'zod';
import { oneOf, quantity } from '../schema/fields';

export const DRIVES = ['pressure', 'flow'] as const;
export type Drive = (typeof DRIVES)[number];

/** More steps than this no bench repeats. */
export const MOST_STEPS = 12;

const stepFields = {
  drive: oneOf('Step drives', DRIVES),
  /** bar or ml/s at the end of the step; 0 is a pause. */
  level: z
    .number({ error: 'The level of a step is not a number. Enter bar or ml/s.' })
    .min(0, { error: 'The level of a step is below 0. Enter 0 for a pause.' }),
  seconds: quantity('stepS'),
  /** Goes there evenly from the level before; else at once. */
  ramp: z.boolean(),
  /** Flow steps: never above this pressure. */
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
export type Step = z.output<typeof stepSchema>;

export const programmeSchema = z
  .array(stepSchema)
  .min(1, { error: 'A programme needs at least one step. Add one.' })
  .max(MOST_STEPS, { error: `A programme takes at most ${MOST_STEPS} steps. Remove some.` })
  .refine((steps) => steps.at(-1)?.level !== 0, {
    error: 'The last step is a pause, so the cup never fills. End with pressure or flow.',
  });
export type Programme = readonly Step[];

export const DRIVE_UNITS: Record<Drive, string> = { pressure: 'bar', flow: 'ml/s' };
/** What pumps of espresso machines can do at all. */
export const MOST: Record<Drive, number> = { pressure: 12, flow: 10 };
