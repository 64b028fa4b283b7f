/** One of the things a flight compares: a cup to be pulled, or one from elsewhere. */
import { z } from 'zod';
import { entryShape } from '../schema/entry';
import { RECIPE } from '../entity/recipe';
import { SHOT } from '../entity/shot';
import { TASTING } from '../entity/tasting';
import { text } from '../schema/fields';
import { inIssue } from '../message';

const { doseG, yieldG, temperatureC, timeS, clock } = entryShape(RECIPE);
const { dial, beans } = entryShape(SHOT);
const { serving } = entryShape(TASTING);

const level = z.strictObject({ of: text('A thing', 'note'), is: text('A setting', 'note') });

export const armSchema = z.strictObject({
  /** What it is, said at the reveal. */
  label: text('Name of a cup', 'note'),
  serving,
  /** Of a small experiment: the settings of its two things. */
  levels: z.tuple([level, level], { error: inIssue('arm.levels') }).optional(),
  /** How it is pulled; a cup from elsewhere has none. */
  pull: z
    .strictObject({
      /** The recipe it is pulled by, or departs from. */
      draftId: z.string().max(64),
      doseG,
      yieldG,
      temperatureC,
      timeS,
      clock,
      dial,
      beans,
      purged: z.boolean().default(true),
    })
    .optional(),
});
export type Arm = z.output<typeof armSchema>;
export type ArmPull = NonNullable<Arm['pull']>;
