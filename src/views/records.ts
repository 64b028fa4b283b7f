/**
 * What years of notes say, read once and kept until what it rests on changes: every dial-in with what it
 * cost, every tasting with the coffee it was of. The decided recipes come from the house model.
 */
import { CHOKED } from '@/core/choked';
import { fromPump } from '@/core/extraction/clock';
import type { PlacedCup } from '@/core/patterns/tongue';
import { runToEnd } from '@/core/runToEnd';
import { purgeOf } from '@/core/advice/judge';
import { shotsToTarget } from '@/core/advice/shotsToTarget';
import { readRoast } from '@/core/coffee/roast';
import { spanOf } from '@/core/rest/rest';
import type { BrewStyle, Process } from '@/core/vocabulary';
import { benchMinutes } from '@/core/patterns/benchMinutes';
import { groupBy } from '@/core/groupBy';
import type { Db } from '@/data/database';
import { findDraftsOf, listDialIns, type StoredDialIn, type StoredDraft } from '@/data/dialIns';
import { newestEvents } from '@/data/events';
import type { House } from '@/data/house';
import { runInSteps, cached } from '@/data/cache';
import { findReleases, type StoredBatch, type StoredRelease } from '@/data/releases';
import { allSetups, type StoredSetup } from '@/data/setups';
import { shotsOfDialIns, type StoredShot } from '@/data/shots';
import { tastingsOfDialIns, type StoredTasting } from '@/data/tastings';
import { dayOf } from '@/data/today';
import { carryOf } from './newBatch';
import { advisedShot, judgingOf, targetOf } from '@/core/advice/benchQuestion';

/** What every point carries to be filtered by, and to open its release. */
export interface About {
  readonly releaseId: string;
  readonly name: string;
  /** yyyy-mm-dd. */
  readonly day: string;
  readonly style: BrewStyle;
  readonly setupId: string;
  /** The processes of its components. */
  readonly processes: readonly Process[];
  readonly varieties: readonly string[];
  readonly roastLevel: number | null;
}

export interface DialInCost extends About {
  /** Shots and grams until first on target, or all of them when it never was. */
  readonly shots: number;
  readonly spentG: number;
  /** At the bench, breaks left out. */
  readonly minutes: number;
  readonly isOnTarget: boolean;
}

export interface Cup extends About {
  readonly liking: number | undefined;
  readonly promised: readonly string[];
  readonly found: readonly string[];
  /** Of the batch when it was pulled; null where its shot is gone. */
  readonly restDays: number | null;
  /** Where it was pulled, of a straight cup: for what moves the tongue. */
  readonly placed: PlacedCup | null;
}

export interface Records {
  readonly dialIns: readonly DialInCost[];
  readonly cups: readonly Cup[];
}

/** Every dial-in and every cup, oldest first. */
export function readRecords(db: Db, house: House): Records {
  return cached(db, { name: 'records', tags: RECORDS_REST_ON }, () => {
    const found = recordsByRelease(db, house);
    const byDay = (a: About, b: About) => (a.day < b.day ? -1 : Number(a.day > b.day));
    return {
      dialIns: found.flatMap(({ dialIns }) => dialIns).sort(byDay),
      cups: found.flatMap(({ cups }) => cups).sort(byDay),
    };
  });
}

export const RECORDS_REST_ON = [
  'house',
  'equipment',
  'release',
  'batch',
  'recipe',
  'shot',
  'tasting',
] as const;
/** A change of these may touch every release. */
const OF_ALL = ['house', 'equipment'] as const;

interface ReleaseRecords extends Records {
  /** The newest event of the release they were read at. */
  readonly stamp: number;
}

/** Reads what is not known yet, in steps: other requests are answered in between. */
export async function prepareRecords(db: Db, house: House): Promise<void> {
  await runInSteps(readStale(db, house, staleRecords(db)));
}

function recordsByRelease(db: Db, house: House): ReleaseRecords[] {
  const records = staleRecords(db);
  runToEnd(readStale(db, house, records));
  return [...records.stamps.keys()].map((id) => records.known.get(id)!);
}

interface KnownRecords {
  readonly known: Map<string, ReleaseRecords>;
  readonly stamps: ReadonlyMap<string, number>;
  readonly stale: readonly string[];
}

/**
 * Records by release. Ten years of dial-ins do not change because one shot is logged: only releases
 * something was done to since are read again.
 */
function staleRecords(db: Db): KnownRecords {
  const known = cached(
    db,
    { name: 'records by release', tags: OF_ALL },
    () => new Map<string, ReleaseRecords>(),
  );
  const stamps = newestEvents(db);
  const stale = [...stamps].flatMap(([id, stamp]) => (known.get(id)?.stamp === stamp ? [] : [id]));
  return { known, stamps, stale };
}

/** So many releases are read at once, and so many judged between two steps. */
const READ_AT_ONCE = 600;
const JUDGED_AT_ONCE = 50;

