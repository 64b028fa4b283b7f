/** What the models take of a release, as `kb` and the store give it. */
import { z } from 'zod';
import { COMPONENT } from '../entity/component';
import { entryShape } from './entry';
import { quantity } from './fields';
import { sharesFault } from './shares';
import { asIssue } from '../message';

const { process, varietyClass, densityGPerL, altitudeM } = entryShape(COMPONENT);

const componentFacts = {
  sharePct: z.number().positive().max(100).optional(),
  process,
  varietyClass,
  densityGPerL,
  altitudeM,
};
const componentFactsSchema = z.strictObject(componentFacts);

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
  .superRefine(({ components = [] }, context) => {
    if (components.every(({ sharePct }) => sharePct === undefined)) return;
    const wrong = sharesFault(components.map(({ sharePct }) => sharePct ?? 0));
    if (wrong) context.addIssue({ code: 'custom', path: ['components'], message: asIssue(wrong) });
  });
