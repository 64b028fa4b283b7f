/**
 * A release as the screens show it: stored facts with what the core makes of them today.
 * Read-only; computed anew for every request, so it can never be stale.
 */
import { nextMove } from '@/core/advice/next';
import type { Advice, NextInput, ShotMark } from '@/core/advice/types';
import { purgeOf } from '@/core/advice/bench';
import type { ReleaseFacts } from '@/core/coffee/features';
import { readRoast, type RoastReading } from '@/core/coffee/roast';
import { LIMITS } from '@/core/limits';
import { restOn, restSpan, type Rest, type RestSpan } from '@/core/rest/rest';
import { daysBetween } from '@/core/rest/day';
import { targetSchema, type Target } from '@/core/schema/target';
import type { Shot } from '@/core/schema/shot';
import { METRIC, type Units } from '@/core/units';
import type { Db } from './database';
import { findBenchDraft, type StoredDraft } from './dialIns';
import type { House } from './house';
import { listMarks, type BatchMark } from './marks';
import { findAddress, listVersions, type PublicAddress, type StoredVersion } from './publications';
import { findRelease, type StoredBatch, type StoredRelease } from './releases';
import { findSetup, type StoredSetup } from './setups';
import { listShots, listSpent, listTastings, type StoredShot, type StoredTasting } from './shots';

export interface BenchShot extends StoredShot {
  readonly mark: ShotMark;
  readonly tastings: readonly StoredTasting[];
}

export interface Bench {
  readonly draft: StoredDraft;
  readonly setup: StoredSetup;
  readonly target: Target;
  readonly shots: readonly BenchShot[];
  readonly advice: Advice;
  readonly spentG: number;
}

export interface BatchView extends StoredBatch {
  readonly roast: RoastReading;
  readonly rest: Rest;
  readonly span: RestSpan;
  readonly marks: readonly BatchMark[];
  /** Grams of sample left after the shots and purges so far; null when nothing was noted. */
  readonly leftG: number | null;
}

export interface ReleaseView {
  readonly release: StoredRelease;
  /** Every batch, newest roast first. */
  readonly batches: readonly BatchView[];
  /** The batch on the bench, or the newest. */
  readonly batch: BatchView;
  readonly facts: ReleaseFacts;
  readonly bench: Bench | null;
  readonly versions: readonly Pick<StoredVersion, 'id' | 'number' | 'publishedAt' | 'publishedBy'>[];
  readonly address: PublicAddress | null;
}

/** Rest days of a batch on a day, for shots and models. A year or more counts as a year: no rule knows more. */
export function restDaysOf({ roastDate }: Pick<StoredBatch, 'roastDate'>, on: string): number {
  return Math.min(LIMITS.restDays.max, Math.max(0, daysBetween(roastDate, on)));
}

/** The facts of a release as the models take them, for one of its batches. */
export function factsOf(
  release: StoredRelease,
  batch: { readonly roast: RoastReading; readonly restDays: number | undefined },
): ReleaseFacts {
  return {
    id: release.id,
    roastLevel: batch.roast.level ?? undefined,
    roastSd: batch.roast.sd || undefined,
    restDays: batch.restDays,
    components: release.components.map(
      ({ sharePct, process, varietyClass, densityGPerL, altitudeM }) => ({
        sharePct,
        process,
        varietyClass,
        densityGPerL,
        altitudeM,
      }),
    ),
  };
}

/** The same as the batch stands on a day. */
export function factsToday(release: StoredRelease, batch: BatchView, today: string): ReleaseFacts {
  return factsOf(release, { roast: batch.roast, restDays: restDaysOf(batch, today) });
}

/** A batch with its roast by the house's words and its rest by the house's school. */
function readBatch(
  db: Db,
  house: House,
  release: StoredRelease,
  batch: StoredBatch,
  today: string,
): BatchView {
  const roast = readRoast(batch, house.roastMap);
  const roastLevel = roast.level ?? 0;
  const spentG = listSpent(db, batch.id).reduce(
    (sum, shot) => sum + shot.doseG + purgeOf(shot, shot.retentionG),
    0,
  );
  return {
    ...batch,
    roast,
    rest: restOn({
      roastDate: batch.roastDate,
      roastLevel,
      school: house.restSchool,
      frozen: [],
      // A clock set back must not close the page of a batch roasted "tomorrow".
      on: daysBetween(batch.roastDate, today) < 0 ? batch.roastDate : today,
    }),
    span: restSpan(roastLevel, house.restSchool),
    marks: listMarks(db, release.id, batch.id),
    leftG: batch.sampleG === undefined ? null : batch.sampleG - spentG,
  };
}

