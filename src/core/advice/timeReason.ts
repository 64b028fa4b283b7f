/** How far off the last shot's time was, in words. */
import { correctedLnTime, lastOf, type Judged } from './judge';
import type { CodedMessage } from '../message';
import { REASONS } from './reasons';

/** How far the last shot was off; one that is in the window by its dose or yield alone is corrected for them. */
export function timeReason(judged: Judged): CodedMessage {
  const { target } = judged.input;
  const { shot, mark } = lastOf(judged);
  const { timeOnTargetClockS: timeS } = mark;
  const [low, high] = target.timeS;
  const isIn = timeS >= low && timeS <= high && !(mark.inDose && mark.inYield);
  if (!isIn) return REASONS.timeOff(timeS, target.timeS, target.clock);
  const asRecipeS = Math.exp(correctedLnTime(shot, target, timeS).lnTimeS);
  return REASONS.timeByYield(timeS, asRecipeS, target.timeS, target.clock);
}
