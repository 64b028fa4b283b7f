/**
 * Which notes a house finds, and where: by process, roast, variety and rest. A coffee counts once, however often it
 * was tasted. Source: two shares with a uniform prior each, compared by their means and variances (published,
 * textbook); that a coffee is the unit and how sure is sure enough are house heuristics.
 */
import { Z_80 } from '../grinder/dial';
/** One cup: what was promised, what was found in it, and the groups it belongs to, in words. */
export interface NotedCup {
  readonly releaseId: string;
  readonly promised: readonly string[];
  readonly found: readonly string[];
  readonly groups: readonly string[];
}

export interface NoteFound {
  readonly note: string;
  readonly cups: number;
  /** Coffees it was found in, the most often first. */
  readonly releaseIds: readonly string[];
  /** Coffees it was promised for, and those of them it was found in. */
  readonly promisedFor: number;
  readonly kept: number;
  /** Where it is found clearly more often than elsewhere; null where nothing stands out. */
  readonly mostIn: NotePlace | null;
}

export interface NotePlace {
  readonly group: string;
  /** Coffees of the group it was found in, of how many; and elsewhere. */
  readonly here: readonly [found: number, of: number];
  readonly elsewhere: readonly [found: number, of: number];
}

/** An 80 % interval that leaves 0 out. */
const CLEARLY = Z_80;
/** A group of one coffee tells nothing of the group. */
const LEAST_COFFEES = 3;

/** Notes by how many coffees they were found in, the most first. */
export function notesFound(cups: readonly NotedCup[]): NoteFound[] {
  const finders = new Map<string, Map<string, number>>();
  const promised = new Map<string, Set<string>>();
  for (const { releaseId, promised: told, found } of cups) {
    for (const note of plain(told)) setOf(promised, note).add(releaseId);
    for (const note of plain(found)) {
      const own = finders.get(note) ?? new Map<string, number>();
      finders.set(note, own.set(releaseId, (own.get(releaseId) ?? 0) + 1));
    }
  }
  const places = placesOf(cups);
  return [...finders]
    .map(([note, own]): NoteFound => {
      const releaseIds = [...own].sort((a, b) => b[1] - a[1]).map(([releaseId]) => releaseId);
      const promisedFor = [...(promised.get(note) ?? [])];
      return {
        note,
        cups: [...own.values()].reduce((sum, count) => sum + count, 0),
        releaseIds,
        promisedFor: promisedFor.length,
        kept: promisedFor.filter((releaseId) => own.has(releaseId)).length,
        mostIn: places.get(note) ?? null,
      };
    })
    .sort(
      (a, b) =>
        b.releaseIds.length - a.releaseIds.length ||
        b.cups - a.cups ||
        a.note.localeCompare(b.note),
    );
}

/** However it is written, and once. */
const plain = (notes: readonly string[]) => new Set(notes.map((note) => note.trim().toLowerCase()));

function setOf(sets: Map<string, Set<string>>, key: string): Set<string> {
  const set = sets.get(key) ?? new Set<string>();
  sets.set(key, set);
  return set;
}

/** Where each note is found most clearly more often than elsewhere. */
function placesOf(cups: readonly NotedCup[]): ReadonlyMap<string, NotePlace> {
  const best = new Map<string, { readonly place: NotePlace; readonly clear: number }>();
  const groups = new Set(cups.flatMap((cup) => cup.groups));
  for (const group of groups) {
    const here = tally(cups.filter((cup) => cup.groups.includes(group)));
    const elsewhere = tally(cups.filter((cup) => !cup.groups.includes(group)));
    if (here.coffees < LEAST_COFFEES || elsewhere.coffees < LEAST_COFFEES) continue;
    for (const [note, finders] of here.finders) {
      const place: NotePlace = {
        group,
        here: [finders.size, here.coffees],
        elsewhere: [elsewhere.finders.get(note)?.size ?? 0, elsewhere.coffees],
      };
      const [a, b] = [shareOf(place.here), shareOf(place.elsewhere)];
      const clear = (a.mean - b.mean) / Math.sqrt(a.variance + b.variance);
      if (clear > (best.get(note)?.clear ?? CLEARLY)) best.set(note, { place, clear });
    }
  }
  return new Map([...best].map(([note, { place }]) => [note, place]));
}

/** Coffees among these cups, and those each note was found in. */
function tally(cups: readonly NotedCup[]) {
  const finders = new Map<string, Set<string>>();
  for (const { releaseId, found } of cups)
    for (const note of plain(found)) setOf(finders, note).add(releaseId);
  return { finders, coffees: new Set(cups.map(({ releaseId }) => releaseId)).size };
}

/** Mean and variance of a share, from a uniform prior: Beta(1 + found, 1 + not found). */
function shareOf([found, of]: readonly [number, number]) {
  const mean = (1 + found) / (2 + of);
  return { mean, variance: (mean * (1 - mean)) / (3 + of) };
}
