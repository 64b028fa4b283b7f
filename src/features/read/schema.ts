/** What a person enters of a release. */
import { z } from 'zod';
import { day, quantity, text } from '@/core/schema/fields';
import { componentFields } from '@/core/schema/release';

const MOST_NOTES = 12;

export const releaseInput = z.strictObject({
  name: text('Name of the release', 'name'),
  ...componentFields,
  roastLevel: quantity('roastLevel').optional(),
  roastDate: day('Roast date'),
  promisedNotes: z
    .array(text('A promised note', 'note'))
    .max(MOST_NOTES, { error: `At most ${MOST_NOTES} promised notes. Leave some out.` }),
});
export type ReleaseInput = z.output<typeof releaseInput>;
