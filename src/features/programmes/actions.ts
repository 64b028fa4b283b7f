/** Commands on the house's own programmes. */
import { z } from 'zod';
import { programmeSchema } from '@/core/programme/programme';
import { oneOf, text } from '@/core/schema/fields';
import { STYLES } from '@/core/vocabulary';
import { changedMeanwhile, defineCommand, personOf } from '@/data/command';
import { insertProgramme, updateProgramme } from '@/data/programmes';

export const saveProgramme = defineCommand({
  kind: 'saveProgramme',
  duty: 'lead',
  input: z.strictObject({
    id: z.string().max(64).optional(),
    rowVersion: z.number().int().optional(),
    name: text('Name of the programme', 'name'),
    style: oneOf('Style', STYLES),
    steps: programmeSchema,
    /** Start begins its style with this one. */
    isFirst: z.boolean().default(false),
  }),
  run: ({ id, rowVersion = 0, ...fields }, context) => {
    const { db, id: newId } = context;
    const person = personOf(context).id;
    if (id === undefined) insertProgramme(db, newId, fields, person);
    else if (!updateProgramme(db, { id, rowVersion }, fields, person))
      throw changedMeanwhile('programme');
    return {
      releaseId: null,
      words: `saved the programme ${fields.name}`,
      result: { id: id ?? newId },
    };
  },
});