export interface Reader {
  readonly today: string;
  readonly units?: Units;
}

/** Everything the release page shows, or null when there is no such release. */
export function readRelease(
  db: Db,
  house: House,
  id: string,
  { today, units = METRIC }: Reader,
): ReleaseView | null {
  const release = findRelease(db, id);
  if (!release) return null;
  const batches = release.batches.map((batch) => readBatch(db, house, release, batch, today));
  const draft = findBenchDraft(db, id);
  const batch = batches.find((candidate) => candidate.id === draft?.batchId) ?? batches[0];
  if (!batch) return null;
  const setup = draft && findSetup(db, draft.setupId);
  return {
    release,
    batches,
    batch,
    facts: factsToday(release, batch, today),
    bench: draft && setup ? readBench(db, house, { draft, setup, batch, units }) : null,
    versions: listVersions(db, id).map(({ id: versionId, number, publishedAt, publishedBy }) => ({
      id: versionId,
      number,
      publishedAt,
      publishedBy,
    })),
    address: findAddress(db, id),
  };
}

function readBench(
  db: Db,
  house: House,
  {
    draft,
    setup,
    batch,
    units,
  }: { draft: StoredDraft; setup: StoredSetup; batch: BatchView; units: Units },
): Bench {
  const target = targetOf(house, draft, { roast: batch.roast, opensOn: batch.span.opens });
  const stored = listShots(db, draft.dialInId);
  const tastings = listTastings(db, draft.dialInId);
  const advice = nextMove({
    target,
    grinder: setup.grinder,
    basket: setup.basket,
    machine: setup.machine,
    shots: stored.map((shot) => advisedShot(shot, tastings)),
    targetFrom: stored.findLastIndex((shot) => shot.draftId !== draft.id) + 1,
    units,
  });
  const shots = stored.map((shot, i) => ({
    ...shot,
    mark: advice.marks[i]!,
    tastings: tastings.filter((tasting) => tasting.shotId === shot.id),
  }));
  const spentG = stored.reduce(
    (sum, shot) => sum + shot.doseG + purgeOf(shot, setup.grinder.retentionG),
    0,
  );
  return { draft, setup, target, shots, advice, spentG };
}

/** The question the advice of a bench answers, for what else is to be made of it. */
export function askedOf({ target, setup, shots, draft }: Bench): NextInput {
  return {
    target,
    grinder: setup.grinder,
    basket: setup.basket,
    machine: setup.machine,
    shots: shots.map((shot) => advisedShot(shot, shot.tastings)),
    targetFrom: shots.findLastIndex((shot) => shot.draftId !== draft.id) + 1,
  };
}

/** What a shot of a recipe is judged against. */
export function targetOf(
  house: House,
  draft: StoredDraft,
  { roast, opensOn }: { readonly roast: RoastReading; readonly opensOn: number },
): Target {
  return targetSchema.parse({
    doseG: draft.doseG,
    yieldG: draft.yieldG,
    timeS: [draft.timeLowS, draft.timeHighS],
    clock: draft.clock,
    temperatureC: draft.temperatureC,
    doseToleranceG: house.doseToleranceG,
    yieldToleranceG: house.yieldToleranceG,
    startDial: draft.startDial,
    tasteFirst: house.tasteFirst,
    openDay: Math.round(opensOn),
    roastLevel: roast.level ?? 0,
  });
}

/** A stored shot as the advisor takes it, with its latest straight tasting. */
export function advisedShot(shot: StoredShot, tastings: readonly StoredTasting[]): Shot {
  const taste = tastings.findLast(
    (tasting) => tasting.shotId === shot.id && tasting.serving === 'straight',
  )?.scales;
  const { dial, doseG, aimDoseG, yieldG, timeS, firstDripS, clock, temperatureC } = shot;
  const { purged, purgeG, restDays, seen, beans, blondS } = shot;
  return {
    dial,
    doseG,
    aimDoseG,
    yieldG,
    timeS,
    firstDripS,
    clock,
    temperatureC,
    purged,
    purgeG,
    restDays,
    seen,
    beans,
    blondS,
    taste,
  };
}
