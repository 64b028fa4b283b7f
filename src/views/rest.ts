/** What the Rest stage shows: how the batch on the bench ages, when it is checked, when it tastes best. Server only. */
import { Z_80 } from '@/core/grinder/dial';
import { groupBy } from '@/core/groupBy';
import { meanOf } from '@/core/patterns/summary';
import { samplesFor, isFrozenOn } from '@/core/rest/samples';
import {
  nextOpenDay,
  plannedChecks,
  type AskedCheck,
  type ClosedDays,
  type CheckKind,
  type PlannedCheck,
} from '@/core/rest/checkPlan';
import { checkRoom, type CheckRoom } from '@/core/rest/checkRoom';
import { addDays, daysBetween } from '@/core/rest/day';
import { ageChange, levelOn, stepsFiner } from '@/core/rest/houseAgeing';
import { bestDays, type BestDays, type TastedDay } from '@/core/rest/likingByRest';
import { phaseCount, phasesOf, type Phase } from '@/core/rest/phases';
import type { Db } from '@/data/database';
import { listDialIns } from '@/data/dialIns';
import type { House } from '@/data/house';
import { cached } from '@/data/cache';
import type { StoredSample } from '@/data/samples';
import { shotsOfDialIns } from '@/data/shots';
import { tastingsOfDialIns } from '@/data/tastings';
import { dayOf } from '@/data/today';
import { ageingOf } from './batchLevels';
import { cupsOfCheck, gramsOfCheck, hasShotOn, openRechecks, shotsOfCheck } from './checks';
import { MODEL_TAGS } from './houseModel';
import type { BatchView, Bench, ReleaseView } from './release';

/** Seconds on a rest day at one dial. */
export interface AgedTime {
  readonly restDays: number;
  readonly timeS: number;
}

export interface AgeingView {
  readonly dial: number;
  /** From the pump, as all of the curve is. */
  readonly shots: readonly AgedTime[];
  readonly curve: readonly (AgedTime & { readonly interval80: readonly [number, number] })[];
  /** Of the last sound shot. */
  readonly lastDay: number;
  readonly today: number;
  /** From then to today: seconds at one dial, and steps of the grinder that answer them. */
  readonly sinceS: number;
  readonly since: { readonly steps: number; readonly interval80: readonly [number, number] };
  readonly perWeek: { readonly steps: number; readonly interval80: readonly [number, number] };
  /** Its own shots say more than the house's other batches. */
  readonly isOwn: boolean;
  readonly batches: number;
  readonly phases: readonly Phase[];
}

export interface RestView {
  readonly ageing: AgeingView | null;
  readonly checks: readonly (PlannedCheck & {
    readonly state: CheckState;
    readonly shots: number;
    readonly cups: number;
  })[];
  /** Of its other batches: what was asked for and is not yet made. */
  readonly elsewhere: readonly (AskedCheck & { readonly roastDate: string })[];
  /** The day a check can be asked for, if nobody says another. */
  readonly askOn: string;
  readonly room: CheckRoom & { readonly gramsEach: number; readonly leftG: number | null };
  readonly bags: readonly BagView[];
  readonly tasted: {
    readonly days: readonly TastedDay[];
    readonly best: BestDays;
    readonly batches: number;
  };
}

export interface BagView extends StoredSample {
  readonly leftG: number;
  readonly isOpen: boolean;
  readonly isFrozen: boolean;
  /** Checks it is held back for. */
  readonly keptFor: readonly CheckKind[];
}

/** `ahead` has coffee, `short` has none; what was asked for is `overdue` until it is made. */
export type CheckState = 'done' | 'missed' | 'overdue' | 'ahead' | 'short';

export function readRest(db: Db, house: House, view: ReleaseView): RestView {
  const { release, bench, today } = view;
  const key = `${release.id} ${view.batch.id} ${bench?.draft.id} ${today}`;
  return cached(db, { name: 'rest', tags: [...MODEL_TAGS, 'shot', 'tasting'], key }, () => ({
    ageing: bench && ageingView(db, house, view, bench),
    ...plannedFor(house, view),
    tasted: tastedOf(db, view),
  }));
}

function ageingView(db: Db, house: House, view: ReleaseView, bench: Bench): AgeingView | null {
  const { batch } = view;
  const { draft, setup, advice } = bench;
  const { dial } = advice.setting;
  const { shots, slope, level, perDial, batches } = ageingOf(db, house, {
    releaseId: view.release.id,
    batchId: batch.id,
    setup,
    style: draft.style,
    recipe: draft.recipe,
    dial,
    roastLevel: batch.roast.level ?? 0,
  });
  const last = shots.at(-1);
  if (!last || !level) return null;
  const today = batch.rest.restDays;
  const firstDay = Math.min(...shots.map(({ restDays }) => restDays));
  const lastDay = Math.max(...shots.map(({ restDays }) => restDays));
  const toDay = Math.max(today, Math.round(batch.span.fades), lastDay);
  const perStep = perDial * setup.grinder.stepSize;
  const on = (day: number) => {
    const at = levelOn(level, slope, day, Math.max(0, day - lastDay) / 7);
    return {
      restDays: day,
      timeS: Math.exp(at.mean),
      interval80: [Math.exp(at.mean - Z_80 * at.sd), Math.exp(at.mean + Z_80 * at.sd)] as const,
    };
  };
  const since = ageChange(slope, lastDay, today);
  const [from, to] = draft.recipe.restDays;
  const span = { from, to: Math.max(to, from + 1) };
  return {
    dial,
    shots: shots.map(({ restDays, lnTimeS }) => ({ restDays, timeS: Math.exp(lnTimeS) })),
    curve: Array.from({ length: toDay - firstDay + 1 }, (_, i) => on(firstDay + i)),
    lastDay,
    today,
    sinceS: on(today).timeS - on(lastDay).timeS,
    since: stepsFiner(since, perStep),
    perWeek: stepsFiner(ageChange(slope, today, today + 7), perStep),
    isOwn: slope.isOwn,
    batches,
    phases: phasesOf(span, {
      count: phaseCount(span, slope),
      slope,
      cardDay: lastDay,
      lnTimePerStep: perStep,
    }),
  };
}

