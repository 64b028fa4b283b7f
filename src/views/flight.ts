/** A blind flight as the bench sees it, and as a taster's phone sees it. Server only. */
import { say } from '@/words/say';
import type { Arm } from '@/core/panel/arm';
import {
  duplicateDifferences,
  flightOutcome,
  likingOfArms,
  orderOfPlace,
  type ArmLiking,
  type BlindLiking,
  type FlightOutcome,
} from '@/core/panel/flight';
import { factorsOf, type Factor } from '@/core/panel/experiment';
import { powerMessage, repeatabilitySd } from '@/core/panel/panel';
import { LIKENESSES, type Likeness } from '@/core/taste/staged';
import type { Db } from '@/data/database';
import { findBenchDraft, findDraft, type StoredDraft } from '@/data/dialIns';
import {
  cupsOf,
  findFlight,
  findTaster,
  isDeviceOf,
  listFlights,
  noteVocabulary,
  sheetsOf,
  tastersOf,
  type BlindSheet,
  type StoredFlight,
  type TableCup,
} from '@/data/flights';
import type { House } from '@/data/house';
import { cached } from '@/data/cache';
import { findRelease } from '@/data/releases';
import { findSetup, type StoredSetup } from '@/data/setups';
import { findShot } from '@/data/shots';

/** A cup as the person at the machine pours it. */
export interface BenchCup extends TableCup {
  readonly what: Arm;
}

export interface TasterProgress {
  readonly id: string;
  readonly name: string;
  readonly isOfHouse: boolean;
  readonly isFree: boolean;
  /** Cups with a sheet, of how many. */
  readonly scored: number;
  readonly cups: readonly string[];
  readonly hasAnswered: boolean;
  readonly late: number;
}

/** What is known once nobody tastes blind any more. */
export interface Revealed {
  readonly outcome: FlightOutcome | null;
  readonly arms: readonly {
    readonly label: string;
    readonly codes: readonly string[];
    readonly liking: ArmLiking;
    /** Notes found in it, with how many tasters found them. */
    readonly notes: readonly (readonly [string, number])[];
    /** Which staged cup it was most like, by sheets that said so. */
    readonly likeness: readonly (readonly [Likeness, number])[];
  }[];
  /** What each setting of a small experiment did; null for other flights. */
  readonly factors: readonly [Factor, Factor] | null;
  /** How far tasters repeat themselves, by hidden duplicates: for the lead alone. */
  readonly repeats: readonly {
    readonly name: string;
    readonly pairs: number;
    readonly sd: number;
  }[];
}

export interface FlightView extends StoredFlight {
  /** Recipes its cups are pulled by, with their setups. */
  readonly recipes: Readonly<
    Record<string, { readonly draft: StoredDraft; readonly setup: StoredSetup }>
  >;
  readonly benchDraftId: string | undefined;
  /** What it can show, said before; null where cups are scored alone. */
  readonly power: string | null;
  readonly cups: readonly BenchCup[];
  readonly tasters: readonly TasterProgress[];
  readonly revealed: Revealed | null;
}

/** Null where there is none in this release. How far tasters repeat themselves is for the lead alone. */
export function readFlight(
  db: Db,
  { releaseId, id, isLead }: { releaseId: string; id: string; isLead: boolean },
): FlightView | null {
  const flight = findFlight(db, id);
  if (!flight || flight.releaseId !== releaseId) return null;
  const cups = cupsOf(db, id);
  const sheets = sheetsOf(db, id);
  const inTime = sheets.filter(({ isLate }) => !isLate);
  const tasters = tastersOf(db, id);
  const recipes: Record<string, { draft: StoredDraft; setup: StoredSetup }> = {};
  for (const { pull } of flight.arms) {
    const draft = pull && findDraft(db, pull.draftId);
    const setup = draft && findSetup(db, draft.setupId);
    if (setup) recipes[draft.id] = { draft, setup };
  }
  return {
    ...flight,
    recipes,
    benchDraftId: findBenchDraft(db, releaseId)?.id,
    power:
      flight.test === 'scored' || flight.revealedAt !== null
        ? null
        : say(powerMessage(flight.test, flight.places, flight.arms.length)),
    cups: cups.map((cup) => ({ ...cup, what: flight.arms[cup.arm]! })),
    tasters: tasters.map(({ id: tasterId, name, personId, deviceHash, place, answer }) => {
      const own = orderOfPlace(place, cups, flight).map(({ code }) => code);
      const scored = new Set(inTime.filter((s) => s.tasterId === tasterId).map((s) => s.code));
      return {
        id: tasterId,
        name,
        isOfHouse: personId !== null,
        isFree: deviceHash === null,
        scored: scored.size,
        cups: own,
        hasAnswered: answer !== null,
        late: sheets.filter((s) => s.tasterId === tasterId && s.isLate).length,
      };
    }),
    revealed:
      flight.revealedAt === null ? null : revealedOf(db, flight, { cups, sheets: inTime, isLead }),
  };
}

