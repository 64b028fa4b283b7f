/** A rule a house sets in place of the trade's. */
import { z } from 'zod';
import { EDITABLE_FACTORS, OUTPUTS } from '../start/priors';
import { oneOf } from './fields';

/** No rule of the trade comes near these; beyond them a figure is a slip of the hand. */
const MOST = 100;

export const ownRuleSchema = z.strictObject({
  factor: oneOf('Factor', EDITABLE_FACTORS),
  output: oneOf('Output', OUTPUTS),
  mean: z
    .number({ error: 'The figure of a rule is not a number. Enter one, or reset the rule.' })
    .min(-MOST)
    .max(MOST, { error: `A rule beyond ${MOST} is a slip. Enter a smaller figure.` }),
  sd: z
    .number({ error: 'The ± of a rule is not a number. Enter one, or reset the rule.' })
    .positive({ error: 'The ± of a rule is 0 or less. Enter how far it may be off.' })
    .max(MOST, { error: `A ± beyond ${MOST} is a slip. Enter a smaller figure.` }),
});

export const ownRulesSchema = z
  .array(ownRuleSchema)
  .max(EDITABLE_FACTORS.length * OUTPUTS.length)
  .refine(
    (rules) =>
      new Set(rules.map(({ factor, output }) => `${factor} ${output}`)).size === rules.length,
    { error: 'One rule is given twice. Keep one of them.' },
  );
