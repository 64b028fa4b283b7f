/** First-run set-up of the house and its lead, and how the house works. */
import { z } from 'zod';
import { userFault } from '@/core/errors';
import { quantity, text } from '@/core/schema/fields';
import { newPersonFields } from '@/core/schema/person';
import { changedMeanwhile, defineCommand, passwordHashOf } from '@/data/command';
import { ownRulesSchema } from '@/core/start/ownRule';
import { keepBefore } from '@/data/edits';
import { findHouse, insertHouse, updateHouse, updateRules } from '@/data/house';
import { findLead, hasSignIns, insertPerson, setSignIn } from '@/data/people';
import { isSetUpCode } from '@/data/setUpCode';
import { houseInput } from './schema';

export const setUpHouse = defineCommand({
  kind: 'setUpHouse',
  changes: ['house', 'people'],
  duty: 'open',
  hasPassword: true,
  input: z.strictObject({
    houseName: text('Name of the roastery', 'name'),
    code: text('Code', 'note'),
    ...newPersonFields,
  }),
  run: ({ houseName, code, name, signInName }, context) => {
    const { db, id } = context;
    if (hasSignIns(db))
      throw userFault('refused', '', 'This house is already set up. Sign in instead.');
    if (!isSetUpCode(code))
      throw userFault(
        'refused',
        'code',
        'That is not the code. It stands where the server was started; starting it again makes a new one.',
      );
    const entry = { name, signInName, passwordHash: passwordHashOf(context) };
    // A database made before there was a sign-in has its house and lead already.
    const lead = findLead(db);
    if (lead) setSignIn(db, lead.id, entry);
    else insertPerson(db, { ...entry, id, role: 'lead' });
    if (!findHouse(db)) insertHouse(db, houseName);
    return {
      releaseId: null,
      words: `set up ${houseName}`,
      changesAccess: true,
      result: {},
      personId: lead?.id ?? id,
    };
  },
});

export const saveHouse = defineCommand({
  kind: 'saveHouse',
  changes: ['house'],
  duty: 'lead',
  input: z.strictObject({ rowVersion: z.number().int(), house: houseInput }),
  run: ({ rowVersion, house }, { db, id }) => {
    const before = findHouse(db);
    if (!updateHouse(db, rowVersion, house)) throw changedMeanwhile('house');
    keepBefore(db, id, { what: 'house', rowId: '1', rowVersion, before });
    return { releaseId: null, words: 'changed how the house works', result: { editId: id } };
  },
});

export const saveRules = defineCommand({
  kind: 'saveRules',
  changes: ['house'],
  duty: 'lead',
  input: z.strictObject({
    rowVersion: z.number().int(),
    rules: ownRulesSchema,
    halfLife: quantity('halfLife').int({ error: 'Half-life is whole releases.' }).optional(),
  }),
  run: ({ rowVersion, rules, halfLife }, { db }) => {
    if (!updateRules(db, rowVersion, { rules, halfLife }))
      throw userFault(
        'conflict',
        'rules',
        'Someone else changed the house meanwhile. Your figures are kept here: look at theirs in another tab, then save again to put yours in their place.',
      );
    const own = rules.length === 1 ? 'one rule of its own' : `${rules.length} rules of its own`;
    const fading = halfLife === undefined ? 'never fade' : `count half after ${halfLife} more`;
    return {
      releaseId: null,
      words: `set the house model: ${rules.length === 0 ? 'the trade’s rules' : own}, past recipes ${fading}`,
      result: {},
    };
  },
});
