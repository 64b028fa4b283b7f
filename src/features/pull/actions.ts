/** Logging shots and taking them back. */
import { z } from 'zod';
import { userFault } from '@/core/errors';
import {
  dripInTime,
  isDripInTime,
  isYieldPlausible,
  shotEntry,
  thinYield,
} from '@/core/schema/shot';
import { traceSchema } from '@/core/trace/schema';
import { clock } from '@/data/clock';
import { defineCommand, personOf, type Context } from '@/data/command';
import { changedByShot, findDraft } from '@/data/dialIns';
import { findRelease } from '@/data/releases';
import { findShotWhereabouts, insertShot, setShotRemoved } from '@/data/shots';
import { insertTrace } from '@/data/traces';

/** A shot that waited for the network is at most so old; a clock may be this much ahead. */
const OLDEST_MS = 14 * 86_400_000;
const AHEAD_MS = 5 * 60_000;

const logShotInput = z
  .strictObject({
    draftId: z.string().max(64),
    ...shotEntry,
    trace: traceSchema.optional(),
    /** When it was pulled, where it could not be sent at once; now when absent. */
    pulledAt: z.iso
      .datetime({ error: 'The moment of the shot is not a date and time. Reload the page.' })
      .optional(),
  })
  .refine(isDripInTime, dripInTime)
  .refine(isYieldPlausible, thinYield);

export const logShot = defineCommand({
  kind: 'logShot',
  duty: 'bench',
  input: logShotInput,
  run: ({ trace, ...input }, context) => {
    const { db, id } = context;
    const draft = findDraft(db, input.draftId);
    const release = draft && findRelease(db, draft.releaseId);
    const batch = release?.batches.find((candidate) => candidate.id === draft?.batchId);
    if (!draft || !batch)
      throw userFault('notFound', 'draftId', 'The recipe on the bench is gone. Reload the page.');
    const pulledAt = momentOfShot(input.pulledAt);
    insertShot(db, id, { ...input, pulledAt }, personOf(context).id);
    if (trace) insertTrace(db, id, trace);
    return {
      releaseId: draft.releaseId,
      words: `logged a shot at ${input.dial}: ${input.doseG} → ${input.yieldG} g in ${input.timeS} s${input.overruled ? `, overruling the advice: ${input.overruled}` : ''}`,
      result: { shotId: id },
      alsoChanged: changedByShot(db, draft.id, pulledAt),
    };
  },
});

/** The moment of a shot, as its bench says if that can be. */
function momentOfShot(said: string | undefined): string {
  const now = clock.now().getTime();
  const at = said === undefined ? now : Date.parse(said);
  if (at < now - OLDEST_MS || at > now + AHEAD_MS)
    throw userFault(
      'badInput',
      'pulledAt',
      'This shot says it was pulled at another time than can be. Set the clock of this device.',
    );
  return new Date(Math.min(at, now)).toISOString();
}

function moveShot(kind: 'removeShot' | 'restoreShot', removed: boolean, verb: string) {
  return defineCommand({
    kind,
    duty: 'bench',
    input: z.strictObject({ shotId: z.string().max(64) }),
    run: ({ shotId }, context: Context) => {
      const found = findShotWhereabouts(context.db, shotId);
      if (!found) throw userFault('notFound', 'shotId', 'There is no such shot. Reload the page.');
      setShotRemoved(context.db, shotId, removed);
      return {
        releaseId: found.releaseId,
        words: `${verb} a shot`,
        result: { shotId },
        alsoChanged: changedByShot(context.db, found.draftId, found.pulledAt),
      };
    },
  });
}

export const removeShot = moveShot('removeShot', true, 'took back');
export const restoreShot = moveShot('restoreShot', false, 'restored');