function plannedFor(
  house: House,
  { batch, batches, bench, today }: ReleaseView,
): Pick<RestView, 'checks' | 'elsewhere' | 'askOn' | 'room' | 'bags'> {
  const closed = { weekdays: house.closedWeekdays, dates: house.closedDates };
  const enteredOn = dayOf(batch.createdAt);
  // Nobody missed what lay before the house knew of the batch.
  const planned = plannedChecks(batch, closed).filter(
    (check) => daysBetween(enteredOn, check.day) >= 0 || shotsOfCheck(batch, check) > 0,
  );
  const isPast = ({ day }: PlannedCheck) => daysBetween(day, today) > 0;
  const isDone = (check: PlannedCheck) => shotsOfCheck(batch, check) > 0;
  const gramsEach = gramsOfCheck(bench);
  const { leftG } = batch;
  const ahead = planned.filter(
    (check) => (check.kind === 'asked' || !isPast(check)) && !isDone(check),
  );
  const room = checkRoom(ahead, { leftG, gramsEach });
  const stateOf = (check: PlannedCheck): CheckState => {
    if (isDone(check)) return 'done';
    if (room.dropped.includes(check)) return 'short';
    if (!isPast(check)) return 'ahead';
    return check.kind === 'asked' ? 'overdue' : 'missed';
  };
  const bags = batch.samples.map((bag) => ({ ...bag, leftG: Math.max(0, bag.bagG - bag.spentG) }));
  const keptIn = samplesFor(room.kept, bags, { gramsEach, today });
  return {
    bags: bags.map((bag) => ({
      ...bag,
      isOpen: bag.id === batch.openSampleId,
      isFrozen: isFrozenOn(bag, today),
      keptFor: room.kept.filter(({ day }) => keptIn.get(day) === bag.id).map(({ kind }) => kind),
    })),
    checks: planned.map((check) => ({
      ...check,
      state: stateOf(check),
      shots: shotsOfCheck(batch, check),
      cups: cupsOfCheck(batch, check),
    })),
    elsewhere: batches.filter(({ id }) => id !== batch.id).flatMap(openRechecks),
    askOn: askOn(batch, today, closed),
    room: { ...room, gramsEach, leftG },
  };
}

/** Whoever has pulled it today asks for another day, and so does whoever asked for one already. */
function askOn(batch: BatchView, today: string, { weekdays, dates }: ClosedDays): string {
  const taken = [...dates, ...batch.rechecks.map(({ day }) => day)];
  const first = hasShotOn(batch, today) ? addDays(today, 1) : today;
  return nextOpenDay(first, { weekdays, dates: taken });
}

/** Straight cups of all batches of the release, by rest day; cups of flights were pulled to other figures. */
function tastedOf(db: Db, { release, batch }: ReleaseView): RestView['tasted'] {
  const dialIns = listDialIns(db, [release.id]);
  const ids = dialIns.map(({ id }) => id);
  const shotsOf = shotsOfDialIns(db, ids);
  const tastingsOf = tastingsOfDialIns(db, ids);
  const cups = dialIns.flatMap(({ id, batchId }) => {
    const shots = new Map(shotsOf(id).map((shot) => [shot.id, shot]));
    return tastingsOf(id).flatMap(({ shotId, serving, scales: { liking } }) => {
      const shot = shots.get(shotId);
      if (!shot || shot.isOfFlight || shot.isSimulated || serving !== 'straight') return [];
      return liking === undefined ? [] : [{ batchId, restDays: shot.restDays, liking }];
    });
  });
  const daysOf = (some: typeof cups): TastedDay[] =>
    [...groupBy(some, ({ restDays }) => restDays)]
      .map(([restDays, own]) => ({
        restDays,
        liking: meanOf(own.map(({ liking }) => liking))!.mean,
        cups: own.length,
      }))
      .sort((a, b) => a.restDays - b.restDays);
  const batches = [...groupBy(cups, ({ batchId }) => batchId).values()];
  // Dial-ins are read oldest first, and so are their batches.
  return {
    days: daysOf(cups),
    best: bestDays(batches.map(daysOf), batch.span),
    batches: batches.length,
  };
}
