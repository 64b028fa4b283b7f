/** The staged cups of a shot: each note replaces the one before. */
import { z } from 'zod';
import { userFault } from '@/core/errors';
import { oneOf, quantity } from '@/core/schema/fields';
import { LIKENESSES, MOST_STAGES, STAGE_TASTES } from '@/core/taste/staged';
import { defineCommand, personOf } from '@/data/command';
import { findShotWhereabouts } from '@/data/shots';
import { noteStaged } from '@/data/staged';

export const noteStages = defineCommand({
  kind: 'noteStages',
  changes: ['tasting'],
  duty: 'bench',
  input: z.strictObject({
    shotId: z.string({ error: 'No shot is chosen. Choose the shot you caught.' }).max(64),
    cups: z
      .array(
        z.strictObject({
          massG: quantity('stagedCupG'),
          tdsPct: quantity('tdsPct').optional(),
          taste: oneOf('Taste of a cup', STAGE_TASTES).optional(),
        }),
      )
      .max(MOST_STAGES, { error: `At most ${MOST_STAGES} cups of one shot.` }),
    likeness: oneOf('Likeness', LIKENESSES).optional(),
  }),
  run: ({ shotId, cups, likeness = null }, context) => {
    const { db } = context;
    const found = findShotWhereabouts(db, shotId);
    if (!found || found.removed)
      throw userFault('notFound', 'shotId', 'That shot was deleted. Choose another one.');
    noteStaged(db, shotId, { cups, likeness }, personOf(context).id);
    const words =
      cups.length === 0 ? 'cleared the staged cups of a shot' : `noted ${cups.length} staged cups`;
    return { releaseId: found.releaseId, words, result: {} };
  },
});
