/** The whole house on one page: every release as it stands today and what it asks for. */
import { checkDays, gramsPerCheck } from '@/core/rest/checkPlan';
import { batchRestDays } from '@/core/rest/batchRest';
import { daysBetween } from '@/core/rest/day';
import { restSpan, type RestSpan } from '@/core/rest/rest';
import { STATUS_WORDS } from '@/core/advice/words';
import { readRoast } from '@/core/coffee/roast';
import { dueOf, type Due, type Standing } from '@/core/due/due';
import { METRIC, type Units } from '@/core/units';
import type { Db } from '@/data/database';
import type { House } from '@/data/house';
import { kept } from '@/data/kept';
import { findAddress, type PublicAddress } from '@/data/publications';
import { readRelease, type BatchView, type Bench, type ReleaseView } from './release';
import { findRelease, listReleaseNames } from '@/data/releases';

export interface Standings {
  readonly id: string;
  readonly name: string;
  readonly due: readonly Due[];
  /** Batches that can still be used, or whose recipe is public. */
  readonly active: readonly BatchView[];
}

/** A batch stays on the page this long after it faded. House heuristic: two weeks to act on it. */
const DAYS_AFTER_FADING = 14;

/** Dose assumed for a check before a recipe is on the bench. House heuristic: the commonest double. */
const ASSUMED_DOSE_G = 18;

/** Every release of the house, newest first, as it stands on a day. */
export function readToday(
  db: Db,
  house: House,
  { today, units = METRIC }: { today: string; units?: Units },
): readonly Standings[] {
  const key = `${today} ${units.mass} ${units.temperature}`;
  return kept(db, { name: 'today', restsOn: RESTS_ON, key }, () =>
    readStandings(db, house, today, units),
  );
}

const RESTS_ON = [
  'house',
  'equipment',
  'release',
  'batch',
  'recipe',
  'shot',
  'tasting',
  'publication',
] as const;

function readStandings(db: Db, house: House, today: string, units: Units): Standings[] {
  return listReleaseNames(db).flatMap(({ id, name }): Standings[] => {
    if (!isInUse(db, house, id, today)) return [{ id, name, due: [], active: [] }];
    const view = readRelease(db, house, id, { today, units });
    if (!view) return [];
    const isShown = (batch: BatchView) =>
      isUsable(batch.rest.restDays, batch.span) || (isPublic(view.address) && batch === view.batch);
    const due = dueOf(standingOf(house, view, today, units));
    return [{ id, name, due, active: view.batches.filter(isShown) }];
  });
}

/**
 * Is any batch of a release still to be used, or its recipe public? Years of past releases are told
 * by their dates alone, so that only coffees in use are read whole.
 */
function isInUse(db: Db, house: House, releaseId: string, today: string): boolean {
  if (isPublic(findAddress(db, releaseId))) return true;
  const batches = findRelease(db, releaseId)?.batches ?? [];
  return batches.some((batch) => {
    const span = restSpan(readRoast(batch, house.roastMap).level ?? 0, house.restSchool);
    return isUsable(batchRestDays(batch, today), span);
  });
}

function isUsable(restDays: number, { fades }: RestSpan): boolean {
  return restDays <= fades + DAYS_AFTER_FADING;
}

function isPublic(address: PublicAddress | null): boolean {
  return address !== null && address.withdrawnAt === null;
}

function standingOf(house: House, view: ReleaseView, today: string, units: Units): Standing {
  const { batch, batches, bench } = view;
  const closed = { weekdays: house.closedWeekdays, dates: house.closedDates };
  const newest = batches[0]!;
  return {
    today,
    roastDate: batch.roastDate,
    rest: batch.rest,
    bench: bench && {
      shots: bench.shots.length,
      isConfirmed: bench.advice.status === 'confirmed',
      next: nextWords(bench),
      tasters: tastersOf(bench).size,
      isPublished: isPublishedDraft(view, bench),
    },
    isPublic: isPublic(view.address),
    newerBatchOf: bench && newest.id !== batch.id ? newest.roastDate : null,
    leftG: batch.leftG,
    checksAhead: checkDays(batch.rest, closed).filter((day) => daysBetween(today, day) >= 0),
    gramsPerCheck: gramsPerCheck(
      bench?.draft.recipe.doseG ?? ASSUMED_DOSE_G,
      bench?.setup.grinder.retentionG ?? 0,
    ),
    units,
  };
}

/** People who tasted the recipe on the bench, this revision of it. */
export function tastersOf({ shots, draft }: Bench): Set<string> {
  return new Set(
    shots
      .filter((shot) => shot.draftId === draft.id)
      .flatMap(({ tastings }) => tastings.map(({ tastedById }) => tastedById)),
  );
}

/** Was the recipe on the bench published as it stands? A version made from this very revision says so. */
export function isPublishedDraft({ versions }: ReleaseView, { draft }: Bench): boolean {
  return versions[0]?.draftId === draft.id;
}

function nextWords({ advice, shots, draft }: Bench): string {
  if (shots.at(-1)?.draftId !== draft.id) return 'pull the first shot of the new recipe';
  // Only what to do; what stays is said on the bench itself.
  return (advice.move?.words ?? STATUS_WORDS[advice.status]).split('. ')[0]!.replace(/\.$/, '');
}
