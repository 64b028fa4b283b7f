/**
 * Rest: how many days a batch has rested and what that makes it. Days are calendar days in the
 * house's own day; time spent frozen does not count (the day of the thaw does).
 * Spans are a house heuristic by school (model.md §5), linear in ρ between its rows.
 */
import { fault, type CodedMessage } from '../message';
import { userFault } from '../errors';
import type { RestSchool } from '../vocabulary';
import { addDays, daysBetween, type Day } from './day';

export interface RestSpan {
  readonly opens: number;
  readonly bestFrom: number;
  readonly bestTo: number;
  readonly fades: number;
}

/** Rows of the "by roast" school, dark to light: ρ, opens, best from, best to, fades (days). */
const BY_ROAST: readonly (readonly [number, number, number, number, number])[] = [
  [-2, 14, 21, 45, 63],
  [-1, 10, 14, 35, 49],
  [0, 6, 8, 21, 35],
  [1, 4, 6, 16, 28],
  [2, 2, 4, 12, 24],
];

/** The "patient" school: no opening before these days, and the end moved by this many. */
const PATIENT = { opens: 18, bestFrom: 21, later: 14 } as const;

/** Rest span of a roast level by a school, in rest days (halves possible between rows). */
export function restSpan(roastLevel: number, school: RestSchool): RestSpan {
  const byRoast = interpolate(Math.min(2, Math.max(-2, roastLevel)));
  switch (school) {
    case 'byRoast':
      return byRoast;
    case 'oneWeek':
      return { opens: 7, bestFrom: 8, bestTo: 28, fades: 35 };
    case 'early':
      return { opens: 2, bestFrom: 3, bestTo: 14, fades: 28 };
    case 'patient':
      return {
        opens: Math.max(PATIENT.opens, byRoast.opens),
        bestFrom: Math.max(PATIENT.bestFrom, byRoast.bestFrom),
        bestTo: byRoast.bestTo + PATIENT.later,
        fades: byRoast.fades + PATIENT.later,
      };
  }
}

function interpolate(roastLevel: number): RestSpan {
  const upper = Math.max(
    1,
    BY_ROAST.findIndex((row) => row[0] >= roastLevel),
  );
  const from = BY_ROAST[upper - 1]!;
  const to = BY_ROAST[upper]!;
  const share = (roastLevel - from[0]) / (to[0] - from[0]);
  const at = (column: 1 | 2 | 3 | 4) => from[column] + share * (to[column] - from[column]);
  return { opens: at(1), bestFrom: at(2), bestTo: at(3), fades: at(4) };
}

export interface FrozenSpell {
  readonly from: Day;
  /** The thaw day, which counts as rest; absent while still frozen. */
  readonly to?: Day | undefined;
}

export const REST_STATES = ['tooFresh', 'open', 'best', 'late', 'fading'] as const;
export type RestState = (typeof REST_STATES)[number];

export const REST_STATE_LABELS: Record<RestState, string> = {
  tooFresh: 'Too fresh',
  open: 'Open',
  best: 'Best',
  late: 'Past its best',
  fading: 'Faded',
};

/** Where the span of a batch comes from: what was said of this very release, else the house's school. */
export interface SpanInput {
  readonly roastLevel: number;
  readonly school: RestSchool;
  readonly span?: RestSpan | undefined;
}

/**
 * The span in force.
 * @throws UserFault for one that does not run open, best from, best to, fades.
 */
export function spanOf({ roastLevel, school, span }: SpanInput): RestSpan {
  if (span === undefined) return restSpan(roastLevel, school);
  const { opens, bestFrom, bestTo, fades } = span;
  if (!(opens <= bestFrom && bestFrom < bestTo && bestTo <= fades))
    throw userFault('badInput', 'span', fault('rest.span', { opens, bestFrom, bestTo, fades }));
  return span;
}

export interface RestInput extends SpanInput {
  readonly roastDate: Day;
  readonly frozen: readonly FrozenSpell[];
  readonly on: Day;
}

export interface Rest {
  readonly restDays: number;
  readonly state: RestState;
  readonly openOn: Day;
  readonly bestFrom: Day;
  readonly bestTo: Day;
  readonly fadesOn: Day;
  readonly warnings: readonly CodedMessage[];
}

/**
 * Rest days, state and the calendar days of the span, given the frozen spells known so far.
 * @throws UserFault for a roast day after `on`, or spells that overlap or precede the roast.
 */
export function restOn({ roastDate, frozen, on, ...asked }: RestInput): Rest {
  const { roastLevel, school } = asked;
  if (daysBetween(roastDate, on) < 0)
    throw userFault('badInput', 'roastDate', fault('rest.roastAhead', { roastDate, on }));
  const spells = checkedSpells(frozen, roastDate);
  const restDays = restDaysOn(roastDate, spells, on);
  const span = spanOf(asked);
  const dayOf = (days: number) => dayWhenRested(roastDate, spells, Math.round(days), on);
  return {
    restDays,
    state: restState(restDays, span),
    openOn: dayOf(span.opens),
    bestFrom: dayOf(span.bestFrom),
    bestTo: dayOf(span.bestTo),
    fadesOn: dayOf(span.fades),
    warnings:
      school === 'early' && roastLevel < 0
        ? [{ code: 'earlyForLight', message: { id: 'start.earlyForLight' } }]
        : [],
  };
}

/** Rest days on a day: calendar days since the roast minus days frozen. */
export function restDaysOn(roastDate: Day, frozen: readonly FrozenSpell[], on: Day): number {
  const frozenDays = frozen.reduce((sum, { from, to }) => {
    const end = to === undefined || daysBetween(to, on) < 0 ? on : to;
    return sum + Math.max(0, daysBetween(from, end));
  }, 0);
  return daysBetween(roastDate, on) - frozenDays;
}

/** State of a batch after so many rest days. */
export function restState(restDays: number, span: RestSpan): RestState {
  if (restDays < Math.round(span.opens)) return 'tooFresh';
  if (restDays < Math.round(span.bestFrom)) return 'open';
  if (restDays <= Math.round(span.bestTo)) return 'best';
  return restDays < Math.round(span.fades) ? 'late' : 'fading';
}

/** First day with so many rest days; a spell still open is taken to end on `on`. */
function dayWhenRested(
  roastDate: Day,
  frozen: readonly FrozenSpell[],
  restDays: number,
  on: Day,
): Day {
  let day = addDays(roastDate, restDays);
  for (const { from, to } of frozen) {
    const end = to ?? on;
    if (daysBetween(from, day) > 0) day = addDays(day, Math.max(0, daysBetween(from, end)));
  }
  return day;
}

function checkedSpells(frozen: readonly FrozenSpell[], roastDate: Day): readonly FrozenSpell[] {
  const spells = [...frozen].sort((a, b) => daysBetween(b.from, a.from));
  spells.forEach(({ from, to }, i) => {
    const earliest = i === 0 ? roastDate : spells[i - 1]!.to;
    const isLate = earliest !== undefined && daysBetween(earliest, from) >= 0;
    if (!isLate || (to !== undefined && daysBetween(from, to) < 0))
      throw userFault('badInput', `frozen.${i}`, fault('rest.frozenSpell'));
  });
  return spells;
}
