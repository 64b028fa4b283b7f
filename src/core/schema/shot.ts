/** A shot as it was pulled, and what was tasted of it. */
import { z } from 'zod';
import { CHOKED } from '../choked';
import { entryShape } from './entry';
import { SHOT } from '../entity/shot';
import { SCALES } from '../entity/tasting';
import { rangeWords } from '../limits';
import { quantity } from './fields';
import { inIssue } from '../message';

export const tasteSchema = z.strictObject(entryShape(SCALES));
export type Taste = z.output<typeof tasteSchema>;

/** A whole shot as somebody enters it. */
export const shotEntry = entryShape(SHOT);

export const dripInTime = {
  path: ['firstDripS'],
  error: inIssue('shot.drip'),
};
export const isDripInTime = (shot: {
  clock: 'pump' | 'firstDrip';
  timeS: number;
  firstDripS?: number | undefined;
}) => shot.clock !== 'pump' || shot.firstDripS === undefined || shot.firstDripS <= shot.timeS;

export const thinYield = {
  path: ['yieldG'],
  error: inIssue('shot.thin', { underG: CHOKED.underG, range: rangeWords('yieldG') }),
};
export const isYieldPlausible = (shot: {
  yieldG: number;
  timeS: number;
  seen: readonly string[];
}) => shot.yieldG >= CHOKED.underG || shot.timeS >= CHOKED.afterS || shot.seen.includes('choke');

/** What the advice takes of a shot; from a shell, what it can do without may be left out. */
export const shotSchema = z
  .strictObject(shotEntry)
  .omit({
    puck: true,
    overrunG: true,
    tdsPct: true,
    isSimulated: true,
    overruled: true,
    remark: true,
  })
  .extend({
    temperatureC: shotEntry.temperatureC.optional(),
    purged: shotEntry.purged.unwrap(),
    seen: shotEntry.seen.unwrap(),
    beans: shotEntry.beans.unwrap().optional(),
    restDays: quantity('restDays').optional(),
    /** Pulled first after a pause: group and grinder were not yet as warm as they get. */
    isFirst: z.boolean().optional(),
    taste: tasteSchema.optional(),
    /** The grinder's numbers meant something else then, and nobody knows what: its time says nothing of a dial. */
    onOldScale: z.boolean().optional(),
    /** Who pulled it: hands differ. */
    pulledBy: z.string().max(80).optional(),
  })
  .refine(isDripInTime, dripInTime)
  .refine(isYieldPlausible, thinYield);

export type Shot = z.output<typeof shotSchema>;
