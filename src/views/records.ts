/**
 * What years of notes say, read once and kept until what it rests on changes: every dial-in with what it
 * cost, every tasting with the coffee it was of. The decided recipes come from the house model.
 */
import { purgeOf } from '@/core/advice/judge';
import { shotsToConfirmed } from '@/core/advice/confirmedAt';
import { readRoast } from '@/core/coffee/roast';
import { restSpan } from '@/core/rest/rest';
import type { BrewStyle, Process } from '@/core/vocabulary';
import { benchMinutes } from '@/core/patterns/benchMinutes';
import type { Db } from '@/data/database';
import { findDraft, listDialIns, type StoredDialIn } from '@/data/dialIns';
import type { House } from '@/data/house';
import { kept } from '@/data/kept';
import { advisedShot, targetOf } from './release';
import { findRelease, type StoredBatch, type StoredRelease } from '@/data/releases';
import { findSetup } from '@/data/setups';
import { listShots } from '@/data/shots';
import { listTastings } from '@/data/tastings';
import { dayOf } from '@/data/today';

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
  /** Shots and grams until first confirmed, or all of them when it never was. */
  readonly shots: number;
  readonly spentG: number;
  /** At the bench, breaks left out. */
  readonly minutes: number;
  readonly isConfirmed: boolean;
}

export interface Cup extends About {
  readonly liking: number | undefined;
  readonly promised: readonly string[];
  readonly found: readonly string[];
}

export interface Records {
  readonly dialIns: readonly DialInCost[];
  readonly cups: readonly Cup[];
}

/** Every dial-in and every cup, oldest first. */
export function readRecords(db: Db, house: House): Records {
  return kept(db, { name: 'records', restsOn: RESTS_ON }, () => {
    const found = listDialIns(db).map((dialIn) => readDialIn(db, house, dialIn));
    const byDay = (a: About, b: About) => a.day.localeCompare(b.day);
    return {
      dialIns: found.flatMap(({ cost }) => cost ?? []).sort(byDay),
      cups: found.flatMap(({ cups }) => cups).sort(byDay),
    };
  });
}

const RESTS_ON = ['house', 'equipment', 'release', 'batch', 'recipe', 'shot', 'tasting'] as const;

function readDialIn(
  db: Db,
  house: House,
  { id, releaseId, batchId, setupId, style }: StoredDialIn,
): { cost: DialInCost | null; cups: Cup[] } {
  const release = findRelease(db, releaseId);
  const batch = release?.batches.find((candidate) => candidate.id === batchId);
  const setup = findSetup(db, setupId);
  const stored = listShots(db, id);
  if (!release || !batch || !setup || stored.length === 0) return { cost: null, cups: [] };
  const tastings = listTastings(db, id);
  const roast = readRoast(batch, house.roastMap);
  const about = aboutOf(release, { batch, style, setupId, roastLevel: roast.level });
  const opensOn = restSpan(roast.level ?? 0, house.restSchool).opens;
  const count = shotsToConfirmed(
    setup,
    stored.map((shot) => ({ shot: advisedShot(shot, tastings), recipe: shot.draftId })),
    (draftId) => targetOf(house, findDraft(db, draftId)!, { roast, opensOn }),
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
      isConfirmed: count !== null,
    },
    cups: tastings.map(({ tastedAt, scales, notesFound }) => ({
      ...about,
      day: dayOf(tastedAt),
      liking: scales.liking,
      promised: release.promisedNotes,
      found: notesFound,
    })),
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
