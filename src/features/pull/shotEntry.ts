/** The entry of one shot: what it is prefilled with, and what is sent of it. No DOM. */
import type { Clock, Seen } from '@/core/vocabulary';
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
  readonly remark: string;
  /** Why the advice was overruled, when it was. */
  readonly overruled: string;
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
  const { draft } = bench;
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
    remark: '',
    overruled: '',
  };
}

export function shotInputOf(text: ShotText, bench: Bench) {
  const aim = aimOf(bench);
  const { clock, purged, seen, remark } = text;
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
    seen,
    remark,
    overruled: isOverruled(text, bench) ? text.overruled || 'no reason given' : undefined,
  };
}

/** Is the shot set otherwise than advised? Before the first shot there is no advice to overrule. */
export function isOverruled(text: Pick<ShotText, 'dial' | 'doseG'>, bench: Bench): boolean {
  const aim = aimOf(bench);
  const dial = readNumber(text.dial);
  return bench.shots.length > 0 && typeof dial === 'number' && dial !== aim.dial;
}
