/** The daily case: the last recipe of a coffee goes on the bench for its new batch. */
import { z } from 'zod';
import { dayWords } from '@/core/dayWords';
import { userFault } from '@/core/errors';
import { defineCommand, personOf } from '@/data/command';
import { ensureDialIn, findDraft, insertDraft, putOnBench } from '@/data/dialIns';
import { findHouse } from '@/data/house';
import { readRelease } from '@/views/release';

export const carryRecipe = defineCommand({
  kind: 'carryRecipe',
  changes: ['recipe'],
  duty: 'bench',
  input: z.strictObject({
    releaseId: z.string().max(64),
    /** The batch that was offered: another may have arrived since. */
    batchId: z.string().max(70),
  }),
  run: ({ releaseId, batchId }, context) => {
    const { db, id, today } = context;
    const view = readRelease(db, findHouse(db)!, releaseId, { today });
    const carried = view?.newBatch;
    if (view === null || carried?.batchId !== batchId)
      throw userFault(
        'conflict',
        'batchId',
        'This batch no longer waits for the last recipe: somebody put it on the bench, or deleted it. Reload the page.',
      );
    const { source, setupId, recipe, advice, roastDate } = carried;
    const { style, temperatureSchool } = findDraft(db, source.draftId)!;
    const dialInId = ensureDialIn(db, id, { releaseId, batchId, setupId, style });
    const { ratio: _ratio, ...entered } = recipe;
    insertDraft(
      db,
      id,
      dialInId,
      {
        recipe: entered,
        temperatureSchool,
        startDial: advice.setting.dial,
        why: `Carried over from the batch roasted ${dayWords(source.roastDate)}`,
        carriedFrom: source.draftId,
      },
      personOf(context).id,
    );
    putOnBench(db, releaseId, id);
    return {
      releaseId,
      words: `carried the recipe over to the batch roasted ${dayWords(roastDate)}, dial ${carried.dialWords}`,
      result: { draftId: id, previousDraftId: view.benchDraftId },
    };
  },
});
