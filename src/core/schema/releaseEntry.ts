/** What a person enters of a release and of a batch of it. */
import { z } from 'zod';
import { BATCH } from '../entity/batch';
import { COMPONENT } from '../entity/component';
import { entryShape } from '../entity/entry';
import { RELEASE } from '../entity/release';
import { sharesFault } from './shares';

const MOST_COMPONENTS = 12;

export const componentEntry = z.strictObject(entryShape(COMPONENT));

export const releaseEntry = z.strictObject({
  ...entryShape(RELEASE),
  components: z
    .array(componentEntry, { error: 'A release has at least one component. Add one.' })
    .min(1, { error: 'A release has at least one component. Add one.' })
    .max(MOST_COMPONENTS, {
      error: `At most ${MOST_COMPONENTS} components. Put the smallest together.`,
    })
    .superRefine((components, context) => {
      const message = sharesFault(components.map(({ sharePct }) => sharePct));
      if (message) context.addIssue({ code: 'custom', message });
    }),
});
export type ReleaseEntry = z.output<typeof releaseEntry>;

export const batchEntry = z.strictObject(entryShape(BATCH));
export type BatchEntry = z.output<typeof batchEntry>;
