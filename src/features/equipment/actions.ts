/** Commands that describe the bench. */
import { z } from 'zod';
import { userFault } from '@/core/errors';
import { defineCommand, personOf } from '@/data/command';
import { insertSetup, updateSetup } from '@/data/setups';
import { setupInput } from './schema';

export const saveSetup = defineCommand({
  kind: 'saveSetup',
  input: z.strictObject({
    setupId: z.string().max(64).optional(),
    rowVersion: z.number().int().optional(),
    setup: setupInput,
  }),
  run: ({ setupId, rowVersion, setup }, context) => {
    personOf(context);
    if (setupId === undefined) {
      insertSetup(context.db, context.id, setup);
    } else if (!updateSetup(context.db, setupId, rowVersion ?? 0, setup)) {
      throw userFault(
        'conflict',
        'setup',
        `Someone else changed "${setup.name}" meanwhile. Your entries are kept here: reload the page to see theirs, then enter yours again.`,
      );
    }
    return {
      releaseId: null,
      words: `saved the setup ${setup.name}`,
      result: { setupId: setupId ?? context.id },
    };
  },
});
