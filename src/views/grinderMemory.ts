/**
 * What a grinder's past dial-ins teach the one on the bench: those whose recipe was decided, simulated shots
 * apart. Styles teach each other, but for the soak: half a minute of waiting makes another line of it. Kept until one more is decided or an old one is corrected, so that logging
 * a shot learns nothing anew. A dial-in that is decided itself is judged without: it would prove itself.
 */
import { createHash } from 'node:crypto';
import { grindFeatures, pastDialIn } from '@/core/advice/pastDialIn';
import type { NextInput } from '@/core/advice/types';
import { readRoast } from '@/core/coffee/roast';
import { slopePrior } from '@/core/grinder/dial';
import {
  learningGrinder,
  REMEMBERED_DIAL_INS,
  type GrinderMemory,
  type PastDialIn,
} from '@/core/grinderMemory/memory';
import { seekingRetention, type RetentionHint } from '@/core/grinderMemory/retentionHint';
import { taughtBy, type GrinderLessons } from '@/core/grinderMemory/taught';
import { spanOf } from '@/core/rest/rest';
import { runToEnd } from '@/core/runToEnd';
import { completeDraft, type StoredDraft } from '@/data/dialIns';
import { prepared, type Db } from '@/data/database';
import { periodsOf } from '@/data/calibrationPeriods';
import { dialToday, type CalibrationPeriod } from '@/core/grinder/calibrationPeriod';
import type { Shot } from '@/core/schema/shot';
import { findPart, listParts, type StoredGrinder } from '@/data/equipment';
import type { House } from '@/data/house';
import { cached, cachedInSteps, fillCache, type CacheOptions } from '@/data/cache';
import { findReleases } from '@/data/releases';
import { allSetups, type StoredSetup } from '@/data/setups';
import { shotsOfDialIns } from '@/data/shots';
import { factsOf } from './facts';
import { DECIDED } from './history';
import { MODEL_TAGS } from './houseModel';
import { advisedShot, targetOf } from '@/core/advice/benchQuestion';

const OF_GRINDER = `SELECT q.* FROM (${DECIDED}) q
  JOIN setup u ON u.id = q.setupId
  JOIN release c ON c.id = q.releaseId AND c.removed_at IS NULL
  WHERE u.grinder_id = ? AND (q.style = 'soakFirst') = ?
  ORDER BY q.decidedAt DESC, q.id LIMIT ${REMEMBERED_DIAL_INS}`;

/** The memory for a dial-in, or nothing where there is none or it must not be used. */
export function memoryFor(
  db: Db,
  house: House,
  draft: StoredDraft,
  setup: StoredSetup,
): Pick<NextInput, 'memory'> {
  const { memory, dialIns } = memoryOf(db, house, setup.grinder, draft.style);
  return memory.dialIns === 0 || dialIns.has(draft.dialInId) ? {} : { memory };
}

/** What a grinder taught in a style, for a question outside a dial-in. */
export function grinderMemoryOf(
  db: Db,
  house: House,
  grinder: StoredGrinder,
  style: StoredDraft['style'],
): GrinderMemory {
  return memoryOf(db, house, grinder, style).memory;
}

export interface GrinderLesson extends GrinderLessons {
  /** What it seems to keep, where that is not what its profile says. */
  readonly hint: RetentionHint | null;
}

/** What each grinder has taught in the style of the house, by its id; those that taught nothing are missing. */
export async function listTaught(
  db: Db,
  house: House,
): Promise<Readonly<Record<string, GrinderLesson>>> {
  await renewGrinderMemories(db, house);
  const lessons: Record<string, GrinderLesson> = {};
  for (const grinder of listParts(db, 'grinder')) {
    const style = house.brewStyle;
    const taught = taughtBy(memoryOf(db, house, grinder, style).memory, grinder);
    if (taught === null) continue;
    const options = { ...keptAs(grinder.id, style), name: 'retention hint' };
    const seeking = () => {
      const { pastWith } = gather(db, house, grinder, style);
      return seekingRetention(pastWith, slopePrior(grinder), grinder.retentionG);
    };
    await fillCache(db, options, seeking);
    lessons[grinder.id] = { ...taught, hint: cached(db, options, () => runToEnd(seeking())) };
  }
  return lessons;
}

interface Known {
  readonly memory: GrinderMemory;
  /** What it was learnt from. */
  readonly dialIns: ReadonlySet<string>;
}

const keyOf = (grinderId: string, style: StoredDraft['style']) =>
  `${grinderId} ${style === 'soakFirst' ? 'soaked' : 'flowing'}`;

const keptAs = (grinderId: string, style: StoredDraft['style']): CacheOptions => ({
  name: 'grinder memory',
  tags: MODEL_TAGS,
  key: keyOf(grinderId, style),
});

