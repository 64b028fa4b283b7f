/**
 * A release as the screens show it: stored facts with what the core makes of them today.
 * Read-only; computed anew for every request, so it can never be stale.
 */
import { nextMove } from '@/core/advice/next';
import type { Advice, ShotMark } from '@/core/advice/types';
import { purgeOf } from '@/core/advice/bench';
import type { ReleaseFacts } from '@/core/coffee/features';
import { LIMITS } from '@/core/limits';
import { restOn, restSpan, type Rest, type RestSpan } from '@/core/rest/rest';
import { daysBetween } from '@/core/rest/day';
import { targetSchema, type Target } from '@/core/schema/target';
import type { Shot } from '@/core/schema/shot';
import type { Db } from './database';
import { findBenchDraft, type StoredDraft } from './dialIns';
import type { House } from './house';
import { findToken, listVersions, type StoredVersion } from './publications';
import { findRelease, type StoredBatch, type StoredComponent, type StoredRelease } from './releases';
import { findSetup, type StoredSetup } from './setups';
import { listShots, listTastings, type StoredShot, type StoredTasting } from './shots';

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

export interface ReleaseView {
  readonly release: StoredRelease;
  readonly component: StoredComponent;
  readonly batch: StoredBatch;
  readonly facts: ReleaseFacts;
  readonly rest: Rest;
  readonly span: RestSpan;
  readonly bench: Bench | null;
  readonly versions: readonly Pick<StoredVersion, 'number' | 'publishedAt' | 'sha256'>[];
  readonly token: string | null;
}

/** Rest days of a batch on a day, for shots and models. A year or more counts as a year: no rule knows more. */
export function restDaysOf(batch: StoredBatch, on: string): number {
  return Math.min(LIMITS.restDays.max, Math.max(0, daysBetween(batch.roastDate, on)));
}

/** The facts of a release as the models take them. */
export function factsOf(release: StoredRelease, batch: StoredBatch, today: string): ReleaseFacts {
  return {
    id: release.id,
    roastLevel: batch.roastLevel,
    restDays: restDaysOf(batch, today),
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

/** A batch's rest on a day by the house's school. */
export function batchRest(
  batch: StoredBatch,
  house: House,
  today: string,
): { rest: Rest; span: RestSpan } {
  const roastLevel = batch.roastLevel ?? 0;
  return {
    rest: restOn({
      roastDate: batch.roastDate,
      roastLevel,
      school: house.restSchool,
      frozen: [],
      on: today,
    }),
    span: restSpan(roastLevel, house.restSchool),
  };
}

/** Everything the release page shows, or null when there is no such release. */
export function readRelease(
  db: Db,
  house: House,
  id: string,
  today: string,
): ReleaseView | null {
  const release = findRelease(db, id);
  const component = release?.components[0];
  const newest = release?.batches[0];
  if (!release || !component || !newest) return null;
  const draft = findBenchDraft(db, id);
  const batch = release.batches.find((candidate) => candidate.id === draft?.batchId) ?? newest;
  const { rest, span } = batchRest(batch, house, today);
  const setup = draft && findSetup(db, draft.setupId);
  return {
    release,
    component,
    batch,
    facts: factsOf(release, batch, today),
    rest,
    span,
    bench: draft && setup ? readBench(db, house, draft, setup, batch, span) : null,
    versions: listVersions(db, id).map(({ number, publishedAt, sha256 }) => ({
      number,
      publishedAt,
      sha256,
    })),
    token: findToken(db, id),
  };
}

function readBench(
  db: Db,
  house: House,
  draft: StoredDraft,
  setup: StoredSetup,
  batch: StoredBatch,
  span: RestSpan,
): Bench {
  const target = targetSchema.parse({
    doseG: draft.doseG,
    yieldG: draft.yieldG,
    timeS: [draft.timeLowS, draft.timeHighS],
    clock: draft.clock,
    temperatureC: draft.temperatureC,
    doseToleranceG: house.doseToleranceG,
    yieldToleranceG: house.yieldToleranceG,
    startDial: draft.startDial,
    tasteFirst: house.tasteFirst,
    openDay: Math.round(span.opens),
    roastLevel: batch.roastLevel ?? 0,
  });
  const stored = listShots(db, draft.dialInId);
  const tastings = listTastings(db, draft.dialInId);
  const advice = nextMove({
    target,
    grinder: setup.grinder,
    basket: setup.basket,
    machine: setup.machine,
    shots: stored.map((shot) => evidenceOf(shot, tastings)),
    isRevised: stored.length > 0 && stored.at(-1)!.draftId !== draft.id,
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

/** A stored shot as the advisor takes it, with its latest straight tasting. */
function evidenceOf(shot: StoredShot, tastings: readonly StoredTasting[]): Shot {
  const taste = tastings.findLast(
    (tasting) => tasting.shotId === shot.id && tasting.serving === 'straight',
  )?.scales;
  const { dial, doseG, aimDoseG, yieldG, timeS, firstDripS, clock, temperatureC } = shot;
  const { purged, purgeG, restDays, seen } = shot;
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
    taste,
  };
}

