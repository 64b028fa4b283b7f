/** Recording a tasting. */
import { z } from 'zod';
import { userFault } from '@/core/errors';
import { extraction } from '@/core/extraction/extraction';
import { oneOf, optionalText, quantity, text } from '@/core/schema/fields';
import { tasteSchema } from '@/core/schema/shot';
import { MOMENTS, SERVINGS } from '@/core/vocabulary';
import { defineCommand, personOf } from '@/data/command';
import { findShotMasses, findShotWhereabouts, setShotTds } from '@/data/shots';
import { insertTasting } from '@/data/tastings';

export const recordTasting = defineCommand({
  kind: 'recordTasting',
  duty: 'bench',
  input: z.strictObject({
    shotId: z.string({ error: 'No shot is chosen. Choose the shot you tasted.' }).max(64),
    moment: oneOf('Moment', MOMENTS),
    serving: oneOf('Serving', SERVINGS),
    scales: tasteSchema,
    notesFound: z.array(text('A note', 'note')).max(24),
    remark: optionalText('Remark', 'remark'),
    tdsPct: quantity('tdsPct').optional(),
  }),
  run: ({ tdsPct, ...tasting }, context) => {
    const { db, id } = context;
    const found = findShotWhereabouts(db, tasting.shotId);
    if (!found || found.removed)
      throw userFault('notFound', 'shotId', 'That shot was taken back. Choose another one.');
    if (tdsPct !== undefined) {
      // Refuses a reading that would dissolve more than was dosed.
      extraction({ ...findShotMasses(db, tasting.shotId), tdsPct });
      setShotTds(db, tasting.shotId, tdsPct);
    }
    insertTasting(db, id, tasting, personOf(context).id);
    return { releaseId: found.releaseId, words: 'tasted a shot', result: { tastingId: id } };
  },
});