function memoryOf(
  db: Db,
  house: House,
  grinder: StoredGrinder,
  style: StoredDraft['style'],
): Known {
  return cached(db, keptAs(grinder.id, style), () =>
    runToEnd(learningMemory(db, house, grinder, style)),
  );
}

const MARK: CacheOptions = { name: 'grinder memories are fresh', tags: MODEL_TAGS };

/**
 * Learns anew, in steps, what no longer holds: asked for after a command, so that whoever looks next finds it
 * learnt. Nothing is done while all of it holds.
 */
export async function renewGrinderMemories(db: Db, house: House): Promise<void> {
  await fillCache(db, MARK, function* () {
    const used = prepared(
      db,
      `SELECT DISTINCT u.grinder_id AS grinderId, q.style AS style FROM (${DECIDED}) q
       JOIN setup u ON u.id = q.setupId`,
    ).all() as { grinderId: string; style: StoredDraft['style'] }[];
    yield;
    return used;
  });
  const used = cached(db, MARK, () => [] as { grinderId: string; style: StoredDraft['style'] }[]);
  for (const { grinderId, style } of used) {
    const grinder = findPart(db, 'grinder', grinderId);
    if (grinder)
      await fillCache(db, keptAs(grinderId, style), () =>
        learningMemory(db, house, grinder, style),
      );
  }
}

/** Learns from the dial-ins as they stand; where their rows are what they were, nothing is learnt again. */
function* learningMemory(
  db: Db,
  house: House,
  grinder: StoredGrinder,
  style: StoredDraft['style'],
): Generator<unknown, Known> {
  const { dialIns, referenceDial, pastWith } = gather(db, house, grinder, style);
  const past = pastWith(grinder.retentionG);
  const slope = slopePrior(grinder);
  const rows = JSON.stringify([slope, referenceDial, past]);
  // It rests on its rows alone: whatever else the house changed, the same rows teach the same.
  const key = createHash('sha256').update(rows).digest('hex');
  const memory = yield* cachedInSteps(db, { name: 'grinder lessons', tags: [], key }, () =>
    learningGrinder(past, slope, referenceDial),
  );
  return { memory, dialIns };
}

/** A grinder's decided dial-ins in a style, as rows for any retention it might have. */
function gather(db: Db, house: House, grinder: StoredGrinder, style: StoredDraft['style']) {
  const drafts = prepared(db, OF_GRINDER)
    .all(grinder.id, style === 'soakFirst' ? 1 : 0)
    .map(completeDraft)
    .reverse();
  const dialInIds = drafts.map(({ dialInId }) => dialInId);
  const shotsOf = shotsOfDialIns(db, dialInIds);
  const periods = periodsOf(db, grinder.id);
  const releases = new Map(
    findReleases(
      db,
      drafts.map(({ releaseId }) => releaseId),
    ).map((release) => [release.id, release]),
  );
  const setups = allSetups(db);
  const referenceDial = grinder.referenceDial ?? firstStart(drafts, periods) ?? grinder.min;
  const found = drafts.flatMap((draft) => {
    const release = releases.get(draft.releaseId);
    const batch = release?.batches.find(({ id }) => id === draft.batchId);
    const basket = setups.get(draft.setupId)?.basket;
    if (!release || !batch || !basket) return [];
    const roast = readRoast(batch, house.roastMap);
    const opensOn = spanOf({
      roastLevel: roast.level ?? 0,
      school: house.restSchool,
      span: release.span,
    }).opens;
    const shots = shotsOf(draft.dialInId)
      .filter(({ isSimulated }) => !isSimulated)
      .flatMap((shot) => onTodaysDial(advisedShot(shot, []), shot.pulledAt, periods));
    const features = grindFeatures(
      factsOf(release, { ...batch, roast, restDays: undefined }),
      draft.style,
    );
    return [{ target: targetOf(house, draft, { roast, opensOn }), basket, shots, features }];
  });
  return {
    dialIns: new Set(dialInIds),
    referenceDial,
    pastWith: (retentionG: number): PastDialIn[] =>
      found.map(({ features, ...dialIn }) =>
        pastDialIn({ ...dialIn, grinder: { ...grinder, retentionG } }, features, referenceDial),
      ),
  };
}

/** Where the first dial-in of this period began, as its dial reads today. */
function firstStart(
  drafts: readonly StoredDraft[],
  periods: readonly CalibrationPeriod[],
): number | undefined {
  const starts = drafts.map(({ startDial, createdAt }) => dialToday(startDial, createdAt, periods));
  return starts.find((dial) => dial !== null) ?? undefined;
}

/** A shot with its dial as it reads today; nothing where new burrs or an unknown zero point lie between. */
export function onTodaysDial(
  shot: Shot,
  pulledAt: string,
  periods: readonly CalibrationPeriod[],
): Shot[] {
  const dial = dialToday(shot.dial, pulledAt, periods);
  return dial === null ? [] : [{ ...shot, dial }];
}
