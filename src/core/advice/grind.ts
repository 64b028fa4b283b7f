/** What a setting is expected to give, what it needs first, and how the way to it is worded. */
import { fromPumpSeconds, pumpSeconds } from '../extraction/clock';
import { grindWord, isSameDial, Z_80 } from '../grinder/dial';
import { dialMoveWords } from '../grinder/notation';
import { purgeFor } from '../grinder/retention';
import type { Judged } from './judge';
import { between } from './proofCost';
import type { Expectation, Move, Setting } from './types';

/** What a shot is pulled to: of the target, or of the recipe a move of the taste makes of it. */
export interface Pulled {
  readonly yieldG: number;
  readonly timeS: readonly [number, number];
}

/** Expected time and its interval at a setting, purged if the dial moves. */
export function expectAt(
  judged: Judged,
  setting: Setting,
  pulled: Pulled = judged.input.target,
): Expectation {
  const { lnTimeS, variance } = predictAt(judged, setting, pulled);
  const sd = Math.sqrt(variance);
  const { clock } = judged.input.target;
  const shown = (ln: number) => fromPumpSeconds(pumpSeconds(Math.exp(ln)), clock, judged.offsetS);
  return {
    timeS: shown(lnTimeS),
    interval80: [shown(lnTimeS - Z_80 * sd), shown(lnTimeS + Z_80 * sd)],
    clock,
    landing: landing(judged, setting, pulled),
  };
}

/** Probability of landing in the time window at a setting, 0-1. */
export function landing(
  judged: Judged,
  setting: Setting,
  pulled: Pulled = judged.input.target,
): number {
  const { lnTimeS, variance } = predictAt(judged, setting, pulled);
  const [low, high] = pulled.timeS.map((s) => s + judged.offsetS) as [number, number];
  return between(lnTimeS, Math.sqrt(variance), Math.log(low), Math.log(high));
}

function predictAt(judged: Judged, { dial, doseG }: Setting, { yieldG }: Pulled) {
  return judged.model.predict({
    dial,
    doseG,
    yieldG,
    restDays: judged.restDays,
    purgeG: purgeBefore(judged, { dial, doseG }),
  });
}

/** Grams to purge before a shot at a setting; nothing is purged while the dial stays. */
export function purgeBefore(judged: Judged, { dial, doseG }: Setting): number {
  if (dial === judged.dial) return 0;
  const { coefficients, covariance, chamberDial } = judged.model;
  const steepest = Math.abs(coefficients[1]) + Math.sqrt(covariance.get(1, 1));
  return purgeFor({
    retentionG: judged.input.grinder.retentionG,
    doseG,
    lnTimeChange: steepest * (dial - chamberDial),
  });
}

/** A setting worded as the one move from where the bench stands; null when nothing changes. */
export function moveTo(judged: Judged, { dial, doseG }: Setting): Move | null {
  const { grinder } = judged.input;
  const from = judged.dial;
  const dosed = Math.abs(doseG - judged.aimDoseG) > 1e-9;
  const dose = { fromG: judged.aimDoseG, toG: doseG };
  if (dial === from)
    return dosed
      ? {
          variable: 'doseG',
          from: judged.aimDoseG,
          to: doseG,
          message: { id: 'advice.move.dose', values: { at: 'start', ...dose } },
        }
      : null;
  const turn = {
    at: 'start',
    side: grindWord(grinder, from, dial),
    dials: dialMoveWords(grinder, from, dial),
    end: isSameDial(dial, grinder.min) || isSameDial(dial, grinder.max) ? 'yes' : 'no',
  };
  return {
    variable: 'dial',
    from,
    to: dial,
    message: dosed
      ? { id: 'advice.move.dialAndDose', values: { ...turn, ...dose } }
      : { id: 'advice.move.dial', values: turn },
    ...(dosed && { doseTrim: { from: judged.aimDoseG, to: doseG } }),
  };
}

/** Where the bench stands. */
export function settingNow(judged: Judged): Setting {
  return { dial: judged.dial, doseG: judged.aimDoseG };
}

/** Purge and dose of a shot at a setting, g. */
export function costOf(judged: Judged, setting: Setting): number {
  return setting.doseG + purgeBefore(judged, setting);
}
