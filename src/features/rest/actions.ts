/** Bags, spans and the calendar: what a batch's checks are made of. */
import { randomBytes } from 'node:crypto';
import { z } from 'zod';
import { dayWords } from '@/core/dayWords';
import { entryShape } from '@/core/schema/entry';
import { RECHECK } from '@/core/entity/recheck';
import { SAMPLE } from '@/core/entity/sample';
import { userFault } from '@/core/errors';
import { checkFrozen } from '@/core/rest/samples';
import { addDays, daysBetween } from '@/core/rest/day';
import { spanOf } from '@/core/rest/rest';
import { quantity } from '@/core/schema/fields';
import { changedMeanwhile, defineCommand, personOf } from '@/data/command';
import type { Db } from '@/data/database';
import { setCalendarSecret } from '@/data/calendar';
import { insertRecheck } from '@/data/rechecks';
import { findRelease, releaseOfBatch, type StoredBatch } from '@/data/releases';
import { insertSample, openSampleOf, setSpan, updateSample } from '@/data/samples';

function batchOf(db: Db, batchId: string): { releaseId: string; batch: StoredBatch } {
  const releaseId = releaseOfBatch(db, batchId);
  const batch = releaseId && findRelease(db, releaseId)?.batches.find(({ id }) => id === batchId);
  if (!releaseId || !batch)
    throw userFault('notFound', 'batchId', 'There is no such batch. Reload the page.');
  return { releaseId, batch };
}

export const saveSample = defineCommand({
  kind: 'saveSample',
  changes: ['batch', 'shot'],
  duty: 'bench',
  input: z.strictObject({
    batchId: z.string().max(70),
    id: z.string().max(70).optional(),
    rowVersion: z.number().int().optional(),
    sample: z.strictObject(entryShape(SAMPLE)),
  }),
  run: ({ batchId, id, rowVersion = 0, sample }, context) => {
    const { db, today } = context;
    const { releaseId, batch } = batchOf(db, batchId);
    checkFrozen(sample, batch.roastDate, today);
    const others = batch.samples
      .filter((other) => other.id !== id)
      .reduce((sum, { bagG }) => sum + bagG, 0);
    const { sampleG } = batch;
    if (sampleG !== undefined && others + sample.bagG > sampleG)
      throw userFault(
        'badInput',
        'bagG',
        `The bags would hold ${others + sample.bagG} g, and ${sampleG} g of this batch were set aside. Enter at most ${Math.max(0, sampleG - others)} g, or correct what was set aside at Read.`,
      );
    if (id === undefined) insertSample(db, context.id, batchId, sample, personOf(context).id);
    else if (!updateSample(db, { id, rowVersion }, sample)) throw changedMeanwhile('sample');
    return {
      releaseId,
      words: `${id === undefined ? 'set aside' : 'changed'} the bag ${sample.label}, ${sample.bagG} g, of the batch of ${dayWords(batch.roastDate)}`,
      result: { sampleId: id ?? context.id },
    };
  },
});

export const openSample = defineCommand({
  kind: 'openSample',
  changes: ['batch'],
  duty: 'bench',
  input: z.strictObject({
    batchId: z.string().max(70),
    /** None where null: coffee that is in no bag. */
    sampleId: z.string().max(70).nullable(),
  }),
  run: ({ batchId, sampleId }, { db }) => {
    const { releaseId, batch } = batchOf(db, batchId);
    const sample = batch.samples.find(({ id }) => id === sampleId);
    if (sampleId !== null && !sample)
      throw userFault('notFound', 'sampleId', 'That bag is gone. Reload the page.');
    openSampleOf(db, batchId, sampleId);
    return {
      releaseId,
      words: sample
        ? `took the bag ${sample.label} into use`
        : 'took coffee that is in no bag into use',
      result: {},
    };
  },
});

/** A check asked for further ahead than a coffee lasts is a slip of the pen. House heuristic. */
const MOST_DAYS_AHEAD = 120;

export const askRecheck = defineCommand({
  kind: 'askRecheck',
  changes: ['batch'],
  duty: 'bench',
  input: z.strictObject({
    batchId: z.string().max(70),
    recheck: z.strictObject(entryShape(RECHECK)),
  }),
  run: ({ batchId, recheck }, context) => {
    const { db, today } = context;
    const { releaseId, batch } = batchOf(db, batchId);
    const { day } = recheck;
    const ahead = daysBetween(today, day);
    if (ahead < 0 || ahead > MOST_DAYS_AHEAD)
      throw userFault(
        'badInput',
        'day',
        `${dayWords(day)} is ${ahead < 0 ? 'past' : 'too far ahead'}. Enter a day from ${dayWords(today)} to ${dayWords(addDays(today, MOST_DAYS_AHEAD))}.`,
      );
    if (batch.rechecks.some((other) => other.day === day))
      throw userFault(
        'conflict',
        'day',
        `A check of this batch is asked for on ${dayWords(day)} already. Choose another day, or delete that one first.`,
      );
    insertRecheck(db, context.id, batchId, recheck, personOf(context).id);
    return {
      releaseId,
      words: `asked for a check of the batch of ${dayWords(batch.roastDate)} on ${dayWords(day)}`,
      result: { recheckId: context.id },
    };
  },
});

export const saveSpan = defineCommand({
  kind: 'saveSpan',
  changes: ['release'],
  duty: 'lead',
  input: z.strictObject({
    releaseId: z.string().max(64),
    rowVersion: z.number().int(),
    span: z
      .strictObject({
        opens: quantity('restDays').int({ error: 'Opens is whole days.' }),
        bestFrom: quantity('restDays').int({ error: 'Best from is whole days.' }),
        bestTo: quantity('restDays').int({ error: 'Best to is whole days.' }),
        fades: quantity('restDays').int({ error: 'Fades is whole days.' }),
      })
      .nullable(),
  }),
  run: ({ releaseId, rowVersion, span }, { db }) => {
    if (span) spanOf({ roastLevel: 0, school: 'byRoast', span });
    if (!findRelease(db, releaseId))
      throw userFault('notFound', 'releaseId', 'There is no such release. Reload the page.');
    if (!setSpan(db, { id: releaseId, rowVersion }, span)) throw changedMeanwhile('release');
    return {
      releaseId,
      words: span
        ? `set its own rest span: opens ${span.opens}, best ${span.bestFrom}-${span.bestTo}, fades ${span.fades}`
        : 'gave it the span of the rest school again',
      result: {},
    };
  },
});

const SECRET_BYTES = 24;

export const renewCalendar = defineCommand({
  kind: 'renewCalendar',
  changes: ['house'],
  duty: 'lead',
  input: z.strictObject({}),
  run: (_input, { db }) => {
    setCalendarSecret(db, randomBytes(SECRET_BYTES).toString('base64url'));
    return { releaseId: null, words: 'made a new address for the calendar of checks', result: {} };
  },
});
