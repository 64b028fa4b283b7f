/** Logging shots and taking them back. */
import { z } from 'zod';
import { entriesOf, type Field } from '@/core/entity/field';
import { SHOT, type ShotInput } from '@/core/entity/shot';
import { valueWords } from '@/core/entity/words';
import { userFault } from '@/core/errors';
import { extraction } from '@/core/extraction/extraction';
import { massOfVolume } from '@/core/extraction/volume';
import { dialWords, type Notation } from '@/core/grinder/notation';
import {
  dripInTime,
  isDripInTime,
  isYieldPlausible,
  shotEntry,
  thinYield,
} from '@/core/schema/shot';
import { traceSchema } from '@/core/trace/schema';
import { deviceMoment, momentSaid } from '@/data/deviceMoment';
import { changedMeanwhile, defineCommand, personOf, type Context } from '@/data/command';
import { keepBefore } from '@/data/edits';
import { versionRestingOn } from '@/data/publications';
import { changedByShot, findDraft } from '@/data/dialIns';
import { findRelease } from '@/data/releases';
import { findHouse } from '@/data/house';
import { findSetup } from '@/data/setups';
import {
  findShot,
  findShotWhereabouts,
  insertShot,
  setShotRemoved,
  updateShot,
  type StoredShot,
} from '@/data/shots';
import { insertTrace } from '@/data/traces';

const logShotInput = z
  .strictObject({
    draftId: z.string().max(64),
    ...shotEntry,
    trace: traceSchema.optional(),
    pulledAt: deviceMoment('shot'),
  })
  .refine(isDripInTime, dripInTime)
  .refine(isYieldPlausible, thinYield);

export const logShot = defineCommand({
  kind: 'logShot',
  changes: ['shot'],
  duty: 'bench',
  input: logShotInput,
  run: ({ trace, ...input }, context) => {
    const { db, id } = context;
    const draft = findDraft(db, input.draftId);
    const release = draft && findRelease(db, draft.releaseId);
    const batch = release?.batches.find((candidate) => candidate.id === draft?.batchId);
    if (!draft || !batch)
      throw userFault('notFound', 'draftId', 'The recipe on the bench is gone. Reload the page.');
    const pulledAt = momentSaid('shot', 'pulledAt', input.pulledAt);
    const grinder = findSetup(db, draft.setupId)!.grinder;
    const shot = { ...input, ...weighed(input, db) };
    insertShot(db, id, { ...shot, pulledAt, sampleId: batch.openSampleId }, personOf(context).id);
    if (trace) insertTrace(db, id, trace);
    return {
      releaseId: draft.releaseId,
      words: `logged a shot at ${dialWords(grinder, input.dial)}: ${input.doseG} → ${shot.yieldG} g${input.yieldMl === undefined ? '' : ' by volume, rough,'} in ${input.timeS} s${input.overruled ? `, overruling the advice: ${input.overruled}` : ''}`,
      result: { shotId: id },
      alsoChanged: changedByShot(db, draft.id, pulledAt),
    };
  },
});

/** The mass of a yield that was read by volume; of one that was weighed, what the scale said. */
function weighed(
  { yieldG, yieldMl }: Pick<ShotInput, 'yieldG' | 'yieldMl'>,
  db: Context['db'],
): Pick<ShotInput, 'yieldG'> {
  return yieldMl === undefined
    ? { yieldG }
    : { yieldG: massOfVolume(yieldMl, findHouse(db)!.cremaGPerMl) };
}

/** What was entered wrongly is put right; what it was is kept with the edit and said in the log. */
export const correctShot = defineCommand({
  kind: 'correctShot',
  changes: ['shot'],
  duty: 'bench',
  input: z
    .strictObject({ shotId: z.string().max(64), rowVersion: z.number().int(), ...shotEntry })
    .refine(isDripInTime, dripInTime)
    .refine(isYieldPlausible, thinYield),
  run: ({ shotId, rowVersion, ...typed }, context) => {
    const { db, id } = context;
    const fields = { ...typed, ...weighed(typed, db) };
    const found = findShotWhereabouts(db, shotId);
    const before = findShot(db, shotId);
    if (!found || found.removed || !before)
      throw userFault('notFound', 'shotId', 'That shot was deleted. Restore it first.');
    if (fields.tdsPct !== undefined) extraction({ ...fields, tdsPct: fields.tdsPct });
    if (!updateShot(db, { id: shotId, rowVersion }, fields)) throw changedMeanwhile('shot');
    keepBefore(db, id, { what: 'shot', rowId: shotId, rowVersion, before: enteredOf(before) });
    const version = versionRestingOn(db, found.draftId, found.pulledAt);
    const ofVersion =
      version === null ? '' : `; version ${version} was published with it and stands as it was`;
    return {
      releaseId: found.releaseId,
      words: `corrected a shot: ${changesWords(before, fields, findSetup(db, findDraft(db, found.draftId)!.setupId)!.grinder)}${ofVersion}`,
      result: { shotId, editId: id },
      alsoChanged: changedByShot(db, found.draftId, found.pulledAt),
    };
  },
});

/** What a person entered of a shot that is kept. */
function enteredOf(shot: StoredShot): ShotInput {
  return Object.fromEntries(
    entriesOf(SHOT).map(([name]) => [name, shot[name]]),
  ) as unknown as ShotInput;
}

/** "time 28 → 26.4, dial 12 → 11". */
function changesWords(before: StoredShot, after: ShotInput, grinder: Notation): string {
  const wordsOf = (field: Field, value: unknown) =>
    field === SHOT.dial ? dialWords(grinder, value as number) : valueWords(field, value);
  const words = entriesOf(SHOT).flatMap(([name, field]) => {
    const [was, is] = [wordsOf(field, before[name]), wordsOf(field, after[name])];
    return was === is
      ? []
      : [`${field.label.toLowerCase()} ${was || 'unsaid'} → ${is || 'unsaid'}`];
  });
  return words.join(', ') || 'nothing changed';
}

function moveShot(kind: 'removeShot' | 'restoreShot', removed: boolean, verb: string) {
  return defineCommand({
    kind,
    changes: ['shot'],
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

export const removeShot = moveShot('removeShot', true, 'deleted');
export const restoreShot = moveShot('restoreShot', false, 'restored');
