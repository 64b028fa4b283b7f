/** A dial-in's sound shots as evidence of its batch: ln time at one dial, dose and yield. */
import { pumpSeconds } from '../extraction/clock';
import { rowsOf, type Reference } from '../grinder/timeRows';
import { medianOf } from '../patterns/series';
import { freshVariance } from '../rest/ageing';
import type { AgedShot } from '../rest/houseAgeing';
import { isUnsound, timedShots } from './judge';
import type { NextInput } from './types';

/** How dial, dose and yield act on ln time: per dial number, and as exponents. */
export interface TimeEffects {
  readonly perDial: number;
  readonly dose: number;
  readonly yield: number;
}

/** Mixed grounds or a clock in doubt: more variance than this says nothing of a batch. */
const MOST_EXTRA_VARIANCE = 0.02 ** 2;
/** A shot this far from the middle of its batch, in ln time, was odd. House heuristic: six times the noise. */
const ODD_FROM = 0.27;

/**
 * Brings each sound shot to the reference setting; its age is left in it.
 * @param targetOf what a shot was pulled for: a recipe revised since does not make it a miss.
 */
export function batchShots(
  input: Pick<NextInput, 'target' | 'grinder' | 'shots'>,
  reference: Omit<Reference, 'restDays'>,
  effects: TimeEffects,
  targetOf: (shotIndex: number) => NextInput['target'] = () => input.target,
): AgedShot[] {
  const { grinder, shots } = input;
  const { shots: all, pumpWindowS } = timedShots(input);
  const timed = all.map((shot, i) => ({ ...shot, aimYieldG: targetOf(i).yieldG }));
  const { rows } = rowsOf({
    shots: timed,
    reference: { ...reference, restDays: 14 },
    retentionG: grinder.retentionG,
    slope: effects.perDial,
    expectedLnTimeS: Math.log(pumpSeconds((pumpWindowS[0] + pumpWindowS[1]) / 2)),
  });
  const sound = rows.flatMap(({ x, lnTimeS, extraVariance, fixedVariance, shotIndex }) => {
    const shot = shots[shotIndex]!;
    if (fixedVariance !== null || shot.restDays === undefined) return [];
    const inDoubt = extraVariance - freshVariance(shot.restDays);
    if (inDoubt > MOST_EXTRA_VARIANCE || isUnsound(shot, targetOf(shotIndex))) return [];
    const ofSetting = effects.perDial * x[1]! + effects.dose * x[2]! + effects.yield * x[3]!;
    return [{ restDays: shot.restDays, lnTimeS: lnTimeS - ofSetting }];
  });
  const middle = medianOf(sound.map(({ lnTimeS }) => lnTimeS)) ?? 0;
  return sound.filter(({ lnTimeS }) => Math.abs(lnTimeS - middle) < ODD_FROM);
}
