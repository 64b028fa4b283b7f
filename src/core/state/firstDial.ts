/** The one dial a dial-in begins at: what Start fills in, Pull sets and `kb next` says before the first shot. */
import { nextMove } from '../advice/next';
import type { NextInput } from '../advice/types';
import { isSameDial, middleSetting } from '../grinder/dial';
import type { StartDial } from '../start/startDial';

export interface FirstDial {
  readonly dial: number;
  /** What says so: past dial-ins of the grinder, the rules on its calibration, or nothing at all. */
  readonly from: 'memory' | 'calibration' | 'guess';
  /** How many past dial-ins. */
  readonly dialIns: number;
}

/** Each round comes nearer; two settings may point at each other, and either will do. */
const MOST_ROUNDS = 6;

/**
 * @param asked the recipe as target, its grinder and basket, and what the grinder's past teaches of such a coffee.
 * @param calibrated where the rules put it; null on a grinder nobody calibrated.
 */
export function firstDial(
  asked: Pick<NextInput, 'target' | 'grinder' | 'basket' | 'memory' | 'coffee'>,
  calibrated: StartDial | null,
): FirstDial {
  // A setting that was set already is left sooner or later than one that was not: the one that stays is the first.
  let dial = calibrated?.dial ?? middleSetting(asked.grinder);
  for (let i = 0; i < MOST_ROUNDS; i++) {
    const target = { ...asked.target, startDial: dial };
    const next = nextMove({ ...asked, target, shots: [] }).setting.dial;
    if (isSameDial(next, dial)) break;
    dial = next;
  }
  const dialIns = asked.memory?.dialIns ?? 0;
  const ownWay = calibrated ? 'calibration' : 'guess';
  return { dial, from: dialIns > 0 ? 'memory' : ownWay, dialIns };
}
