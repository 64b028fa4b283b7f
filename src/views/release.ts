/**
 * A release as the screens show it: stored facts with what the core makes of them today.
 * Read-only; computed anew for every request, so it can never be stale.
 */
import { benchQuestion, judgingOf, shotsOfRecipe, targetOf } from '@/core/advice/benchQuestion';
import { nextMove } from '@/core/advice/next';
import { grindFeatures } from '@/core/advice/pastDialIn';
import type { NextInput } from '@/core/advice/types';
import { purgeOf } from '@/core/advice/judge';
import type { ReleaseFacts } from '@/core/coffee/features';
import { readRoast } from '@/core/coffee/roast';
import { restOn, spanOf } from '@/core/rest/rest';
import { groupBy } from '@/core/groupBy';
import { runToEnd } from '@/core/runToEnd';
import { isRoastAhead } from '@/core/state/batchAge';
import { coffeeLeftG } from '@/core/state/coffeeLeft';
import { publicState, type PublicState } from '@/core/state/recipeState';
import type { Db } from '@/data/database';
import { findBenchDrafts, type StoredDraft } from '@/data/dialIns';
import type { House } from '@/data/house';
import { marksOfBatches, type BatchMark } from '@/data/marks';
import { cafesServing } from '@/data/partners';
import { heldCards } from '@/data/printed';
import {
  addressesOfReleases,
  versionsOfReleases,
  type PublicAddress,
  type VersionLine,
} from '@/data/publications';
import { findReleases, type StoredBatch, type StoredRelease } from '@/data/releases';
import { allSetups, type StoredSetup } from '@/data/setups';
import { shotsOfDialIns, spentOfBatches, type Spent, type StoredShot } from '@/data/shots';
import { tastingsOfDialIns, type StoredTasting } from '@/data/tastings';
import { factsToday } from './facts';
import type { CalibrationPeriod } from '@/core/grinder/calibrationPeriod';
import { listPeriods } from '@/data/calibrationPeriods';
import { memoryFor } from './grinderMemory';
import { carryOf, newBatchOf, type NewBatch } from './newBatch';
import type { BatchView, Bench } from './shown';

export type { BatchView, Bench, BenchShot } from './shown';

export interface ReleaseView {
  /** The day it is shown on. */
  readonly today: string;
  readonly release: StoredRelease;
  /** Every batch, newest roast first. */
  readonly batches: readonly BatchView[];
  /** The batch on the bench, or the newest; another where somebody looks at that one. */
  readonly batch: BatchView;
  readonly facts: ReleaseFacts;
  readonly bench: Bench | null;
  /** The recipe on the bench; not the one of `bench` where somebody looks at another batch. */
  readonly benchDraftId: string | null;
  readonly versions: readonly VersionLine[];
  /** What is public, against the bench. */
  readonly published: PublicState | null;
  readonly address: PublicAddress | null;
  /** Why a planned card did not go out on its day. */
  readonly heldCard: string | null;
  /** Cafés that have it on their sheet. */
  readonly cafes: number;
  /** A newer batch that can be pulled on the last recipe; null where none waits. */
  readonly newBatch: NewBatch | null;
}

/** A batch with its roast by the house's words and its rest by the house's school. */
function readBatch(
  house: House,
  release: StoredRelease,
  batch: StoredBatch,
  { today, marks, spent }: { today: string; marks: readonly BatchMark[]; spent: readonly Spent[] },
): BatchView {
  const roast = readRoast(batch, house.roastMap);
  const spanAsked = { roastLevel: roast.level ?? 0, school: house.restSchool, span: release.span };
  const spentG = spent.reduce((sum, shot) => sum + shot.doseG + purgeOf(shot, shot.retentionG), 0);
  return {
    ...batch,
    roast,
    rest: restOn({
      roastDate: batch.roastDate,
      ...spanAsked,
      frozen: batch.frozen,
      // A clock set back must not close the page of a batch roasted "tomorrow"; that it is so is said.
      on: isRoastAhead(batch.roastDate, today) ? batch.roastDate : today,
    }),
    span: spanOf(spanAsked),
    marks,
    leftG: coffeeLeftG({ sampleG: batch.sampleG, bags: batch.samples, spentG }),
  };
}

export interface Reader {
  readonly today: string;
  /** Another batch or dial-in than the one on the bench. */
  readonly lookedAt?: LookedAt | undefined;
}

export interface LookedAt {
  readonly batchId: string;
  /** The newest recipe of its dial-in; null where nothing was pulled of the batch. */
  readonly draft: StoredDraft | null;
}

/** Releases judged between two steps. */
const JUDGED_AT_ONCE = 5;

/**
 * Everything the pages of these releases show, the newest first: as many statements as for one, and the
 * judging in steps.
 */
