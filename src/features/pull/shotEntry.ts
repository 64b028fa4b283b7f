/** The entry of the next shot as text, and what is sent of it. No DOM. */
import type { Fault } from '@/core/errors';
import { fullPurge } from '@/core/grinder/retention';
import { quantityFault } from '@/core/limits';
import type { Trace } from '@/core/trace/schema';
import type { BeanState, Clock, Seen } from '@/core/vocabulary';
import type { Bench } from '@/data/releaseView';
import { readNumber } from '@/ui/readNumber';

export interface ShotText {
  readonly dial: string;
  readonly doseG: string;
  readonly yieldG: string;
  readonly timeS: string;
  readonly firstDripS: string;
  readonly temperatureC: string;
  readonly clock: Clock;
  readonly purged: boolean;
  readonly seen: readonly Seen[];
  readonly beans: BeanState;
  readonly blondS: string;
  readonly puck: string;
  readonly remark: string;
  /** Why the advice was overruled, when it was. */
  readonly overruled: string;
  /** From a scale or a file. */
  readonly trace: Trace | null;
  readonly overrunG: number | null;
  /** Off the refractometer, %. */
  readonly tdsPct: number | null;
}

/** Where the advice stands: the dial and dose the next shot is meant to have. */
export function aimOf({ draft, shots, advice }: Bench): { dial: number; doseG: number } {
  const last = shots.at(-1);
  const here = {
    dial: last?.dial ?? draft.startDial,
    doseG: last?.aimDoseG ?? draft.doseG,
  };
  const { move } = advice;
  // A revision made by taste may begin at another dial than the last shot's.
  if (last && last.draftId !== draft.id) return { dial: draft.startDial, doseG: draft.doseG };
  if (move?.variable === 'dial') return { dial: move.to, doseG: move.doseTrim?.to ?? here.doseG };
  return move?.variable === 'doseG' ? { ...here, doseG: move.to } : here;
}

/** Prefilled from the recipe, the last shot and the advice; only the time is left to enter. */
export function prefill(bench: Bench): ShotText {
  const { draft, shots } = bench;
  const aim = aimOf(bench);
  return {
    dial: String(aim.dial),
    doseG: String(aim.doseG),
    yieldG: String(draft.yieldG),
    timeS: '',
    firstDripS: '',
    temperatureC: String(draft.temperatureC),
    clock: draft.clock,
    purged: false,
    seen: [],
    beans: shots.at(-1)?.beans ?? 'room',
    blondS: '',
    puck: '',
    remark: '',
    overruled: '',
    trace: null,
    overrunG: null,
    tdsPct: null,
  };
}

/** Grams a tick of "purged" stands for: as advised for the advised dial, else what clears the grinder. */
export function purgeOfTick(text: Pick<ShotText, 'dial'>, bench: Bench): number {
  const isAdvised = readNumber(text.dial) === aimOf(bench).dial;
  const full = fullPurge(bench.setup.grinder.retentionG);
  return isAdvised && bench.advice.purgeG > 0 ? bench.advice.purgeG : full;
}

/** Does the dial stand otherwise than at the last shot, so far that grounds of the old setting matter? */
export function needsPurge(text: Pick<ShotText, 'dial'>, bench: Bench): boolean {
  const last = bench.shots.at(-1);
  const dial = readNumber(text.dial);
  if (!last || bench.setup.grinder.retentionG <= 0 || dial === last.dial) return false;
  return dial !== aimOf(bench).dial || bench.advice.purgeG > 0;
}

export function shotInputOf(text: ShotText, bench: Bench) {
  const aim = aimOf(bench);
  const { clock, purged, seen, beans, puck, remark, trace, overrunG, tdsPct } = text;
  return {
    draftId: bench.draft.id,
    dial: readNumber(text.dial),
    doseG: readNumber(text.doseG),
    aimDoseG: aim.doseG === bench.draft.doseG ? undefined : aim.doseG,
    yieldG: readNumber(text.yieldG),
    timeS: readNumber(text.timeS),
    firstDripS: readNumber(text.firstDripS),
    temperatureC: readNumber(text.temperatureC),
    clock,
    purged,
    purgeG: purged ? purgeOfTick(text, bench) : undefined,
    seen,
    beans,
    blondS: readNumber(text.blondS),
    puck,
    remark,
    overruled: isOverruled(text, bench) ? text.overruled || 'no reason given' : undefined,
    trace: trace ?? undefined,
    overrunG: overrunG ?? undefined,
    tdsPct: tdsPct ?? undefined,
    // A shot on simulated instruments, or one typed in while they are linked, is not the house's own.
    isSimulated: bench.setup.links.scale === 'simulated' || undefined,
  };
}

/** Figures of a shot without which it is none, with their ranges. */
const NEEDED = {
  dial: 'dial',
  doseG: 'doseG',
  yieldG: 'shotYieldG',
  timeS: 'timeS',
  temperatureC: 'temperatureC',
} as const;

/** What can be told without the server: what is missing or out of range, by field. */
export function faultsOf(input: ReturnType<typeof shotInputOf>): Fault[] {
  return (Object.keys(NEEDED) as (keyof typeof NEEDED)[]).flatMap((field) => {
    const message = quantityFault(NEEDED[field], input[field]);
    return message === null ? [] : [{ field, message }];
  });
}

/** Is the shot set otherwise than advised? Before the first shot there is no advice to overrule. */
export function isOverruled(text: Pick<ShotText, 'dial' | 'doseG'>, bench: Bench): boolean {
  const aim = aimOf(bench);
  const dial = readNumber(text.dial);
  return bench.shots.length > 0 && typeof dial === 'number' && dial !== aim.dial;
}
