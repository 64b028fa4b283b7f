/** What a person enters of a release. */
import { z } from 'zod';
import { day, oneOf, optionalText, quantity, text } from '@/core/schema/fields';
import { PROCESSES, VARIETY_CLASSES } from '@/core/vocabulary';

const MOST_NOTES = 12;

export const releaseInput = z.strictObject({
  name: text('Name of the release', 'name'),
  country: optionalText('Country', 'name'),
  region: optionalText('Region', 'name'),
  producer: optionalText('Producer', 'name'),
  variety: optionalText('Variety', 'name'),
  varietyClass: oneOf('Variety class', VARIETY_CLASSES).optional(),
  process: oneOf('Process', PROCESSES).optional(),
  altitudeM: quantity('altitudeM').optional(),
  densityGPerL: quantity('densityGPerL').optional(),
  roastLevel: quantity('roastLevel').optional(),
  roastDate: day('Roast date'),
  promisedNotes: z
    .array(text('A promised note', 'note'))
    .max(MOST_NOTES, { error: `At most ${MOST_NOTES} promised notes. Leave some out.` }),
});
export type ReleaseInput = z.output<typeof releaseInput>;
