/** What a person enters of a release and of a batch of it. */
import { z } from 'zod';
import { CRUSHES } from '../coffee/roast';
import { SERVED } from '../vocabulary';
import { day, oneOf, optionalText, quantity, text } from './fields';
import { componentFields } from './release';

const MOST_NOTES = 12;
const MOST_COMPONENTS = 12;

/** Shares are typed by hand: a tenth is forgiven. */
const SHARE_TOLERANCE_PCT = 0.1;

export const componentEntry = z.strictObject({
  sharePct: quantity('sharePct'),
  ...componentFields,
});

export const releaseEntry = z.strictObject({
  name: text('Name of the release', 'name'),
  serving: oneOf('Served', SERVED),
  promisedNotes: z
    .array(text('A promised note', 'note'))
    .max(MOST_NOTES, { error: `At most ${MOST_NOTES} promised notes. Leave some out.` }),
  components: z
    .array(componentEntry, { error: 'A release has at least one component. Add one.' })
    .min(1, { error: 'A release has at least one component. Add one.' })
    .max(MOST_COMPONENTS, {
      error: `At most ${MOST_COMPONENTS} components. Put the smallest together.`,
    })
    .superRefine((components, context) => {
      const totalPct = components.reduce((sum, { sharePct }) => sum + sharePct, 0);
      if (Math.abs(totalPct - 100) > SHARE_TOLERANCE_PCT)
        context.addIssue({
          code: 'custom',
          message: `The shares add up to ${Number(totalPct.toFixed(2))} %. Change them so that they make 100 %.`,
        });
    }),
});
export type ReleaseEntry = z.output<typeof releaseEntry>;

export const batchEntry = z.strictObject({
  label: optionalText('Name of the batch', 'note'),
  roastDate: day('Roast date'),
  roastLevel: quantity('roastLevel').optional(),
  colourBean: quantity('colourBean').optional(),
  colourGround: quantity('colourGround').optional(),
  crush: oneOf('Under the thumb', CRUSHES).optional(),
  weightLossPct: quantity('weightLossPct').optional(),
  sampleG: quantity('sampleG').optional(),
});
export type BatchEntry = z.output<typeof batchEntry>;