export function* releasesInSteps(
  db: Db,
  house: House,
  ids: readonly string[],
  { today, lookedAt }: Reader,
): Generator<void, ReleaseView[]> {
  const releases = findReleases(db, ids);
  const batchIds = releases.flatMap(({ batches }) => batches.map(({ id }) => id));
  const marksOf = marksOfBatches(db, batchIds);
  const spentOf = spentOfBatches(db, batchIds);
  const onBench = findBenchDrafts(db, ids);
  const benchDraftOf = new Map(onBench.map(({ releaseId, id }) => [releaseId, id]));
  const drafts = lookedAt ? [lookedAt.draft].filter((draft) => draft !== null) : onBench;
  const draftOf = new Map(drafts.map((draft) => [draft.releaseId, draft]));
  const setups = allSetups(db);
  const dialInIds = drafts.map(({ dialInId }) => dialInId);
  const shotsOf = shotsOfDialIns(db, dialInIds);
  const tastingsOf = tastingsOfDialIns(db, dialInIds);
  const erasOf = groupBy(listPeriods(db), ({ grinderId }) => grinderId);
  const versionsOf = versionsOfReleases(db, ids);
  const addressOf = addressesOfReleases(db, ids);
  const heldOf = heldCards(db, ids);
  const cafesOf = cafesServing(db, ids);
  const views: ReleaseView[] = [];
  for (const [i, release] of releases.entries()) {
    if (i % JUDGED_AT_ONCE === 0) yield;
    const batches = release.batches.map((batch) =>
      readBatch(house, release, batch, {
        today,
        marks: marksOf(batch.id),
        spent: spentOf(batch.id),
      }),
    );
    const asked = draftOf.get(release.id);
    const batchId = lookedAt?.batchId ?? asked?.batchId;
    const found = batches.find(({ id }) => id === batchId);
    // The recipe of a batch that is gone is not judged on another one.
    const draft = found && asked;
    const batch = found ?? batches[0];
    if (!batch) continue;
    const setup = draft && setups.get(draft.setupId);
    const facts = factsToday(release, batch, today);
    const versions = versionsOf(release.id);
    const benchDraftId = benchDraftOf.get(release.id) ?? null;
    const shots = draft ? shotsOf(draft.dialInId) : [];
    const bench =
      draft && setup
        ? readBench(house, {
            release,
            draft,
            setup,
            batch,
            learnt: learntFor(db, house, { release, draft, setup, batch, facts, today, shots }),
            shots,
            tastings: tastingsOf(draft.dialInId),
            periods: erasOf.get(setup.grinder.id) ?? [],
            isOnBench: draft.id === benchDraftId,
          })
        : null;
    const address = addressOf(release.id)[0] ?? null;
    views.push({
      today,
      release,
      batches,
      batch,
      facts,
      bench,
      benchDraftId,
      versions,
      published: publicState(versions[0] ?? null, {
        isWithdrawn: address?.withdrawnAt != null,
        draft: draft ?? null,
      }),
      address,
      heldCard: heldOf(release.id),
      cafes: cafesOf(release.id),
      newBatch: lookedAt
        ? null
        : newBatchOf(db, house, {
            release,
            batches,
            bench,
            published: versions[0] ?? null,
            isWrong: address?.isWrong ?? false,
            today,
          }),
    });
  }
  return views;
}

/** Everything the release page shows, or null when there is no such release. */
export function readRelease(db: Db, house: House, id: string, reader: Reader): ReleaseView | null {
  return runToEnd(releasesInSteps(db, house, [id], reader))[0] ?? null;
}

type Learnt = Pick<NextInput, 'memory' | 'coffee' | 'carry'>;

/** What the house has learnt of this grinder and of this coffee, and what it goes by. */
export function learntFor(
  db: Db,
  house: House,
  asked: Pick<Bench, 'draft' | 'setup'> & {
    readonly release: StoredRelease;
    readonly batch: BatchView;
    readonly shots: readonly Pick<StoredShot, 'restDays'>[];
    readonly facts: ReleaseFacts;
    readonly today: string;
  },
): Learnt {
  return {
    ...memoryFor(db, house, asked.draft, asked.setup),
    coffee: grindFeatures(asked.facts, asked.draft.style),
    carry: carryOf(db, house, { ...asked, restDays: asked.batch.rest.restDays }) ?? undefined,
  };
}

/** So many of the newest shots of a dial-in are shown, and judged: more teach the advice nothing. */
const MOST_SHOTS = 150;

function readBench(
  house: House,
  {
    release,
    draft,
    setup,
    batch,
    learnt,
    shots: all,
    tastings,
    periods,
    isOnBench,
  }: {
    release: StoredRelease;
    draft: StoredDraft;
    setup: StoredSetup;
    batch: BatchView;
    learnt: Learnt;
    shots: readonly StoredShot[];
    tastings: readonly StoredTasting[];
    periods: readonly CalibrationPeriod[];
    isOnBench: boolean;
  },
): Bench {
  const target = targetOf(house, draft, { roast: batch.roast, opensOn: batch.span.opens });
  const cupsOf = groupBy(tastings, ({ shotId }) => shotId);
  const before = Math.max(0, all.length - MOST_SHOTS);
  const stored = all.slice(before).map((shot, i) => ({
    ...shot,
    number: before + i + 1,
    tastings: cupsOf.get(shot.id) ?? [],
  }));
  const judging = judgingOf(house, release);
  const adviceOn = (shots: readonly (typeof stored)[number][]) =>
    nextMove({ ...benchQuestion({ target, setup, shots, draft, judging, periods }), ...learnt });
  const forRecipe = shotsOfRecipe(stored, target, draft.drink);
  const advice = adviceOn(forRecipe);
  const marks = forRecipe.length === stored.length ? advice.marks : adviceOn(stored).marks;
  const shots = stored.map((shot, i) => ({ ...shot, mark: marks[i]! }));
  const spentG = all.reduce(
    (sum, shot) => sum + shot.doseG + purgeOf(shot, setup.grinder.retentionG),
    0,
  );
  return {
    draft,
    isOnBench,
    setup,
    target,
    judging,
    periods,
    shots,
    shotCount: all.length,
    advice,
    spentG,
  };
}
