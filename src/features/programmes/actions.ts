/** Commands on the house's own programmes. */
import { z } from 'zod';
import { entryShape } from '@/core/schema/entry';
import { PROGRAMME } from '@/core/entity/programme';
import { changedMeanwhile, defineCommand, personOf } from '@/data/command';
import { keepBefore } from '@/data/edits';
import { findProgramme, insertProgramme, updateProgramme } from '@/data/programmes';

export const saveProgramme = defineCommand({
  kind: 'saveProgramme',
  changes: ['programme'],
  duty: 'lead',
  input: z.strictObject({
    id: z.string().max(64).optional(),
    rowVersion: z.number().int().optional(),
    ...entryShape(PROGRAMME),
  }),
  run: ({ id, rowVersion = 0, ...fields }, context) => {
    const { db, id: newId } = context;
    const person = personOf(context).id;
    if (id === undefined) insertProgramme(db, newId, fields, person);
    else {
      const before = findProgramme(db, id);
      if (!updateProgramme(db, { id, rowVersion }, fields, person))
        throw changedMeanwhile('programme');
      keepBefore(db, newId, { what: 'programme', rowId: id, rowVersion, before });
    }
    return {
      releaseId: null,
      words: `saved the programme ${fields.name}`,
      result: { id: id ?? newId, ...(id !== undefined && { editId: newId }) },
    };
  },
});
