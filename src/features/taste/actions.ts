/** Cup sheets: kept, corrected, deleted and restored. */
import { z } from 'zod';
import { userFault } from '@/core/errors';
import { extraction } from '@/core/extraction/extraction';
import { oneOf, optionalText, quantity, text } from '@/core/schema/fields';
import { tasteSchema } from '@/core/schema/shot';
import { isEmptyCup, EMPTY_CUP_FAULT } from '@/core/taste/emptyCup';
import { MOMENTS, SERVINGS } from '@/core/vocabulary';
import { changedMeanwhile, defineCommand, personOf, type Context } from '@/data/command';
import { deviceMoment, momentSaid } from '@/data/deviceMoment';
import { keepBefore } from '@/data/edits';
import { findShotMasses, findShotWhereabouts, setShotTds } from '@/data/shots';
import { findTasting, insertTasting, setTastingRemoved, updateTasting } from '@/data/tastings';
import { asIssue } from '@/core/message';

const cup = {
  moment: oneOf('Moment', MOMENTS),
  serving: oneOf('Serving', SERVINGS),
  scales: tasteSchema,
  notesFound: z.array(text('A note', 'note')).max(24),
  remark: optionalText('Remark', 'remark'),
  tdsPct: quantity('tdsPct').optional(),
};

const emptyCup = { path: ['scales'], error: asIssue(EMPTY_CUP_FAULT) };

export const recordTasting = defineCommand({
  kind: 'recordTasting',
  changes: ['tasting', 'shot'],
  duty: 'bench',
  input: z
    .strictObject({
      shotId: z.string({ error: 'No shot is chosen. Choose the shot you tasted.' }).max(64),
      tastedAt: deviceMoment('cup'),
      ...cup,
    })
    .refine((given) => !isEmptyCup(given), emptyCup),
  run: ({ tdsPct, ...tasting }, context) => {
    const { db, id } = context;
    const found = findShotWhereabouts(db, tasting.shotId);
    if (!found || found.removed)
      throw userFault('notFound', 'shotId', 'That shot was deleted. Choose another one.');
    readTds(context, tasting.shotId, tdsPct);
    const tastedAt = momentSaid('cup', 'tastedAt', tasting.tastedAt);
    insertTasting(db, id, { ...tasting, tastedAt }, personOf(context).id);
    return { releaseId: found.releaseId, words: 'tasted a shot', result: { tastingId: id } };
  },
});

export const correctTasting = defineCommand({
  kind: 'correctTasting',
  changes: ['tasting', 'shot'],
  duty: 'bench',
  input: z
    .strictObject({ tastingId: z.string().max(64), rowVersion: z.number().int(), ...cup })
    .refine((given) => !isEmptyCup(given), emptyCup),
  run: ({ tastingId, rowVersion, tdsPct, ...fields }, context) => {
    const { db, id } = context;
    const before = ownSheet(tastingId, context);
    readTds(context, before.shotId, tdsPct);
    if (!updateTasting(db, { id: tastingId, rowVersion }, fields))
      throw changedMeanwhile('cup sheet');
    const { moment, serving, scales, notesFound, remark } = before;
    const kept = { moment, serving, scales, notesFound, remark };
    keepBefore(db, id, { what: 'tasting', rowId: tastingId, rowVersion, before: kept });
    return {
      releaseId: before.releaseId,
      words: `corrected ${whose(before.tastedById, before.tastedBy, context)} cup sheet`,
      result: { tastingId, editId: id },
    };
  },
});

function moveSheet(kind: 'removeTasting' | 'restoreTasting', removed: boolean, verb: string) {
  return defineCommand({
    kind,
    changes: ['tasting'],
    duty: 'bench',
    input: z.strictObject({ tastingId: z.string().max(64) }),
    run: ({ tastingId }, context) => {
      const { releaseId, tastedById, tastedBy } = ownSheet(tastingId, context);
      setTastingRemoved(context.db, tastingId, removed);
      return {
        releaseId,
        words: `${verb} ${whose(tastedById, tastedBy, context)} cup sheet`,
        result: { tastingId },
      };
    },
  });
}

export const removeTasting = moveSheet('removeTasting', true, 'deleted');
export const restoreTasting = moveSheet('restoreTasting', false, 'restored');

/** A sheet is its taster's; the lead may change any. */
function ownSheet(tastingId: string, context: Context) {
  const found = findTasting(context.db, tastingId);
  if (!found)
    throw userFault('notFound', 'tastingId', 'There is no such cup sheet. Reload the page.');
  const person = personOf(context);
  if (found.tastedById !== person.id && person.role !== 'lead')
    throw userFault(
      'refused',
      'tastingId',
      `This is the cup sheet of ${found.tastedBy}. Only they and the lead change it.`,
    );
  return found;
}

const whose = (tasterId: string, taster: string, context: Context) =>
  personOf(context).id === tasterId ? 'their own' : `${taster}’s`;

/** A reading of the shot, refused when more would be dissolved than was dosed. */
function readTds({ db }: Context, shotId: string, tdsPct: number | undefined): void {
  if (tdsPct === undefined) return;
  extraction({ ...findShotMasses(db, shotId), tdsPct });
  setShotTds(db, shotId, tdsPct);
}
