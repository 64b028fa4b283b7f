/** The whole house on one page: every release as it stands today and what it asks for. */
import { doseInForce } from '@/core/advice/setting';
import { isOnTargetStatus, type AdviceStatus } from '@/core/advice/types';
import { plannedChecks } from '@/core/rest/checkPlan';
import { LIMITS } from '@/core/limits';
import { addDays, daysBetween } from '@/core/rest/day';
import { REST_SCHOOLS, type Clock } from '@/core/vocabulary';
import { restSpan, type RestSpan } from '@/core/rest/rest';
import { headOf } from '@/words/adviceWords';
import { dialWords } from '@/core/grinder/notation';
import { dueOf, type Due, type Standing } from '@/core/due/due';
import { isRoastAhead } from '@/core/state/batchAge';
import { tastersOf, type PublicState } from '@/core/state/recipeState';
import { METRIC, type Units } from '@/core/units';
import { runToEnd } from '@/core/runToEnd';
import type { Db } from '@/data/database';
import type { House } from '@/data/house';
import { today as todayOfHouse } from '@/data/today';
import { cached, fillCache, type CacheOptions } from '@/data/cache';
import type { PublicAddress } from '@/data/publications';
import { listAtHand } from '@/data/releases';
import { gramsOfCheck, openRechecks, shotsOfCheck } from './checks';
import { releasesInSteps, type BatchView, type Bench, type ReleaseView } from './release';

export interface Standings {
  readonly id: string;
  readonly name: string;
  readonly due: readonly Due[];
  /** The batch the last recipe can be carried over to. */
  readonly toCarry: string | null;
  /** The setting the bench stands at; null before there is a recipe. */
  readonly setting: OpenSetting | null;
  /** Batches that can still be used, or whose recipe is public. */
  readonly active: readonly BatchView[];
}

/** A batch stays on the page this long after it faded. House heuristic: two weeks to act on it. */
const DAYS_AFTER_FADING = 14;

interface Asked {
  readonly today: string;
  readonly units?: Units;
}

/** Every release the house still has to do with, newest first, as it stands on a day. */
export function readToday(db: Db, house: House, asked: Asked): readonly Standings[] {
  return cached(db, keptAs(asked), () => runToEnd(standingsInSteps(db, house, asked)));
}

/** Reads in steps what is not known yet: others are answered in between. */
export function prepareToday(
  db: Db,
  house: House,
  { units = METRIC }: Pick<Asked, 'units'>,
  day = todayOfHouse(),
): Promise<void> {
  const asked = { today: day, units };
  return fillCache(db, keptAs(asked), () => standingsInSteps(db, house, asked));
}

function keptAs({ today, units = METRIC }: Asked): CacheOptions {
  return { name: 'today', tags: RESTS_ON, key: `${today} ${units.volume} ${units.temperature}` };
}

export const RESTS_ON = [
  'house',
  'equipment',
  'release',
  'batch',
  'recipe',
  'shot',
  'tasting',
  'publication',
] as const;

function* standingsInSteps(
  db: Db,
  house: House,
  { today, units = METRIC }: Asked,
): Generator<void, Standings[]> {
  const ids = listAtHand(db, addDays(today, -LONGEST_USE_DAYS));
  const views = yield* releasesInSteps(db, house, ids, { today });
  return views.flatMap((view): Standings[] => {
    const isShown = (batch: BatchView) =>
      isUsable(batch.rest.restDays, batch.span) || (isPublic(view.address) && batch === view.batch);
    const active = view.batches.filter(isShown);
    if (active.length === 0) return [];
    const { id, name } = view.release;
    const due = dueOf(standingOf(house, view, { today, units }));
    return [
      {
        id,
        name,
        due,
        toCarry: view.newBatch?.batchId ?? null,
        setting: view.bench && settingOf(view.bench, view.published),
        active,
      },
    ];
  });
}

/** What a hand at the machine sets and aims at. */
export interface OpenSetting {
  readonly doseG: number;
  readonly yieldG: number;
  readonly timeS: readonly [number, number];
  readonly clock: Clock;
  readonly temperatureC: number;
  /** Of the next shot, as the grinder writes it. */
  readonly dialWords: string;
  readonly setupName: string;
  readonly status: AdviceStatus;
  readonly batchId: string;
  /** The card that is out, where it says otherwise. */
  readonly published: PublicState | null;
}

function settingOf(
  { draft, shots, setup, advice }: Bench,
  published: PublicState | null,
): OpenSetting {
  const { yieldG, timeS, clock, temperatureC } = draft.recipe;
  const last = shots.at(-1);
  return {
    doseG: doseInForce(last?.draftId === draft.id ? last : undefined, draft.recipe),
    yieldG,
    timeS,
    clock,
    temperatureC,
    dialWords: dialWords(setup.grinder, advice.setting.dial),
    setupName: setup.name,
    status: advice.status,
    batchId: draft.batchId,
    published,
  };
}

/** No school lets any batch be used for longer, with the days it stays on the page after it faded. */
export const LONGEST_USE_DAYS =
  Math.ceil(
    Math.max(...REST_SCHOOLS.map((school) => restSpan(LIMITS.roastLevel.min, school).fades)),
  ) + DAYS_AFTER_FADING;

function isUsable(restDays: number, { fades }: RestSpan): boolean {
  return restDays <= fades + DAYS_AFTER_FADING;
}

function isPublic(address: PublicAddress | null): boolean {
  return address !== null && address.withdrawnAt === null;
}

function standingOf(house: House, view: ReleaseView, { today, units }: Required<Asked>): Standing {
  const { batch, batches, bench } = view;
  const closed = { weekdays: house.closedWeekdays, dates: house.closedDates };
  const newest = batches[0]!;
  return {
    today,
    roastDate: batch.roastDate,
    roastsAhead: batches
      .map(({ roastDate }) => roastDate)
      .filter((day) => isRoastAhead(day, today)),
    rest: batch.rest,
    bench: bench && {
      shots: bench.shotCount,
      isOnTarget: isOnTargetStatus(bench.advice.status),
      next: nextWords(bench, units),
      tasters: tastersOf(bench).size,
      isPublished: view.published?.isThis ?? false,
      isCarried: bench.draft.carriedFrom !== null,
    },
    isPublic: isPublic(view.address),
    newerBatchOf: bench && newest.id !== batch.id ? newest.roastDate : null,
    toCarry: view.newBatch && {
      restDays: view.newBatch.restDays,
      dialWords: view.newBatch.dialWords,
    },
    leftG: batch.leftG,
    checksAhead: plannedChecks(batch, closed)
      .filter((check) => daysBetween(today, check.day) >= 0 && shotsOfCheck(batch, check) === 0)
      .map(({ day }) => day),
    checksAsked: batches.flatMap(openRechecks).filter(({ day }) => daysBetween(day, today) >= 0),
    gramsPerCheck: gramsOfCheck(bench),
    heldCard: view.heldCard,
  };
}

function nextWords({ advice, shots, draft }: Bench, units: Units): string {
  if (shots.at(-1)?.draftId !== draft.id) return 'pull the first shot of the new recipe';
  // Only what to do; what stays is said on the bench itself.
  return headOf(advice, units).split('. ')[0]!.replace(/\.$/, '');
}
