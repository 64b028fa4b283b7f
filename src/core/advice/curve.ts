/** The grinder's curve as the shots of a dial-in teach it: dial against time, with its band. */
import { fromPumpSeconds, pumpSeconds } from '../extraction/clock';
import { roundDial, settingLimits, Z_80 } from '../grinder/dial';
import { judge } from './judge';
import type { NextInput } from './types';

export interface CurvePoint {
  readonly dial: number;
  /** Expected time on the target's clock and its 80 % interval, for a clean grinder, s. */
  readonly timeS: number;
  readonly interval80: readonly [number, number];
}

/** Steps drawn beyond the shots on either side. */
const BEYOND_STEPS = 3;
const MOST_POINTS = 41;
/** Grams that leave nothing of the old setting behind. */
const CLEAN_PURGE_G = 1000;

/** Points over every setting tried and a few more, from the lowest dial to the highest. */
export function grinderCurve(input: NextInput): CurvePoint[] {
  const judged = judge(input);
  const { grinder, target } = input;
  const { stepSize } = grinder;
  const dials = [...input.shots.map(({ dial }) => dial), judged.dial];
  const limits = settingLimits(grinder);
  const low = Math.max(limits.min, Math.min(...dials) - BEYOND_STEPS * stepSize);
  const high = Math.min(limits.max, Math.max(...dials) + BEYOND_STEPS * stepSize);
  const steps = Math.max(1, Math.round((high - low) / stepSize));
  const every = Math.ceil(steps / (MOST_POINTS - 1));
  const shown = (ln: number) =>
    fromPumpSeconds(pumpSeconds(Math.exp(ln)), target.clock, judged.offsetS);
  return Array.from({ length: Math.floor(steps / every) + 1 }, (_, i) => {
    const dial = roundDial(low + i * every * stepSize);
    const { lnTimeS, variance } = judged.model.predict({
      dial,
      doseG: judged.aimDoseG,
      yieldG: target.yieldG,
      restDays: judged.restDays,
      purgeG: CLEAN_PURGE_G,
    });
    const half = Z_80 * Math.sqrt(variance);
    return {
      dial,
      timeS: shown(lnTimeS),
      interval80: [shown(lnTimeS - half), shown(lnTimeS + half)] as const,
    };
  });
}
