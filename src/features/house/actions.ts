/** First-run set-up of the house and its lead, and how the house works. */
import { z } from 'zod';
import { userFault } from '@/core/errors';
import { text } from '@/core/schema/fields';
import { newPersonFields } from '@/core/schema/person';
import { changedMeanwhile, defineCommand } from '@/data/command';
import { findHouse, insertHouse, updateHouse } from '@/data/house';
import { findLead, hasSignIns, insertPerson, setSignIn } from '@/data/people';
import { hashPassword } from '@/data/signIn';
import { houseInput } from './schema';

export const setUpHouse = defineCommand({
  kind: 'setUpHouse',
  duty: 'open',
  input: z.strictObject({ houseName: text('Name of the roastery', 'name'), ...newPersonFields }),
  run: ({ houseName, name, signInName, password }, { db, id }) => {
    if (hasSignIns(db))
      throw userFault('refused', '', 'This house is already set up. Sign in instead.');
    const entry = { name, signInName, passwordHash: hashPassword(password) };
    // A database made before there was a sign-in has its house and lead already.
    const lead = findLead(db);
    if (lead) setSignIn(db, lead.id, entry);
    else insertPerson(db, { ...entry, id, role: 'lead' });
    if (!findHouse(db)) insertHouse(db, houseName);
    return {
      releaseId: null,
      words: `set up ${houseName}`,
      result: {},
      personId: lead?.id ?? id,
    };
  },
});

export const saveHouse = defineCommand({
  kind: 'saveHouse',
  duty: 'lead',
  input: z.strictObject({ rowVersion: z.number().int(), house: houseInput }),
  run: ({ rowVersion, house }, { db }) => {
    if (!updateHouse(db, rowVersion, house)) throw changedMeanwhile('house');
    return { releaseId: null, words: 'changed how the house works', result: {} };
  },
});
