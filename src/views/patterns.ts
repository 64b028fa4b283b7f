/** All that Patterns shows for one set of filters. Server only. */
import { effectsOf, type Effect } from '@/core/start/effects';
import { learn, outputOf } from '@/core/start/fit';
import { OUTPUTS, type Output } from '@/core/start/priors';
import { roundTo } from '@/core/start/proposedVariables';
import { groupBy } from '@/core/groupBy';
import { notesFound, type NoteFound } from '@/core/patterns/notes';
import { meanOf, type MeanOf } from '@/core/patterns/summary';
import {
  TONGUE,
  tongueEffects,
  type TongueEffects,
  type TongueScale,
} from '@/core/patterns/tongue';
import { PROCESS_LABELS, type Process } from '@/core/vocabulary';
import type { Db } from '@/data/database';
import type { DecidedRecipe } from './history';
import type { House } from '@/data/house';
import { cached } from '@/data/cache';
import { MODEL_TAGS, readHouseModel, rulesOf } from './houseModel';
import { readRecords, RECORDS_REST_ON, type About, type Cup, type DialInCost } from './records';
import { roastBandOf } from '@/core/coffee/roastBand';
import { isLetThrough, readFilters, type Filters } from './patternFilters';

/** What a point is known by: all of years of them travel to the page. */
type Known = Pick<About, 'releaseId' | 'name' | 'day'>;

const knownOf = ({ releaseId, name, day }: Known): Known => ({ releaseId, name, day });

/** One decided recipe beside what the model had proposed for it when it went on the bench. */
export interface ProposalPoint extends Known {
  /**
   * Raw model values by output, proposed and decided, to DIGITS; an output is left out where either side
   * is not known.
   */
  readonly values: Readonly<Partial<Record<Output, readonly [proposed: number, decided: number]>>>;
}

/** Finer than any screen or sheet shows a ratio, a temperature or a step. */
const DIGITS = 1e-4;

export interface CostPoint
  extends Known, Pick<DialInCost, 'style' | 'shots' | 'spentG' | 'isOnTarget'> {}

export interface CupGroup {
  readonly process: Process;
  readonly roast: 'light' | 'medium' | 'dark' | 'unknown';
  readonly releases: number;
  readonly cups: number;
  /** Of the releases' mean likings. */
  readonly liking: MeanOf | null;
  /** Promised notes by how often they were found, the most first. */
  readonly notes: readonly {
    readonly note: string;
    readonly found: number;
    readonly asked: number;
  }[];
}

/** The newest of so many, oldest first. */
export interface Newest<T> {
  readonly points: readonly T[];
  readonly count: number;
}

export interface PatternsView {
  readonly filters: Filters;
  readonly releases: number;
  readonly effects: Readonly<Record<Output, readonly Effect[]>>;
  readonly proposals: Newest<ProposalPoint>;
  readonly dialIns: Newest<CostPoint>;
  readonly cups: readonly CupGroup[];
  readonly tongue: readonly TongueRow[];
  /** At most so many notes as a page shows, or all. */
  readonly notes: readonly NoteRow[];
}

/** A note, and the coffees it was found in most often. */
export interface NoteRow extends Omit<NoteFound, 'releaseIds'> {
  readonly coffees: number;
  readonly found: readonly { readonly releaseId: string; readonly name: string }[];
}

/** What moves one scale of the cup sheet, and the coffees that tell most of it. */
export interface TongueRow {
  readonly scale: TongueScale;
  readonly byLever: TongueEffects['byLever'];
  readonly cups: number;
  readonly coffees: number;
  readonly telling: readonly { readonly releaseId: string; readonly name: string }[];
}

const MOST_TELLING = 3;

const MOST_NOTES = 4;
/** Notes a page shows; the export has them all. */
const MOST_NOTE_ROWS = 15;

/** More points than this are no picture; the export has them all. */
export const MOST_POINTS = 200;

function newestOf<T>(all: readonly T[], most: number): Newest<T> {
  return { points: most < all.length ? all.slice(-most) : all, count: all.length };
}

const RESTS_ON = [...MODEL_TAGS, ...RECORDS_REST_ON];

/** Reads what the filters let through, at `most` of its points; the model is learnt anew from just that. */
export function readPatterns(
  db: Db,
  house: House,
  search: Readonly<Record<string, string | string[] | undefined>>,
  most = Infinity,
): PatternsView {
  const filters = readFilters(search);
  const key = JSON.stringify({ filters, most });
  return cached(db, { name: 'patterns', tags: RESTS_ON, key }, () =>
    patternsOf(db, house, filters, most),
  );
}

