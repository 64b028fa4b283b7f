/** What Find answers to the question in the address. Server only. */
import { ROAST_BANDS, roastBandOf, type RoastBand } from '@/core/coffee/roastBand';
import { readRoast } from '@/core/coffee/roast';
import { runToEnd } from '@/core/runToEnd';
import { PROCESSES, STYLES } from '@/core/vocabulary';
import type { Db } from '@/data/database';
import {
  findWords,
  listRoastYears,
  refreshIndex,
  type FindableKind,
  type FindFilters,
  type FoundRow,
} from '@/data/findable';
import { runInSteps, cached } from '@/data/cache';
import type { House } from '@/data/house';
import { whereaboutsOf } from '@/data/dialIns';
import { findRelease, findReleaseNames, type ReleaseName } from '@/data/releases';

export interface Asked extends FindFilters {
  readonly words: string;
  readonly roast: RoastBand | null;
}

export interface Hit extends Omit<FoundRow, 'rowId'> {
  readonly id: string;
  /** The page where it stands. */
  readonly href: string;
}

export interface FindView {
  readonly asked: Asked;
  readonly hits: readonly Hit[];
  /** There may be more than are shown. */
  readonly isCut: boolean;
  readonly years: readonly string[];
}

const MOST_HITS = 60;
const MOST_CHARACTERS = 200;

type Search = Readonly<Record<string, string | string[] | undefined>>;

/** A filter that is none is let go, so that an old address still opens. */
export function readAskedFind(search: Search): Asked {
  const text = (key: string) => {
    const value = search[key];
    return typeof value === 'string' ? value.trim().slice(0, MOST_CHARACTERS) : '';
  };
  const word = <T extends string>(words: readonly T[], key: string) =>
    words.find((known) => known === text(key)) ?? null;
  return {
    words: text('q'),
    process: word(PROCESSES, 'process'),
    roast: word(ROAST_BANDS, 'roast'),
    variety: text('variety') || null,
    style: word(STYLES, 'style'),
    year: /^\d{4}$/.test(text('year')) ? text('year') : null,
  };
}

export function readFind(db: Db, house: House, search: Search): FindView {
  const asked = readAskedFind(search);
  const { words, roast, ...filters } = asked;
  const isEmpty = words === '' && roast === null && Object.values(filters).every((value) => !value);
  const hits = isEmpty ? [] : find(db, house, asked, MOST_HITS + 1);
  return {
    asked,
    hits: hits.slice(0, MOST_HITS),
    isCut: hits.length > MOST_HITS,
    years: cached(db, { name: 'roast years', tags: ['release', 'batch'] }, () =>
      listRoastYears(db),
    ),
  };
}

/** Indexes in steps what is not indexed yet: others are answered in between. */
export async function prepareFind(db: Db): Promise<void> {
  await runInSteps(refreshIndex(db));
}

/** What a search field offers while somebody types. */
export interface QuickFind {
  readonly names: readonly ReleaseName[];
  readonly hits: readonly Hit[];
}

const MOST_NAMES = 12;
const MOST_QUICK_HITS = 12;

/** Releases by name, then whatever holds the words. */
export function readQuickFind(db: Db, house: House, search: Search): QuickFind {
  const asked = readAskedFind(search);
  return {
    names: findReleaseNames(db, asked.words, MOST_NAMES),
    hits: asked.words === '' ? [] : find(db, house, asked, MOST_QUICK_HITS),
  };
}

/** Hits for words and filters; the roast is told by the house's own words and colours. */
function find(db: Db, house: House, { words, roast, ...filters }: Asked, most: number): Hit[] {
  runToEnd(refreshIndex(db));
  const isOfRoast = roastFilter(db, house, roast);
  const rows = findWords(db, words, filters, roast === null ? most : MOST_BEFORE_ROAST)
    .filter(({ releaseId }) => isOfRoast(releaseId))
    .slice(0, most);
  const placeOf = whereaboutsOf(
    db,
    rows.map(({ rowId }) => rowId),
  );
  return rows.map(({ rowId, ...row }) => ({
    ...row,
    id: `${row.kind} ${rowId}`,
    href: hrefOf(row, placeOf.get(rowId)?.dialInId),
  }));
}

/** So many are looked at for their roast. */
const MOST_BEFORE_ROAST = 2000;

function roastFilter(db: Db, house: House, roast: RoastBand | null) {
  const known = new Map<string, boolean>();
  return (releaseId: string | null): boolean => {
    if (roast === null) return true;
    if (releaseId === null) return false;
    if (!known.has(releaseId)) {
      const batches = findRelease(db, releaseId)?.batches ?? [];
      const levels = batches.flatMap((batch) => readRoast(batch, house.roastMap).level ?? []);
      known.set(
        releaseId,
        levels.some((level) => roastBandOf(level) === roast),
      );
    }
    return known.get(releaseId)!;
  };
}

const STAGE_OF: Record<FindableKind, string> = {
  release: 'read',
  recipe: 'start',
  shot: 'pull',
  cup: 'taste',
  card: 'publish',
  person: '',
};

/** A shot and a cup stand with the batch they are of, which may not be the one on the bench. */
function hrefOf(
  { kind, releaseId }: Pick<FoundRow, 'kind' | 'releaseId'>,
  dialInId: string | undefined,
): string {
  if (releaseId === null) return '/people';
  const page = `/releases/${releaseId}/${STAGE_OF[kind]}`;
  return dialInId === undefined ? page : `${page}?dialIn=${dialInId}`;
}
