/** What a person enters of a release and of a batch of it. */
import { z } from 'zod';
import { BATCH } from '../entity/batch';
import { COMPONENT } from '../entity/component';
import { entryShape } from './entry';
import { RELEASE } from '../entity/release';
import { sharesFault } from './shares';
import { asIssue, inIssue } from '../message';

const MOST_COMPONENTS = 12;

const componentShape = z.strictObject(entryShape(COMPONENT));

const altitudeRange = {
  path: ['altitudeToM'],
  error: inIssue('release.altitudes'),
};
const isAltitudeRange = ({
  altitudeM,
  altitudeToM,
}: {
  altitudeM?: number | undefined;
  altitudeToM?: number | undefined;
}) => altitudeM === undefined || altitudeToM === undefined || altitudeM <= altitudeToM;

export const componentEntry = componentShape.refine(isAltitudeRange, altitudeRange);

/** A row of a sheet: a single component needs no share. */
export const componentRow = componentShape
  .partial({ sharePct: true })
  .refine(isAltitudeRange, altitudeRange);

export const releaseEntry = z.strictObject({
  ...entryShape(RELEASE),
  components: z
    .array(componentEntry, { error: inIssue('release.noComponent') })
    .min(1, { error: inIssue('release.noComponent') })
    .max(MOST_COMPONENTS, {
      error: inIssue('release.components', { most: MOST_COMPONENTS }),
    })
    .superRefine((components, context) => {
      const wrong = sharesFault(components.map(({ sharePct }) => sharePct));
      if (wrong) context.addIssue({ code: 'custom', message: asIssue(wrong) });
    }),
});
export type ReleaseEntry = z.output<typeof releaseEntry>;

export const batchEntry = z.strictObject(entryShape(BATCH));
export type BatchEntry = z.output<typeof batchEntry>;