function patternsOf(db: Db, house: House, filters: Filters, most: number): PatternsView {
  const knowledge = readHouseModel(db, house);
  const shown = knowledge.decided.flatMap((recipe, place) => {
    const about = aboutDecided(recipe);
    const past = knowledge.history[place]!;
    return isLetThrough(about, filters) ? [{ recipe, about, past }] : [];
  });
  const isWhole = shown.length === knowledge.decided.length;
  const model = isWhole
    ? knowledge.modelOf(house.temperatureSchool)
    : learn(
        shown.map(({ past }) => past),
        house.temperatureSchool,
        rulesOf(house),
      );
  const records = readRecords(db, house);
  const proposals = shown.flatMap(({ recipe, about, past }) => {
    const { proposed } = recipe.draft;
    if (!proposed) return [];
    const values = Object.fromEntries(
      OUTPUTS.flatMap((output) => {
        const decided = outputOf(past, output);
        const before = proposed[output];
        return decided === null || before === undefined
          ? []
          : [[output, [roundTo(before, DIGITS), roundTo(decided, DIGITS)]]];
      }),
    );
    return [{ ...knownOf(about), values }];
  });
  const dialIns = records.dialIns
    .filter((dialIn) => isLetThrough(dialIn, filters))
    .map((dialIn): CostPoint => {
      const { style, shots, spentG, isOnTarget } = dialIn;
      return { ...knownOf(dialIn), style, shots, spentG: roundTo(spentG, 0.1), isOnTarget };
    });
  const cups = records.cups.filter((cup) => isLetThrough(cup, filters));
  return {
    filters,
    releases: shown.length,
    effects: Object.fromEntries(
      OUTPUTS.map((output) => [output, effectsOf(model, output)]),
    ) as Record<Output, Effect[]>,
    proposals: newestOf(proposals, most),
    dialIns: newestOf(dialIns, most),
    cups: cupGroups(cups),
    tongue: tongueOf(cups),
    notes: noteRows(cups, most),
  };
}

function tongueOf(cups: readonly Cup[]): TongueRow[] {
  const placed = cups.flatMap((cup) => cup.placed ?? []);
  const nameOf = new Map(cups.map(({ releaseId, name }) => [releaseId, name]));
  return TONGUE.flatMap((scale) => {
    const found = tongueEffects(placed, scale);
    if (!found) return [];
    const { byLever, cups: count, releaseIds } = found;
    const telling = releaseIds
      .slice(0, MOST_TELLING)
      .map((releaseId) => ({ releaseId, name: nameOf.get(releaseId)! }));
    return [{ scale, byLever, cups: count, coffees: releaseIds.length, telling }];
  });
}

function noteRows(cups: readonly Cup[], most: number): NoteRow[] {
  const nameOf = new Map(cups.map(({ releaseId, name }) => [releaseId, name]));
  const all = notesFound(cups.map((cup) => ({ ...cup, groups: groupsOf(cup) })));
  return all
    .slice(0, Number.isFinite(most) ? MOST_NOTE_ROWS : Infinity)
    .map(({ releaseIds, ...row }) => ({
      ...row,
      coffees: releaseIds.length,
      found: releaseIds
        .slice(0, MOST_TELLING)
        .map((releaseId) => ({ releaseId, name: nameOf.get(releaseId)! })),
    }));
}

/** Rest days at which a coffee is called young or old here. House heuristic. */
const [YOUNG, OLD] = [10, 21];

/** Where a cup belongs, in words. */
function groupsOf({ processes, varieties, roastLevel, restDays }: Cup): string[] {
  const rest =
    restDays === null
      ? []
      : [
          restDays < YOUNG
            ? `before day ${YOUNG}`
            : restDays > OLD
              ? `after day ${OLD}`
              : `day ${YOUNG}-${OLD}`,
        ];
  const roast = bandOf(roastLevel);
  return [
    ...processes.map((process) => PROCESS_LABELS[process].toLowerCase()),
    ...varieties.filter((variety) => variety !== ''),
    ...(roast === 'unknown' ? [] : [`${roast} roasts`]),
    ...rest,
  ];
}

function aboutDecided(recipe: DecidedRecipe): About {
  const { facts, draft, varieties } = recipe;
  return {
    releaseId: draft.releaseId,
    name: recipe.name,
    day: recipe.decidedAt.slice(0, 10),
    style: draft.style,
    setupId: recipe.setup.id,
    processes: (facts.components ?? []).flatMap(({ process }) => (process ? [process] : [])),
    roastLevel: facts.roastLevel ?? null,
    varieties,
  };
}

const bandOf = (roastLevel: number | null) =>
  roastLevel === null ? 'unknown' : roastBandOf(roastLevel);

/** Cups by process and roast; a blend counts with its first process. */
function cupGroups(cups: readonly Cup[]): CupGroup[] {
  const withProcess = cups.filter(({ processes }) => processes.length > 0);
  const groups = groupBy(
    withProcess,
    ({ processes, roastLevel }) => `${processes[0]!} ${bandOf(roastLevel)}`,
  );
  return [...groups.values()]
    .map((group): CupGroup => {
      const byRelease = groupBy(group, ({ releaseId }) => releaseId);
      const likings = [...byRelease.values()].flatMap((own) => {
        const known = own.flatMap(({ liking }) => (liking === undefined ? [] : [liking]));
        return meanOf(known)?.mean ?? [];
      });
      return {
        process: group[0]!.processes[0]!,
        roast: bandOf(group[0]!.roastLevel),
        releases: byRelease.size,
        cups: group.length,
        liking: meanOf(likings),
        notes: notesOf(group).slice(0, MOST_NOTES),
      };
    })
    .sort((a, b) => b.releases - a.releases || b.cups - a.cups);
}

function notesOf(cups: readonly Cup[]): CupGroup['notes'] {
  const counts = new Map<string, { found: number; asked: number }>();
  for (const { promised, found } of cups)
    for (const note of promised) {
      const key = note.toLowerCase();
      const count = counts.get(key) ?? { found: 0, asked: 0 };
      counts.set(key, {
        asked: count.asked + 1,
        found: count.found + Number(found.some((word) => word.toLowerCase() === key)),
      });
    }
  return [...counts]
    .map(([note, count]) => ({ note, ...count }))
    .sort((a, b) => b.found - a.found || a.note.localeCompare(b.note));
}
