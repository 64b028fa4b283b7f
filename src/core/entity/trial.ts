/** What a trial of a release may change, and how much coffee it may take. */
import { quantity, type Input } from './field';

export const TRIAL = {
  yieldFromG: quantity('yieldG', { label: 'Yield from', step: 0.5, optional: true }),
  yieldToG: quantity('yieldG', { label: 'Yield to', step: 0.5, optional: true }),
  temperatureFromC: quantity('temperatureC', {
    label: 'Temperature from',
    step: 0.5,
    optional: true,
  }),
  temperatureToC: quantity('temperatureC', { label: 'Temperature to', step: 0.5, optional: true }),
  timeFromS: quantity('timeS', { label: 'Time from the pump, from', step: 1, optional: true }),
  timeToS: quantity('timeS', { label: 'Time from the pump, to', step: 1, optional: true }),
  mostRecipes: quantity('trialRecipes', { step: 1, isWhole: true, optional: true }),
  /** The rest of the batch stays for checks and visitors. */
  keepG: quantity('keepG', { step: 10, optional: true }),
} as const;

export type TrialInput = Input<typeof TRIAL>;

/** The two ends of each variable, by name. */
export const TRIAL_ENDS = [
  ['yieldFromG', 'yieldToG', 'Yield'],
  ['temperatureFromC', 'temperatureToC', 'Temperature'],
  ['timeFromS', 'timeToS', 'Time'],
] as const;
