/** A rule a house sets in place of the trade's. */
import { z } from 'zod';
import { EDITABLE_FACTORS, OUTPUTS } from './priors';
import { oneOf } from '../schema/fields';
import { inIssue } from '../message';

/** No rule of the trade comes near these; beyond them a figure is a slip of the hand. */
const MOST = 100;

export const ownRuleSchema = z.strictObject({
  factor: oneOf('Factor', EDITABLE_FACTORS),
  output: oneOf('Output', OUTPUTS),
  mean: z
    .number({ error: inIssue('rule.noMean') })
    .min(-MOST)
    .max(MOST, { error: inIssue('rule.mean', { most: MOST }) }),
  sd: z
    .number({ error: inIssue('rule.noSd') })
    .positive({ error: inIssue('rule.sdPositive') })
    .max(MOST, { error: inIssue('rule.sd', { most: MOST }) }),
});

export const ownRulesSchema = z
  .array(ownRuleSchema)
  .max(EDITABLE_FACTORS.length * OUTPUTS.length)
  .refine(
    (rules) =>
      new Set(rules.map(({ factor, output }) => `${factor} ${output}`)).size === rules.length,
    { error: inIssue('rule.twice') },
  );
