/** Bags of a batch: what rests, what is frozen, and which bag is kept for which check. House heuristic. */
import { userFault } from '../errors';
import type { PlannedCheck } from './checkPlan';
import { daysBetween, type Day } from './day';
import type { FrozenSpell } from './rest';
import { fault, type Message } from '../message';

export interface FrozenSample {
  readonly frozenOn?: Day | undefined;
  readonly thawedOn?: Day | undefined;
}

/**
 * Days a bag was frozen, as rest counts them. A roast date that was corrected later must close no page: what lies before
 * it is left out.
 */
export function spellsOf(bag: FrozenSample | undefined, roastDate: Day): readonly FrozenSpell[] {
  if (bag?.frozenOn === undefined) return [];
  const { frozenOn, thawedOn } = bag;
  if (thawedOn !== undefined && daysBetween(roastDate, thawedOn) < 0) return [];
  const from = daysBetween(roastDate, frozenOn) < 0 ? roastDate : frozenOn;
  return [{ from, to: thawedOn }];
}

export const isFrozenOn = ({ frozenOn, thawedOn }: FrozenSample, on: Day): boolean =>
  frozenOn !== undefined &&
  daysBetween(frozenOn, on) >= 0 &&
  (thawedOn === undefined || daysBetween(on, thawedOn) > 0);

/**
 * @throws UserFault for days that cannot be: frozen before the roast, thawed without or before being frozen, ahead.
 */
export function checkFrozen(
  { frozenOn, thawedOn }: FrozenSample,
  roastDate: Day,
  today: Day,
): void {
  const refused = (field: string, why: Message) => userFault('badInput', field, why);
  if (thawedOn !== undefined && frozenOn === undefined)
    throw refused('frozenOn', fault('sample.thawedAlone'));
  if (frozenOn === undefined) return;
  if (daysBetween(roastDate, frozenOn) < 0)
    throw refused('frozenOn', fault('sample.frozenBeforeRoast', { frozenOn, roastDate }));
  if (thawedOn !== undefined && daysBetween(frozenOn, thawedOn) < 0)
    throw refused('thawedOn', fault('sample.thawedBeforeFrozen', { thawedOn, frozenOn }));
  for (const [field, day] of [
    ['frozenOn', frozenOn],
    ['thawedOn', thawedOn],
  ] as const)
    if (day !== undefined && daysBetween(today, day) > 0)
      throw refused(field, fault('sample.ahead', { day, today }));
}

export interface HeldSample extends FrozenSample {
  readonly id: string;
  readonly leftG: number;
}

/**
 * Which bag is held back for each check ahead: the smallest that is enough, each bag for as many checks as it holds.
 * A frozen bag does not age, so it shows nothing of an old coffee and is kept for none.
 * @returns the id of a bag by the day of its check; a check without one is missing.
 */
export function samplesFor(
  checks: readonly PlannedCheck[],
  bags: readonly HeldSample[],
  { gramsEach, today }: { readonly gramsEach: number; readonly today: Day },
): ReadonlyMap<Day, string> {
  const left = new Map(
    bags.filter((bag) => !isFrozenOn(bag, today)).map(({ id, leftG }) => [id, leftG]),
  );
  const kept = new Map<Day, string>();
  for (const { day } of checks) {
    const [smallest] = [...left]
      .filter(([, grams]) => grams >= gramsEach)
      .sort(([, a], [, b]) => a - b);
    if (!smallest) continue;
    kept.set(day, smallest[0]);
    left.set(smallest[0], smallest[1] - gramsEach);
  }
  return kept;
}
