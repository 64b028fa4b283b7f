/** What a trial of a release may change, and how much coffee it may take. */
import { quantity, type Entered } from './field';

export const TRIAL = {
  yieldFromG: quantity('yieldG', { label: 'Yield from', step: 0.5, isOpen: true }),
  yieldToG: quantity('yieldG', { label: 'Yield to', step: 0.5, isOpen: true }),
  temperatureFromC: quantity('temperatureC', {
    label: 'Temperature from',
    step: 0.5,
    isOpen: true,
  }),
  temperatureToC: quantity('temperatureC', { label: 'Temperature to', step: 0.5, isOpen: true }),
  timeFromS: quantity('timeS', { label: 'Time from the pump, from', step: 1, isOpen: true }),
  timeToS: quantity('timeS', { label: 'Time from the pump, to', step: 1, isOpen: true }),
  mostRecipes: quantity('trialRecipes', { step: 1, isWhole: true, isOpen: true }),
  /** The rest of the batch stays for checks and visitors. */
  keepG: quantity('keepG', { step: 10, isOpen: true }),
} as const;

export type TrialEntered = Entered<typeof TRIAL>;

/** The two ends of each variable, by name. */
export const TRIAL_ENDS = [
  ['yieldFromG', 'yieldToG', 'Yield'],
  ['temperatureFromC', 'temperatureToC', 'Temperature'],
  ['timeFromS', 'timeToS', 'Time'],
] as const;
