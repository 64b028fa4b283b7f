/** `kb rest`: where a batch stands in its life, when it is checked, and what its age asks of the grind. */
import { z } from 'zod';
import { CHECK_KINDS, plannedChecks } from '@/core/rest/checkPlan';
import { phaseCount, phasesOf, keptShare } from '@/core/rest/phases';
import { REST_STATES, restOn, spanOf } from '@/core/rest/rest';
import { day, oneOf, quantity } from '@/core/schema/fields';
import { REST_SCHOOLS } from '@/core/vocabulary';
import { coded } from '@/words/adviceWords';
import { coded as codedOutput, command, interval } from './command';

/** What a step does to ln time where no grinder is named: the reference step. */
const LN_TIME_PER_STEP = 0.1;

export const rest = command({
  purpose: 'Rest days of a batch, its state, its span, its checks and its phases.',
  input: z.strictObject({
    roastDate: day('Roast date'),
    roastLevel: quantity('roastLevel'),
    school: oneOf('Rest school', REST_SCHOOLS).default('byRoast'),
    /** In place of the school's: days open, best from, best to, fades. */
    span: z
      .strictObject({
        opens: quantity('restDays'),
        bestFrom: quantity('restDays'),
        bestTo: quantity('restDays'),
        fades: quantity('restDays'),
      })
      .optional(),
    frozen: z
      .array(z.strictObject({ from: day('Frozen from'), to: day('Frozen to').optional() }))
      .max(50)
      .default([]),
    on: day('The day'),
    closed: z
      .strictObject({
        weekdays: z.array(z.int().min(1).max(7)).max(7).default([]),
        dates: z.array(day('Closed day')).max(400).default([]),
      })
      .optional(),
    /** Change of ln time per day at day 14, as `house ageing` learnt it. */
    agePerDay: z.strictObject({ mean: z.number(), sd: z.number().min(0) }).optional(),
    /** Rest day the card's own dial is for; the best-from day when absent. */
    cardDay: quantity('restDays').optional(),
    centreS: quantity('timeS').default(28),
  }),
  output: z.object({
    restDays: z.number(),
    state: z.enum(REST_STATES),
    openOn: z.string(),
    bestFrom: z.string(),
    bestTo: z.string(),
    fadesOn: z.string(),
    warnings: codedOutput,
    checks: z.array(z.object({ kind: z.enum(CHECK_KINDS), day: z.string() })),
    phases: z.array(
      z.object({ from: z.number(), to: z.number(), steps: z.number(), interval80: interval }),
    ),
    keptShare: z.object({ phased: z.number(), one: z.number() }).nullable(),
  }),
  run: ({ closed, agePerDay, cardDay, centreS, ...asked }) => {
    const found = restOn(asked);
    const { bestFrom, bestTo } = spanOf(asked);
    const span = { from: bestFrom, to: bestTo };
    const count = agePerDay && phaseCount(span, agePerDay);
    return {
      ...found,
      warnings: coded(found.warnings),
      checks: plannedChecks({ rest: found, rechecks: [] }, closed ?? { weekdays: [], dates: [] }),
      phases:
        agePerDay && count
          ? phasesOf(span, {
              count,
              slope: agePerDay,
              cardDay: cardDay ?? bestFrom,
              lnTimePerStep: LN_TIME_PER_STEP,
            })
          : [],
      keptShare:
        agePerDay && count
          ? {
              phased: keptShare(span, { count, slope: agePerDay, centreS }),
              one: keptShare(span, { count: 1, slope: agePerDay, centreS }),
            }
          : null,
    };
  },
});
