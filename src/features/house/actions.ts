/** First-run set-up of the house, its lead and the first bench. */
import { z } from 'zod';
import { userFault } from '@/core/errors';
import { text } from '@/core/schema/fields';
import { defineCommand } from '@/data/command';
import { findHouse, insertHouse, insertPerson } from '@/data/house';

export const setUpHouse = defineCommand({
  kind: 'setUpHouse',
  input: z.strictObject({
    houseName: text('Name of the roastery', 'name'),
    leadName: text('Your name', 'name'),
  }),
  run: ({ houseName, leadName }, { db, id }) => {
    if (findHouse(db))
      throw userFault('refused', '', 'This house is already set up. Open the start page.');
    insertHouse(db, houseName);
    insertPerson(db, { id, name: leadName, role: 'lead' });
    return { releaseId: null, words: `set up ${houseName}`, result: {} };
  },
});