function* readStale(
  db: Db,
  house: House,
  { known, stamps, stale }: KnownRecords,
): Generator<void, void> {
  const setups = allSetups(db);
  for (let at = 0; at < stale.length; at += READ_AT_ONCE) {
    const some = stale.slice(at, at + READ_AT_ONCE);
    const dialIns = listDialIns(db, some);
    const ids = dialIns.map(({ id }) => id);
    const shotsOf = shotsOfDialIns(db, ids);
    yield;
    const tastingsOf = tastingsOfDialIns(db, ids);
    // After the shots: a recipe made between two steps is known before a shot of it is.
    const drafts = findDraftsOf(db, some);
    yield;
    const releases = new Map(findReleases(db, some).map((release) => [release.id, release]));
    const sources: Sources = { db, house, setups, drafts, shotsOf, tastingsOf };
    const dialInsOf = groupBy(dialIns, ({ releaseId }) => releaseId);
    for (const [i, id] of some.entries()) {
      if (i % JUDGED_AT_ONCE === 0) yield;
      const release = releases.get(id);
      const found = (release ? (dialInsOf.get(id) ?? []) : []).map((dialIn) =>
        readDialIn(sources, release!, dialIn),
      );
      known.set(id, {
        stamp: stamps.get(id)!,
        dialIns: found.flatMap(({ cost }) => cost ?? []),
        cups: found.flatMap(({ cups }) => cups),
      });
    }
  }
}

interface Sources {
  readonly db: Db;
  readonly house: House;
  readonly setups: ReadonlyMap<string, StoredSetup>;
  readonly drafts: ReadonlyMap<string, StoredDraft>;
  readonly shotsOf: (dialInId: string) => readonly StoredShot[];
  readonly tastingsOf: (dialInId: string) => readonly StoredTasting[];
}

function readDialIn(
  { db, house, setups, drafts, shotsOf, tastingsOf }: Sources,
  release: StoredRelease,
  { id, batchId, setupId, style }: StoredDialIn,
): { cost: DialInCost | null; cups: Cup[] } {
  const batch = release.batches.find((candidate) => candidate.id === batchId);
  const setup = setups.get(setupId);
  const stored = shotsOf(id);
  if (!batch || !setup || stored.length === 0) return { cost: null, cups: [] };
  const tastings = tastingsOf(id);
  const cupsOf = groupBy(tastings, ({ shotId }) => shotId);
  const shotOf = new Map(stored.map((shot) => [shot.id, shot]));
  const roast = readRoast(batch, house.roastMap);
  const about = aboutOf(release, { batch, style, setupId, roastLevel: roast.level });
  const opensOn = spanOf({
    roastLevel: roast.level ?? 0,
    school: house.restSchool,
    span: release.span,
  }).opens;
  const first = drafts.get(stored[0]!.draftId)!;
  const carry = carryOf(db, house, {
    release,
    draft: first,
    batch: { ...batch, roast },
    restDays: stored[0]!.restDays,
    shots: stored.slice(0, 1),
    today: dayOf(stored[0]!.pulledAt),
  });
  const count = shotsToTarget(
    { ...setup, ...judgingOf(house, release), carry: carry ?? undefined },
    stored.map((shot) => ({
      shot: advisedShot(shot, cupsOf.get(shot.id) ?? []),
      recipe: shot.draftId,
    })),
    (draftId) => targetOf(house, drafts.get(draftId)!, { roast, opensOn }),
  );
  const spent = stored.slice(0, count ?? stored.length);
  return {
    cost: {
      ...about,
      day: dayOf(stored[0]!.pulledAt),
      shots: spent.length,
      spentG: spent.reduce(
        (sum, shot) => sum + shot.doseG + purgeOf(shot, setup.grinder.retentionG),
        0,
      ),
      minutes: benchMinutes(spent.map(({ pulledAt }) => pulledAt)),
      isOnTarget: count !== null,
    },
    cups: tastings.map((tasting) => ({
      ...about,
      day: dayOf(tasting.tastedAt),
      liking: tasting.scales.liking,
      promised: release.promisedNotes,
      found: tasting.notesFound,
      restDays: shotOf.get(tasting.shotId)?.restDays ?? null,
      placed: placedOf(release.id, tasting, shotOf.get(tasting.shotId)),
    })),
  };
}

/** A straight cup of a shot that ran, where its shot really was. */
function placedOf(
  releaseId: string,
  { serving, scales, tastedById }: StoredTasting,
  shot: StoredShot | undefined,
): PlacedCup | null {
  if (!shot || serving !== 'straight' || shot.yieldG < CHOKED.underG) return null;
  const { liking, sweetness, sharpness, bitterness } = scales;
  const known = { liking, sweetness, sharpness, bitterness };
  return {
    releaseId,
    taster: tastedById,
    ratio: shot.yieldG / shot.doseG,
    temperatureC: shot.temperatureC,
    timeS: fromPump(shot.timeS, shot.clock, shot.firstDripS),
    restDays: shot.restDays,
    scores: Object.fromEntries(
      Object.entries(known).filter(([, value]) => value !== undefined),
    ) as PlacedCup['scores'],
  };
}

function aboutOf(
  release: StoredRelease,
  {
    batch,
    ...rest
  }: { batch: StoredBatch; style: BrewStyle; setupId: string; roastLevel: number | null },
): About {
  return {
    ...rest,
    releaseId: release.id,
    name: release.name,
    day: batch.roastDate,
    processes: release.components.flatMap(({ process }) => (process ? [process] : [])),
    varieties: varietiesOf(release),
  };
}

/** The varieties of its components, as somebody wrote them. */
export function varietiesOf({ components }: Pick<StoredRelease, 'components'>): string[] {
  return components.flatMap(({ variety }) => (variety === '' ? [] : [variety]));
}
