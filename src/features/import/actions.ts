/** Taking in a recipe document, our own or another house's. */
import { z } from 'zod';
import { userFault } from '@/core/errors';
import { middleSetting } from '@/core/grinder/dial';
import { daysBetween } from '@/core/rest/day';
import { defineCommand, personOf } from '@/data/command';
import { ensureDialIn, insertDraft, putOnBench } from '@/data/dialIns';
import { findVersionByHash } from '@/data/publications';
import { insertBatch, insertRelease } from '@/data/releases';
import { listSetups } from '@/data/setups';
import { readDocument } from '@/formats/recipe/readers';

export const importDocument = defineCommand({
  kind: 'importDocument',
  changes: ['release', 'batch', 'recipe'],
  duty: 'lead',
  input: z.strictObject({
    document: z.string({ error: 'No file came. Choose a recipe document.' }),
  }),
  run: ({ document }, context) => {
    const { db, id, today } = context;
    const { body, sha256 } = readDocument(document);
    const ours = findVersionByHash(db, sha256);
    if (ours)
      return {
        releaseId: ours.releaseId,
        words: `read back version ${ours.number}`,
        result: { releaseId: ours.releaseId, identicalVersion: ours.number },
      };
    const setup = listSetups(db)[0];
    if (!setup)
      throw userFault(
        'refused',
        '',
        'There is no setup yet to put the recipe on. Describe the bench first.',
      );
    if (daysBetween(body.coffee.roastDate, today) < 0)
      throw userFault(
        'badInput',
        'document',
        `Its roast date ${body.coffee.roastDate} is in the future here. Check this machine's date.`,
      );
    const { coffee, recipe } = body;
    const person = personOf(context);
    insertRelease(db, id, coffee, person.id);
    const batchId = `${id}-1`;
    insertBatch(db, batchId, id, coffee);
    ensureDialIn(db, id, { releaseId: id, batchId, setupId: setup.id, style: body.style });
    insertDraft(
      db,
      id,
      id,
      {
        recipe,
        temperatureSchool: body.temperatureSchool,
        // Another grinder's dial means nothing here: begin in the middle of ours.
        startDial: middleSetting(setup.grinder),
        why: `Taken from version ${body.version} of ${body.roastery}`,
      },
      person.id,
    );
    putOnBench(db, id, id);
    return {
      releaseId: id,
      words: `imported ${coffee.name} of ${body.roastery}, version ${body.version}`,
      result: { releaseId: id },
    };
  },
});
