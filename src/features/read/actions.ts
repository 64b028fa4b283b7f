/** Commands that write the facts of a release and of its batches. */
import { z } from 'zod';
import { userFault } from '@/core/errors';
import { daysBetween } from '@/core/rest/day';
import { batchSharesFault } from '@/core/schema/shares';
import { batchEntry, releaseEntry, type BatchEntry } from '@/core/schema/releaseEntry';
import { changedMeanwhile, defineCommand, personOf } from '@/data/command';
import { keepBefore } from '@/data/edits';
import {
  findRelease,
  insertBatch,
  insertRelease,
  updateBatch,
  updateRelease,
} from '@/data/releases';

function refuseFuture({ roastDate }: BatchEntry, today: string): void {
  if (daysBetween(roastDate, today) < 0)
    throw userFault(
      'badInput',
      'roastDate',
      `Roast date ${roastDate} is in the future. Enter ${today} or an earlier day.`,
    );
}

function refuseShares({ sharesPct }: BatchEntry, components: readonly unknown[]): void {
  const message = batchSharesFault(sharesPct, components);
  if (message) throw userFault('badInput', 'sharesPct', message);
}

export const createRelease = defineCommand({
  kind: 'createRelease',
  changes: ['release', 'batch'],
  duty: 'lead',
  input: z.strictObject({ release: releaseEntry, batch: batchEntry }),
  run: ({ release, batch }, context) => {
    const { db, id, today } = context;
    refuseFuture(batch, today);
    refuseShares(batch, release.components);
    insertRelease(db, id, release, personOf(context).id);
    insertBatch(db, `${id}-1`, id, batch);
    return { releaseId: id, words: `created ${release.name}`, result: { releaseId: id } };
  },
});

const existing = {
  releaseId: z.string().max(64),
  rowVersion: z.number().int(),
};

export const editRelease = defineCommand({
  kind: 'editRelease',
  changes: ['release'],
  duty: 'lead',
  input: z.strictObject({ ...existing, release: releaseEntry }),
  run: ({ releaseId, rowVersion, release }, { db, id }) => {
    const before = findRelease(db, releaseId);
    if (!before || !updateRelease(db, { id: releaseId, rowVersion }, release))
      throw changedMeanwhile('release');
    keepBefore(db, id, { what: 'release', rowId: releaseId, rowVersion, before });
    return {
      releaseId,
      words: `changed the facts of ${release.name}`,
      result: { releaseId, editId: id },
    };
  },
});

/** The one press where a step of the grinder jumps over the window. */
export const trimDose = defineCommand({
  kind: 'trimDose',
  changes: ['release'],
  duty: 'lead',
  input: z.strictObject({ releaseId: z.string().max(64) }),
  run: ({ releaseId }, { db, id }) => {
    const before = findRelease(db, releaseId);
    if (!before)
      throw userFault('notFound', 'releaseId', 'There is no such release. Reload the page.');
    const { rowVersion } = before;
    updateRelease(db, { id: releaseId, rowVersion }, { ...before, doseSchool: 'trim' });
    keepBefore(db, id, { what: 'release', rowId: releaseId, rowVersion, before });
    return {
      releaseId,
      words: `let dial-ins of ${before.name} trim the dose`,
      result: {},
    };
  },
});

export const saveBatch = defineCommand({
  kind: 'saveBatch',
  changes: ['batch'],
  duty: 'lead',
  input: z.strictObject({
    releaseId: z.string().max(64),
    batchId: z.string().max(70).optional(),
    rowVersion: z.number().int().optional(),
    batch: batchEntry,
  }),
  run: ({ releaseId, batchId, rowVersion = 0, batch }, { db, id, today }) => {
    const release = findRelease(db, releaseId);
    if (!release)
      throw userFault('notFound', 'releaseId', 'There is no such release. Reload the page.');
    refuseFuture(batch, today);
    refuseShares(batch, release.components);
    const words = `the batch of ${batch.roastDate}${batch.label ? ` (${batch.label})` : ''}`;
    if (batchId === undefined) {
      insertBatch(db, id, releaseId, batch);
      return { releaseId, words: `added ${words}`, result: { batchId: id } };
    }
    const before = release.batches.find((other) => other.id === batchId);
    if (!before || !updateBatch(db, { id: batchId, rowVersion }, batch))
      throw changedMeanwhile('batch');
    keepBefore(db, id, { what: 'batch', rowId: batchId, rowVersion, before });
    return { releaseId, words: `changed ${words}`, result: { batchId, editId: id } };
  },
});
