/** Ways to dial in: what people do by hand, two textbook searches, the advisor, and knowing it all. */
import { nextMove } from '@/core/advice/next';
import { isOnTargetStatus } from '@/core/advice/types';
import type { GrinderMemory, GrindFeatures } from '@/core/grinderMemory/memory';
import { PURGE_TIMES_RETENTION } from '@/core/grinder/retention';
import type { Grinder } from '@/core/schema/setup';
import type { Shot } from '@/core/schema/shot';
import { targetSchema } from '@/core/schema/target';
import { RATED_G, TARGET, windowOf, type Asked, type TrueBench } from './truths';

/** What to pull next; or that the setting of the last shot is taken to be on target, or to be the nearest there is. */
export type Strategy = (bench: TrueBench, shots: readonly Shot[]) => Asked | End;

export type Ended = 'onTarget' | 'nearest';
export interface End {
  readonly end: Ended;
  /** How sure it said it was that the setting holds the window, 0-1. */
  readonly said?: number | undefined;
}

/** Two in a row inside the window at one setting, as people take it for proof. */
export const twoInARow =
  (next: (bench: TrueBench, shots: readonly Shot[]) => Asked): Strategy =>
  (bench, shots) => {
    const [before, last] = shots.slice(-2);
    const isSame = before?.dial === last?.dial && before?.aimDoseG === last?.aimDoseG;
    return before && last && isSame && lands(before) && lands(last)
      ? { end: 'onTarget' }
      : next(bench, shots);
  };

const CENTRE_S = 28;
const dose = TARGET.doseG;
const lands = (shot: Shot) => inWindow(shot) && Math.abs(shot.yieldG - TARGET.yieldG) <= 1;
const inWindow = ({ timeS }: Shot) => timeS >= TARGET.timeS[0] && timeS <= TARGET.timeS[1];
const full = (grinder: Grinder) => PURGE_TIMES_RETENTION * grinder.retentionG;

/** One step for up to 3.5 s, three for more (big steps first), no purge, and again when it hits. */
export const byHand: Strategy = twoInARow((bench, shots) => {
  const last = shots.at(-1);
  if (!last) return { dial: bench.startDial, doseG: dose, purgeG: 0 };
  if (inWindow(last)) return { dial: last.dial, doseG: dose, purgeG: 0 };
  const offS = last.timeS - CENTRE_S;
  const steps = Math.sign(offS) * (Math.abs(offS) > 3.5 ? 3 : 1);
  return { dial: last.dial + steps, doseG: dose, purgeG: 0 };
});

const REMEMBERED = 6;

/** Doubles the move until the window lies between two settings, then halves. */
export const bisection: Strategy = twoInARow((bench, shots) => {
  const last = shots.at(-1);
  if (!last) return { dial: bench.startDial, doseG: dose, purgeG: 0 };
  const stay = { dial: last.dial, doseG: dose, purgeG: 0 };
  if (inWindow(last)) return stay;
  // Older shots are forgotten: one that lied would otherwise hold the bracket for ever.
  const recent = shots.slice(-REMEMBERED);
  const slow = recent.filter((shot) => shot.timeS > TARGET.timeS[1]);
  const fast = recent.filter((shot) => shot.timeS < TARGET.timeS[0]);
  const finest = Math.max(...slow.map((shot) => shot.dial));
  const coarsest = Math.min(...fast.map((shot) => shot.dial));
  const isBracketed = slow.length > 0 && fast.length > 0;
  const reach = 2 ** Math.min(5, shots.length);
  const way = last.timeS > CENTRE_S ? 1 : -1;
  const dial = isBracketed ? Math.round((finest + coarsest) / 2) : last.dial + way * reach;
  // Contradicting shots leave nothing between: one step the way the last one says.
  const to = dial === last.dial || (isBracketed && coarsest - finest < 2) ? last.dial + way : dial;
  return { dial: to, doseG: dose, purgeG: 0 };
});

/** Moves by what a usual step does: ln(time / centre) / .10. */
export const proportional: Strategy = twoInARow((bench, shots) => {
  const last = shots.at(-1);
  if (!last) return { dial: bench.startDial, doseG: dose, purgeG: 0 };
  if (inWindow(last)) return { dial: last.dial, doseG: dose, purgeG: 0 };
  const off = Math.log(last.timeS / CENTRE_S);
  const steps = Math.round(off / 0.1) || Math.sign(off);
  return { dial: last.dial + steps, doseG: dose, purgeG: 0 };
});

/** Knows the ideal dial and purges fully before every shot; has only the settings the grinder has. */
export const perfect: Strategy = twoInARow((bench) => ({
  dial: Math.round(bench.idealDial),
  doseG: dose,
  purgeG: full(bench.grinder),
}));

export interface AdvisorOptions {
  readonly retention: boolean;
  readonly trim: boolean;
  /** The grinder's step is calibrated. */
  readonly known?: boolean;
  /** What past dial-ins taught, and what of this coffee it goes by. */
  readonly memory?: GrinderMemory;
  readonly coffee?: GrindFeatures;
}

export function advisor({ retention, trim, known = false, ...learnt }: AdvisorOptions): Strategy {
  return (bench, shots) => {
    const { clock = 'pump', startDial } = bench;
    const target = targetSchema.parse({ ...TARGET, clock, timeS: windowOf(clock), startDial });
    const grinder: Grinder = {
      ...bench.grinder,
      retentionG: retention ? bench.grinder.retentionG : 0,
      ...(known && calibrated(bench.lnPerStep)),
    };
    const advice = nextMove({
      target,
      grinder,
      basket: { ratedG: RATED_G },
      shots: [...shots],
      doseSchool: trim ? 'trim' : 'locked',
      ...learnt,
    });
    const said = advice.proof?.inWindow;
    if (isOnTargetStatus(advice.status)) return { end: 'onTarget', said };
    if (advice.status === 'nearest') return { end: 'nearest', said };
    const { interval80 } = advice.expect;
    return { ...advice.setting, purgeG: retention ? advice.purgeG : 0, interval80 };
  };
}

function calibrated(lnPerStep: number): Partial<Grinder> {
  const secondsPerStep = 28 * (Math.exp(lnPerStep) - 1);
  return { secondsPerStep, secondsPerStepHalf80: 0.12 * secondsPerStep };
}
