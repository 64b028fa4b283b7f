/**
 * The dial at which a shot of other figures than the recipe's should run a wanted time, as the shots of the dial-in
 * and the grinder's memory teach it: a cup of a trial needs its grind beforehand.
 */
import { pumpSeconds } from '../extraction/clock';
import { roundDial, settingLimits } from '../grinder/dial';
import { judge } from './judge';
import type { NextInput } from './types';

/** Settings looked at on either side of where the bench stands. */
const REACH_STEPS = 40;
/** Grams that leave nothing of the old setting behind. */
const CLEAN_PURGE_G = 1000;

/** @param wanted doses and yields in g; the time in s from the pump. */
export function dialFor(
  input: NextInput,
): (wanted: { readonly doseG: number; readonly yieldG: number; readonly timeS: number }) => number {
  const judged = judge(input);
  const { stepSize } = input.grinder;
  const { min, max } = settingLimits(input.grinder);
  const settings = Array.from({ length: 2 * REACH_STEPS + 1 }, (_, i) =>
    roundDial(judged.dial + (i - REACH_STEPS) * stepSize),
  ).filter((dial) => dial >= min && dial <= max);
  return ({ doseG, yieldG, timeS }) => {
    const lnWanted = Math.log(pumpSeconds(timeS));
    const off = (dial: number) =>
      Math.abs(
        judged.model.predict({
          dial,
          doseG,
          yieldG,
          restDays: judged.restDays,
          purgeG: CLEAN_PURGE_G,
        }).lnTimeS - lnWanted,
      );
    return settings.reduce((best, dial) => (off(dial) < off(best) ? dial : best), judged.dial);
  };
}
