/** A grinder's memory in the words of the bench: seconds a step, scatter, usual dial by roast. */
import { roundDial, Z_80 } from '../grinder/dial';
import type { GrinderMemory } from './memory';
import type { Grinder } from '../schema/setup';

/** Time of the shot that people say steps and dials of. */
const USUAL_TIME_S = 28;

/** From so many shots on a person's own scatter is said; from so many dial-ins the rules say the less. House heuristic. */
const ENOUGH_SHOTS = 20;
const ENOUGH_DIAL_INS = 3;

/** So few past dial-ins that the rule they are drawn to says more than they. */
export const isMostlyRule = (dialIns: number) => dialIns < ENOUGH_DIAL_INS;

export interface GrinderLessons {
  readonly dialIns: number;
  /** Seconds a step finer adds to a shot of 28 s, and half of its 80 % interval for a new coffee. */
  readonly stepS: number;
  readonly stepHalf80S: number;
  /** sd of the time of like shots, %, of all and of each person with enough shots. */
  readonly scatterPct: number;
  readonly people: readonly { readonly name: string; readonly scatterPct: number }[];
  /** So few dial-ins that the trade's rules still say most of it. */
  readonly isMostlyRule: boolean;
  /** Settings where a washed coffee of each roast should run 28 s at 1:2. */
  readonly usualDials: { readonly light: number; readonly medium: number; readonly dark: number };
}

/** What a memory says; null where it rests on nothing. */
export function taughtBy(
  memory: GrinderMemory,
  { stepSize }: Pick<Grinder, 'stepSize'>,
): GrinderLessons | null {
  if (memory.dialIns === 0) return null;
  const [level, light, dark, , slope] = memory.mean as [number, number, number, number, number];
  const perStep = Math.abs(slope) * stepSize;
  const perStepSd = Math.hypot(Math.sqrt(memory.covariance[4]![4]!), memory.between[1]!) * stepSize;
  const seconds = (ln: number) => USUAL_TIME_S * (Math.exp(ln) - 1);
  const dialFor = (ofRoast: number) => {
    const dial = memory.referenceDial + (Math.log(USUAL_TIME_S) - level - ofRoast) / slope;
    return roundDial(Math.round(dial / stepSize) * stepSize);
  };
  return {
    dialIns: memory.dialIns,
    stepS: seconds(perStep),
    stepHalf80S: (seconds(perStep + Z_80 * perStepSd) - seconds(perStep - Z_80 * perStepSd)) / 2,
    scatterPct: 100 * memory.noiseSd,
    people: Object.entries(memory.people ?? {})
      .filter(([, { shots }]) => shots >= ENOUGH_SHOTS)
      .map(([name, { sd }]) => ({ name, scatterPct: 100 * sd }))
      .sort((a, b) => a.name.localeCompare(b.name)),
    isMostlyRule: isMostlyRule(memory.dialIns),
    usualDials: { light: dialFor(light), medium: dialFor(0), dark: dialFor(dark) },
  };
}
