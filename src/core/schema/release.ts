/** What the models take of a release, as `kb` and the store give it. */
import { z } from 'zod';
import { PROCESSES, VARIETY_CLASSES } from '../vocabulary';
import { oneOf, optionalText, quantity } from './fields';

/** Facts of a component that the models use. */
const modelFacts = {
  process: oneOf('Process', PROCESSES).optional(),
  varietyClass: oneOf('Variety class', VARIETY_CLASSES).optional(),
  densityGPerL: quantity('densityGPerL').optional(),
  altitudeM: quantity('altitudeM').optional(),
};

/** Everything a bag says of a component. */
export const componentFields = {
  country: optionalText('Country', 'name'),
  region: optionalText('Region', 'name'),
  producer: optionalText('Producer', 'name'),
  variety: optionalText('Variety', 'name'),
  moisturePct: quantity('moisturePct').optional(),
  ...modelFacts,
};

const componentFacts = {
  sharePct: z.number().positive().max(100).optional(),
  ...modelFacts,
};
const componentFactsSchema = z.strictObject(componentFacts);

const SHARE_TOLERANCE_PCT = 0.1;

export const releaseFactsSchema = z
  .strictObject({
    id: z.string().max(80).optional(),
    roastLevel: quantity('roastLevel').optional(),
    colourGround: quantity('colourGround').optional(),
    colourMap: z
      .array(
        z.strictObject({ colour: quantity('colourGround'), roastLevel: quantity('roastLevel') }),
      )
      .min(2)
      .optional(),
    /** sd of the roast level beyond what every word or colour carries. */
    roastSd: z.number().min(0).max(2).optional(),
    restDays: quantity('restDays').optional(),
    ...componentFacts,
    components: z.array(componentFactsSchema).min(1).max(12).optional(),
  })
  .superRefine(({ components }, context) => {
    if (!components) return;
    const shares = components.map((part) => part.sharePct);
    if (shares.every((share) => share === undefined)) return;
    const total = shares.reduce<number>((sum, share) => sum + (share ?? 0), 0);
    if (Math.abs(total - 100) > SHARE_TOLERANCE_PCT)
      context.addIssue({
        code: 'custom',
        path: ['components'],
        message: `The shares add up to ${total} %. Change them so that they make 100 %.`,
      });
  });
