/** What the trial of a release may change and take. */
import { z } from 'zod';
import { userFault } from '@/core/errors';
import { entryShape } from '@/core/schema/entry';
import { TRIAL, TRIAL_ENDS } from '@/core/entity/trial';
import { defineCommand, personOf } from '@/data/command';
import { findBenchDraft } from '@/data/dialIns';
import { findRelease } from '@/data/releases';
import { findSetup } from '@/data/setups';
import { setTrial } from '@/data/trials';

const bounds = z.strictObject(entryShape(TRIAL)).superRefine((given, { addIssue }) => {
  for (const [from, to, label] of TRIAL_ENDS) {
    const [low, high] = [given[from], given[to]];
    if (low !== undefined && high !== undefined && low > high)
      addIssue({
        code: 'custom',
        path: [to],
        message: `${label} ends before it begins. Put the smaller figure first.`,
      });
  }
});

export const saveTrial = defineCommand({
  kind: 'saveTrial',
  changes: ['trial'],
  duty: 'bench',
  input: z.strictObject({
    releaseId: z.string().max(64),
    rowVersion: z.number().int(),
    bounds,
  }),
  run: ({ releaseId, rowVersion, bounds: fields }, context) => {
    const { db } = context;
    if (!findRelease(db, releaseId))
      throw userFault('notFound', 'releaseId', 'There is no such release. Reload the page.');
    const draft = findBenchDraft(db, releaseId);
    const machine = draft && findSetup(db, draft.setupId)?.machine;
    const asksHeat = fields.temperatureFromC !== undefined || fields.temperatureToC !== undefined;
    if (asksHeat && machine && !machine.settableTemperature)
      throw userFault(
        'badInput',
        'bounds.temperatureFromC',
        `${machine.name} cannot set its temperature: leave both ends empty.`,
      );
    if (!setTrial(db, { releaseId, rowVersion }, fields, personOf(context).id))
      throw userFault(
        'conflict',
        'rowVersion',
        'Someone else changed what this trial may do. Their figures are shown; change them again where yours differ.',
      );
    return { releaseId, words: 'said what the trial may change and take', result: {} };
  },
});
