/**
 * A release as the screens show it: stored facts with what the core makes of them today.
 * Read-only; computed anew for every request, so it can never be stale.
 */
import { nextMove } from '@/core/advice/next';
import type { Advice, NextInput, ShotMark } from '@/core/advice/types';
import { purgeOf } from '@/core/advice/judge';
import type { ReleaseFacts } from '@/core/coffee/features';
import { readRoast, type RoastReading } from '@/core/coffee/roast';
import { restOn, restSpan, type Rest, type RestSpan } from '@/core/rest/rest';
import { daysBetween } from '@/core/rest/day';
import { targetSchema, type Target } from '@/core/schema/target';
import type { Shot } from '@/core/schema/shot';
import { METRIC, type Units } from '@/core/units';
import type { Db } from '@/data/database';
import { findBenchDraft, type StoredDraft } from '@/data/dialIns';
import type { House } from '@/data/house';
import { listMarks, type BatchMark } from '@/data/marks';
import {
  findAddress,
  listVersions,
  type PublicAddress,
  type StoredVersion,
} from '@/data/publications';
import { findRelease, type StoredBatch, type StoredRelease } from '@/data/releases';
import { findSetup, type StoredSetup } from '@/data/setups';
import { factsToday } from './facts';
import { listShots, listSpent, type StoredShot } from '@/data/shots';
import { listTastings, type StoredTasting } from '@/data/tastings';

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

export type VersionView = Pick<
  StoredVersion,
  'id' | 'number' | 'publishedAt' | 'publishedBy' | 'draftId'
>;

export interface ReleaseView {
  readonly release: StoredRelease;
  /** Every batch, newest roast first. */
  readonly batches: readonly BatchView[];
  /** The batch on the bench, or the newest. */
  readonly batch: BatchView;
  readonly facts: ReleaseFacts;
  readonly bench: Bench | null;
  readonly versions: readonly VersionView[];
  readonly address: PublicAddress | null;
}

/** A batch with its roast by the house's words and its rest by the house's school. */
function readBatch(db: Db, house: House, batch: StoredBatch, today: string): BatchView {
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
    marks: listMarks(db, batch.id),
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
  const batches = release.batches.map((batch) => readBatch(db, house, batch, today));
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
    versions: listVersions(db, id).map(
      ({ id: versionId, number, publishedAt, publishedBy, draftId }) => ({
        id: versionId,
        number,
        publishedAt,
        publishedBy,
        draftId,
      }),
    ),
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
  const tastings = listTastings(db, draft.dialInId);
  const stored = listShots(db, draft.dialInId).map((shot) => ({
    ...shot,
    tastings: tastings.filter(({ shotId }) => shotId === shot.id),
  }));
  const advice = nextMove(askedOf({ target, setup, shots: stored, draft }, units));
  const shots = stored.map((shot, i) => ({ ...shot, mark: advice.marks[i]! }));
  const spentG = stored.reduce(
    (sum, shot) => sum + shot.doseG + purgeOf(shot, setup.grinder.retentionG),
    0,
  );
  return { draft, setup, target, shots, advice, spentG };
}

type AskedShot = Omit<BenchShot, 'mark'>;

/** The question the advice of a bench answers; the words of the answer are said in `units`. */
export function askedOf(
  {
    target,
    setup,
    shots,
    draft,
  }: Pick<Bench, 'target' | 'setup' | 'draft'> & { shots: readonly AskedShot[] },
  units: Units,
): NextInput {
  return {
    target,
    grinder: setup.grinder,
    basket: setup.basket,
    machine: setup.machine,
    shots: shots.map((shot) => advisedShot(shot, shot.tastings)),
    targetFrom: shots.findLastIndex((shot) => shot.draftId !== draft.id) + 1,
    units,
  };
}

/** What a shot of a recipe is judged against. */
export function targetOf(
  house: House,
  draft: StoredDraft,
  { roast, opensOn }: { readonly roast: RoastReading; readonly opensOn: number },
): Target {
  return targetSchema.parse({
    ...draft.recipe,
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
  return { ...shot, taste };
}
