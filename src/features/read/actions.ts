/** Commands that write the facts of a release. */
import { z } from 'zod';
import { userFault } from '@/core/errors';
import { daysBetween } from '@/core/rest/day';
import { defineCommand, personOf } from '@/data/command';
import { insertRelease, updateRelease, type ReleaseFields } from '@/data/releases';
import { releaseInput, type ReleaseInput } from './schema';

function fieldsOf(input: ReleaseInput, today: string): ReleaseFields {
  if (daysBetween(input.roastDate, today) < 0)
    throw userFault(
      'badInput',
      'roastDate',
      `Roast date ${input.roastDate} is in the future. Enter ${today} or an earlier day.`,
    );
  const { name, promisedNotes, roastDate, roastLevel, ...component } = input;
  return {
    name,
    promisedNotes,
    roastDate,
    roastLevel,
    components: [
      {
        ...component,
        sharePct: 100,
        varietyClass: component.varietyClass,
        process: component.process,
        altitudeM: component.altitudeM,
        densityGPerL: component.densityGPerL,
      },
    ],
  };
}

export const createRelease = defineCommand({
  kind: 'createRelease',
  input: z.strictObject({ release: releaseInput }),
  run: ({ release }, context) => {
    insertRelease(context.db, context.id, fieldsOf(release, context.today), personOf(context).id);
    return {
      releaseId: context.id,
      words: `created ${release.name}`,
      result: { releaseId: context.id },
    };
  },
});

export const editRelease = defineCommand({
  kind: 'editRelease',
  input: z.strictObject({
    releaseId: z.string().max(64),
    rowVersion: z.number().int(),
    release: releaseInput,
  }),
  run: ({ releaseId, rowVersion, release }, context) => {
    personOf(context);
    const done = updateRelease(context.db, releaseId, rowVersion, fieldsOf(release, context.today));
    if (!done)
      throw userFault(
        'conflict',
        'release',
        'Someone else changed this release meanwhile. Your entries are kept here: reload the page to see theirs, then enter yours again.',
      );
    return { releaseId, words: `changed the facts of ${release.name}`, result: { releaseId } };
  },
});
