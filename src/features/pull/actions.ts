/** Logging shots and taking them back. */
import { z } from 'zod';
import { userFault } from '@/core/errors';
import { optionalText, text } from '@/core/schema/fields';
import {
  dripInTime,
  isDripInTime,
  isYieldPlausible,
  shotFields,
  thinYield,
} from '@/core/schema/shot';
import { defineCommand, personOf, type Context } from '@/data/command';
import { findDraft } from '@/data/dialIns';
import { restDaysOf } from '@/data/releaseView';
import { findRelease } from '@/data/releases';
import { findShotWhereabouts, insertShot, setShotRemoved } from '@/data/shots';

const logShotInput = z
  .strictObject({
    draftId: z.string().max(64),
    ...shotFields,
    temperatureC: shotFields.temperatureC.unwrap(),
    remark: optionalText('Remark', 'remark'),
    /** Why the shot was pulled otherwise than advised; absent when the advice was followed. */
    overruled: text('Why you overrule the advice', 'words').optional(),
  })
  .omit({ restDays: true })
  .refine(isDripInTime, dripInTime)
  .refine(isYieldPlausible, thinYield);

export const logShot = defineCommand({
  kind: 'logShot',
  duty: 'bench',
  input: logShotInput,
  run: (input, context) => {
    const { db, id, today } = context;
    const draft = findDraft(db, input.draftId);
    const release = draft && findRelease(db, draft.releaseId);
    const batch = release?.batches.find((candidate) => candidate.id === draft?.batchId);
    if (!draft || !batch)
      throw userFault('notFound', 'draftId', 'The recipe on the bench is gone. Reload the page.');
    insertShot(
      db,
      id,
      {
        ...input,
        restDays: restDaysOf(batch, today),
      },
      personOf(context).id,
    );
    return {
      releaseId: draft.releaseId,
      words: `logged a shot at ${input.dial}: ${input.doseG} → ${input.yieldG} g in ${input.timeS} s${input.overruled ? `, overruling the advice: ${input.overruled}` : ''}`,
      result: { shotId: id },
    };
  },
});

function moveShot(kind: 'removeShot' | 'restoreShot', removed: boolean, verb: string) {
  return defineCommand({
    kind,
    duty: 'bench',
    input: z.strictObject({ shotId: z.string().max(64) }),
    run: ({ shotId }, context: Context) => {
      const found = findShotWhereabouts(context.db, shotId);
      if (!found) throw userFault('notFound', 'shotId', 'There is no such shot. Reload the page.');
      setShotRemoved(context.db, shotId, removed);
      return { releaseId: found.releaseId, words: `${verb} a shot`, result: { shotId } };
    },
  });
}

export const removeShot = moveShot('removeShot', true, 'took back');
export const restoreShot = moveShot('restoreShot', false, 'restored');
