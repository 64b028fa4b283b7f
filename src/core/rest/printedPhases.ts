/** Phases as a card prints them: whole days that cover its span, with hints a hand can set (model.md §5b). */
import { z } from 'zod';
import type { CodedFault } from '../errors';
import { quantity } from '../schema/fields';
import type { Phase, RestSpan } from './phases';
import { fault, inIssue, type Message } from '../message';

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
      error: inIssue('phase.steps'),
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
export function phaseFaults(phases: readonly PrintedPhase[], span: RestSpan): CodedFault[] {
  if (phases.length === 0) return [];
  const faults: CodedFault[] = [];
  const add = (i: number, message: Message) => faults.push({ field: `phases.${i}`, message });
  phases.forEach(({ from, to }, i) => {
    if (to < from) add(i, fault('phase.order', { number: i + 1, from, to }));
    const next = i === 0 ? span.from : phases[i - 1]!.to + 1;
    if (from > next)
      add(i, fault('phase.gap', { number: i + 1, next, last: from - 1, days: from - next }));
    if (from < next)
      add(i, fault(i === 0 ? 'phase.beforeSpan' : 'phase.overlap', { number: i + 1, from, next }));
  });
  const last = phases.length - 1;
  if (phases[last]!.to !== span.to)
    add(last, fault('phase.end', { to: phases[last]!.to, spanTo: span.to }));
  return faults;
}
