/** The entry of the next shot as text, and what is sent of it. No DOM. */
import { entriesOf } from '@/core/entity/field';
import { SHOT } from '@/core/entity/shot';
import type { Fault } from '@/core/errors';
import {
  massOfVolume,
  readVolume,
  USUAL_CREMA_G_PER_ML,
  volumeOfMass,
} from '@/core/extraction/volume';
import { fullPurge } from '@/core/grinder/retention';
import { quantityFault } from '@/core/limits';
import type { Trace } from '@/core/trace/schema';
import type { Bench } from '@/views/release';
import { sentOf, textOf, type EntryText } from '@/ui/entryText';
import { readNumber } from '@/core/readNumber';
import { inWords } from '@/words/faults';

export type ShotText = EntryText<typeof SHOT> & {
  /** From a scale or a file. */
  readonly trace: Trace | null;
};

/** Prefilled from the recipe, the last shot and the advice; only the time is left to enter. */
export function prefill(
  { draft, shots, advice }: Bench,
  cremaGPerMl = USUAL_CREMA_G_PER_ML,
): ShotText {
  const { yieldG, temperatureC, clock } = draft.recipe;
  const beans = shots.at(-1)?.beans ?? SHOT.beans.default;
  return {
    ...textOf(SHOT, { ...advice.setting, yieldG, temperatureC, clock, beans }),
    // Who reads cups by their marks goes on reading them.
    ...(shots.at(-1)?.yieldMl !== undefined &&
      byVolume(volumeOfMass(yieldG, cremaGPerMl), cremaGPerMl)),
    trace: null,
  };
}

/** A yield read by volume, and what it weighs: the rest of the screen reads grams. */
export function byVolume(
  ml: number | string,
  cremaGPerMl: number,
): Pick<ShotText, 'yieldG' | 'yieldMl'> {
  const read = readNumber(String(ml));
  return {
    yieldMl: String(ml),
    yieldG: typeof read === 'number' ? String(massOfVolume(read, cremaGPerMl)) : '',
  };
}

/** A typed yield: grams, unless it names millilitres or fluid ounces itself. */
export function yieldOf(
  typed: string,
  cremaGPerMl: number,
): Pick<ShotText, 'yieldG'> & Partial<Pick<ShotText, 'yieldMl'>> {
  const ml = readVolume(typed);
  return ml === null ? { yieldG: typed } : byVolume(ml, cremaGPerMl);
}

/** Grams a tick of "purged" stands for: as advised for the advised dial, else what clears the grinder. */
export function purgeOfTick(text: Pick<ShotText, 'dial'>, bench: Bench): number {
  const isAdvised = readNumber(text.dial) === bench.advice.setting.dial;
  const full = fullPurge(bench.setup.grinder.retentionG);
  return isAdvised && bench.advice.purgeG > 0 ? bench.advice.purgeG : full;
}

/** Does the dial stand otherwise than at the last shot, so far that grounds of the old setting matter? */
export function needsPurge(text: Pick<ShotText, 'dial'>, bench: Bench): boolean {
  const last = bench.shots.at(-1);
  const dial = readNumber(text.dial);
  if (!last || bench.setup.grinder.retentionG <= 0) return false;
  if (typeof dial !== 'number' || dial === last.dial) return false;
  return dial !== bench.advice.setting.dial || bench.advice.purgeG > 0;
}

export function shotSent(text: ShotText, bench: Bench) {
  const { setting } = bench.advice;
  const { trace, ...typed } = text;
  return {
    ...sentOf(SHOT, typed),
    draftId: bench.draft.id,
    aimDoseG: setting.doseG === bench.draft.recipe.doseG ? undefined : setting.doseG,
    purgeG: text.purged ? purgeOfTick(text, bench) : undefined,
    overruled: isOverruled(text, bench) ? text.overruled || 'no reason given' : undefined,
    trace: trace ?? undefined,
    // A shot on simulated instruments, or one typed in while they are linked, is not the house's own.
    isSimulated: bench.setup.links.scale === 'simulated',
  };
}

/** What can be told without the server: what is missing or out of range, by field. */
export function faultsOf(sent: ReturnType<typeof shotSent>): Fault[] {
  return entriesOf(SHOT).flatMap(([field, kind]) => {
    if (kind.kind !== 'quantity' || (kind.optional && sent[field] === undefined)) return [];
    const wrong = quantityFault(kind.limit, sent[field]);
    return wrong === null ? [] : [{ field, message: inWords(wrong) }];
  });
}

/** Is the shot set otherwise than advised? Before the first shot there is no advice to overrule. */
export function isOverruled(text: Pick<ShotText, 'dial' | 'doseG'>, bench: Bench): boolean {
  const dial = readNumber(text.dial);
  return bench.shots.length > 0 && typeof dial === 'number' && dial !== bench.advice.setting.dial;
}
