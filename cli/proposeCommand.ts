/** `kb propose`: a starting recipe from rules, recipes and cups. */
import { Matrix } from 'ml-matrix';
import { z } from 'zod';
import { oneOf, quantity } from '@/core/schema/fields';
import { ownRulesSchema } from '@/core/start/ownRule';
import { recipeSchema } from '@/core/schema/recipe';
import { releaseFactsSchema } from '@/core/schema/release';
import { setupSchema } from '@/core/schema/setup';
import { comingFrom } from '@/core/start/comingFrom';
import { learnWithCups } from '@/core/start/learnTaste';
import { OUTPUTS, rulesInForce } from '@/core/start/priors';
import { propose, withEvidence } from '@/core/start/propose';
import { PROPOSED_VARIABLES } from '@/core/start/proposedVariables';
import { CLOCKS, HEADSPACES, REST_SCHOOLS, STYLES, TEMPERATURE_SCHOOLS } from '@/core/vocabulary';
import { printedProposal } from './pushes';
import { coded, command, interval, keyed } from './command';
import { matrix, scoredCup } from './tasteCommands';

const pastRelease = z.strictObject({
  release: releaseFactsSchema,
  style: oneOf('Style', STYLES),
  recipe: recipeSchema,
  ratedG: quantity('ratedG').optional(),
  diameterMm: quantity('diameterMm').optional(),
  grindSteps: z.number().min(-60).max(60).optional(),
  weight: z.number().min(0).max(1).optional(),
  /** Scored cups of it; times from the pump. */
  cups: z.array(scoredCup).max(400).optional(),
  /** What they taught, where that was worked out: precision and P·x in coded units (kb surface, site). */
  site: z
    .strictObject({ P: matrix, h: z.array(z.number()).length(3), cups: z.int().min(1) })
    .transform(({ P, ...site }) => ({ ...site, P: new Matrix(P) }))
    .optional(),
});

const change = z.object({
  from: z.number(),
  to: z.number(),
  change: z.number(),
  interval80: interval,
});

const proposal = z.object({
  recipe: recipeSchema,
  grindSteps: z.number(),
  interval80: keyed(PROPOSED_VARIABLES, interval),
  mean: keyed(OUTPUTS, z.number()),
  halfWidth80: keyed(OUTPUTS, z.number()),
  pushes: keyed(
    PROPOSED_VARIABLES,
    z.array(
      z.object({
        factor: z.string(),
        label: z.string(),
        rule: z.number(),
        learned: z.number(),
      }),
    ),
  ),
  evidence: z.array(z.object({ id: z.string(), weight: z.number(), effect: z.number() })),
  warnings: coded,
  rulesOnly: z.boolean(),
  ownRecipe: z.object({ ratio: z.number() }).loose().nullable(),
  releases: z.number(),
  cups: z.number(),
  startDial: z
    .object({
      dial: z.number(),
      interval80: interval,
      heldBy: z.enum(['range', 'choke']).nullable(),
    })
    .nullable(),
  /** Only when `comingFrom` was given: what to change from that coffee's recipe. */
  changes: z.partialRecord(z.enum(PROPOSED_VARIABLES), change).optional(),
});

export const proposeCommand = command({
  purpose: 'A starting recipe with intervals, pushes and evidence.',
  input: z.strictObject({
    release: releaseFactsSchema,
    style: oneOf('Style', STYLES).default('classic'),
    temperatureSchool: oneOf('Temperature school', TEMPERATURE_SCHOOLS).default('both'),
    restSchool: oneOf('Rest school', REST_SCHOOLS).optional(),
    clock: oneOf('Clock', CLOCKS).optional(),
    history: z.array(pastRelease).max(5000).default([]),
    setup: setupSchema.optional(),
    rules: ownRulesSchema.optional(),
    headspace: oneOf('Headspace', HEADSPACES).default('toRating'),
    comingFrom: pastRelease.optional(),
  }),
  output: proposal,
  run: ({ comingFrom: known, headspace, rules: own = [], ...input }) => {
    const rules = rulesInForce(own, headspace);
    if (!known) return printedProposal(propose({ ...input, rules }));
    const { history, temperatureSchool, ...question } = input;
    const model = learnWithCups(history, temperatureSchool, rules);
    const { changes, proposal: answer, told } = comingFrom(model, known, question, rules);
    return { ...printedProposal(withEvidence(answer, told, question)), changes };
  },
});