function revealedOf(
  db: Db,
  flight: StoredFlight,
  {
    cups,
    sheets,
    isLead,
  }: { cups: readonly TableCup[]; sheets: readonly BlindSheet[]; isLead: boolean },
): Revealed {
  const tasters = tastersOf(db, flight.id);
  const nameOf = new Map(tasters.map(({ id, name }) => [id, name]));
  const names = flight.arms.map(({ label }) => label);
  const likings = sheets.flatMap(({ tasterId, code, moment, scales: { liking } }): BlindLiking[] =>
    liking === undefined ? [] : [{ taster: tasterId, code, moment, liking }],
  );
  const byArm = likingOfArms(likings, { cups, arms: names.length });
  const answers = tasters.flatMap(({ place, answer }) =>
    answer === null ? [] : [{ place, codes: answer }],
  );
  return {
    outcome: flightOutcome(answers, { ...flight, cups, names }),
    arms: names.map((label, arm) => {
      const codes = cups.filter((cup) => cup.arm === arm).map(({ code }) => code);
      return {
        label,
        codes,
        liking: byArm[arm]!,
        notes: notesIn(sheets.filter(({ code }) => codes.includes(code))),
        likeness: LIKENESSES.flatMap((likeness) => {
          const said = sheets.filter((s) => s.likeness === likeness && codes.includes(s.code));
          return said.length === 0 ? [] : [[likeness, said.length] as const];
        }),
      };
    }),
    factors: factorsOf(flight.arms, {
      cups,
      likings,
      times: flight.arms.map((_, arm) => {
        const shotId = cups.find((cup) => cup.arm === arm)?.shotId;
        return (shotId && findShot(db, shotId)?.timeS) || null;
      }),
    }),
    repeats: !isLead
      ? []
      : [...duplicateDifferences(likings, cups)].map(([tasterId, differences]) => ({
          name: nameOf.get(tasterId)!,
          pairs: differences.length,
          sd: repeatabilitySd(differences),
        })),
  };
}

/** Each note once a taster, the most found first. */
function notesIn(sheets: readonly BlindSheet[]): (readonly [string, number])[] {
  const finders = new Map<string, Set<string>>();
  for (const { tasterId, notesFound } of sheets)
    for (const note of notesFound)
      finders.set(note, (finders.get(note) ?? new Set()).add(tasterId));
  return [...finders]
    .map(([note, found]) => [note, found.size] as const)
    .sort((a, b) => b[1] - a[1] || a[0].localeCompare(b[0]));
}

export interface FlightLine {
  readonly id: string;
  readonly question: string;
  readonly madeAt: string;
  readonly state: string;
}

/** Flights of a release, the newest first. */
export function readFlights(db: Db, releaseId: string): readonly FlightLine[] {
  return cached(db, { name: 'flights', tags: ['flight'], key: releaseId }, () =>
    listFlights(db, releaseId).map((flight) => ({
      id: flight.id,
      question: flight.question,
      madeAt: flight.madeAt,
      state: stateWords(db, flight),
    })),
  );
}

function stateWords(db: Db, { id, revealedAt, decision, chosenArm, arms, places }: StoredFlight) {
  if (decision !== null)
    return chosenArm === null ? 'decided: none of them' : `decided: ${arms[chosenArm]!.label}`;
  if (revealedAt !== null) return 'revealed';
  const cups = cupsOf(db, id);
  const poured = cups.filter(({ pouredAt }) => pouredAt !== null).length;
  return `blind: ${poured} of ${cups.length} cups poured, ${tastersOf(db, id).length} of ${places} tasters`;
}

/** What a phone may know of a flight before it holds a place: nothing of what is in the cups. */
export interface FlightDoor {
  readonly house: string;
  readonly placesLeft: number;
  readonly isRevealed: boolean;
}

export interface TasterState {
  readonly name: string;
  readonly test: StoredFlight['test'];
  readonly asksLikeness: boolean;
  /** In this taster's own order. */
  readonly cups: readonly {
    readonly code: string;
    readonly serving: Arm['serving'];
    readonly pouredAt: string | null;
    /** Moments there is a sheet for. */
    readonly moments: readonly string[];
  }[];
  readonly answer: readonly string[] | null;
  /** What the bag promises, and what else this house finds in cups. */
  readonly promised: readonly string[];
  readonly vocabulary: readonly string[];
  /** What was in each cup, once it is told. */
  readonly reveal: Readonly<Record<string, string>> | null;
}

export function doorOf(db: Db, house: House, flight: StoredFlight): FlightDoor {
  return {
    house: house.name,
    placesLeft: flight.places - tastersOf(db, flight.id).length,
    isRevealed: flight.revealedAt !== null,
  };
}

const MOST_NOTES = 60;

/** Null for whoever holds no place in it. */
export function readTaster(
  db: Db,
  flight: StoredFlight,
  { tasterId, device }: { readonly tasterId: string; readonly device: string },
): TasterState | null {
  const taster = findTaster(db, tasterId);
  if (!taster || taster.flightId !== flight.id || !isDeviceOf(taster, device)) return null;
  const cups = cupsOf(db, flight.id);
  const own = orderOfPlace(taster.place, cups, flight);
  const sheets = sheetsOf(db, flight.id).filter((sheet) => sheet.tasterId === tasterId);
  return {
    name: taster.name,
    test: flight.test,
    asksLikeness: flight.asksLikeness,
    cups: own.map(({ code, arm }) => ({
      code,
      serving: flight.arms[arm]!.serving,
      pouredAt: cups.find((cup) => cup.code === code)!.pouredAt,
      moments: sheets.filter((sheet) => sheet.code === code).map(({ moment }) => moment),
    })),
    answer: taster.answer,
    promised: findRelease(db, flight.releaseId)?.promisedNotes ?? [],
    vocabulary: cached(db, { name: 'note vocabulary', tags: ['tasting'], key: '' }, () =>
      noteVocabulary(db, MOST_NOTES),
    ),
    reveal:
      flight.revealedAt === null
        ? null
        : Object.fromEntries(own.map(({ code, arm }) => [code, flight.arms[arm]!.label])),
  };
}
