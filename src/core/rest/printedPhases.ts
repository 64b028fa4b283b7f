/** Phases as a card prints them: whole days that cover its span, with hints a hand can set (model.md §5b). */
import { z } from 'zod';
import type { Fault } from '../errors';
import { quantity } from '../schema/fields';
import type { Phase, RestSpan } from './phases';

/** To half a step; to a quarter on a grinder without steps. House heuristic. */
const HINT_STEP = { stepped: 0.5, stepless: 0.25 } as const;
const MOST_HINT_STEPS = 10;
const MOST_PHASES = 3;

export const printedPhaseSchema = z.strictObject({
  from: quantity('restDays'),
  to: quantity('restDays'),
  /** Reference steps finer than the card. */
  steps: z
    .number({
      error: 'The grind of a phase is not a number. Enter steps finer, coarser with a minus.',
    })
    .min(-MOST_HINT_STEPS)
    .max(MOST_HINT_STEPS),
});
export type PrintedPhase = z.output<typeof printedPhaseSchema>;

export const printedPhasesSchema = z.array(printedPhaseSchema).max(MOST_PHASES);

/** Whole days for the borders between phases, each day in one phase; hints to what can be set. */
export function printedPhases(
  phases: readonly Phase[],
  { isStepless }: { readonly isStepless: boolean },
): PrintedPhase[] {
  const step = isStepless ? HINT_STEP.stepless : HINT_STEP.stepped;
  return phases.map(({ from, to, steps }, i) => ({
    from: i === 0 ? Math.round(from) : Math.floor(from) + 1,
    to: i === phases.length - 1 ? Math.round(to) : Math.floor(to),
    steps: Math.round(steps / step) * step + 0,
  }));
}

/** What keeps phases from covering a span: each of its days in one phase, and in one only. */
export function phaseFaults(phases: readonly PrintedPhase[], span: RestSpan): Fault[] {
  if (phases.length === 0) return [];
  const faults: Fault[] = [];
  const say = (i: number, message: string) => faults.push({ field: `phases.${i}`, message });
  phases.forEach(({ from, to }, i) => {
    if (to < from)
      say(
        i,
        `Phase ${i + 1} ends on day ${to}, before it begins on day ${from}. Correct its days.`,
      );
    const next = i === 0 ? span.from : phases[i - 1]!.to + 1;
    if (from > next)
      say(
        i,
        `Nothing is said of day ${next}${from - 1 > next ? ` to ${from - 1}` : ''}. Begin phase ${i + 1} on day ${next}.`,
      );
    if (from < next)
      say(
        i,
        i === 0
          ? `Phase 1 begins on day ${from}, before the span does. Begin it on day ${next}.`
          : `Phase ${i + 1} begins on day ${from}, inside the phase before it. Begin it on day ${next}.`,
      );
  });
  const last = phases.length - 1;
  if (phases[last]!.to !== span.to)
    say(
      last,
      `The last phase ends on day ${phases[last]!.to}, the span on day ${span.to}. End it on day ${span.to}.`,
    );
  return faults;
}
