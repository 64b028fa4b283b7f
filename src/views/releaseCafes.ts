/** One coffee in the field: how it runs at each café, what its batches do, and how it forgives. Server only. */
import { INTERVAL_SDS, ODD_UNDER } from '@/core/cafes/cafeRules';
import { checkState, type CheckState } from '@/core/cafes/checkState';
import { dayWords } from '@/core/dayWords';
import { batchPoints, type BatchPoint } from '@/core/cafes/batchPoints';
import { batchOfKey } from '@/core/cafes/signalKey';
import { batchContrast } from '@/core/cafes/acrossCafes';
import { cafeAudience } from '@/core/fits/audience';
import { groupBy } from '@/core/groupBy';
import type { Db } from '@/data/database';
import type { StoredCheck } from '@/data/cafeChecks';
import { listSettled } from '@/data/cafesLearnt';
import type { House } from '@/data/house';
import { countPartners, type StoredPartner } from '@/data/partners';
import {
  cafeStandings,
  readCafesNow,
  signalViews,
  type CafeStanding,
  type SignalView,
} from './cafes';

export interface CoffeeAtCafeLine {
  readonly partnerId: string;
  readonly cafe: string;
  readonly lastAt: string | null;
  readonly lastState: CheckState | null;
  readonly roastDate: string | null;
  /** Seconds off at its usual weights, with half of an 80 % interval; null before a check. */
  readonly offS: number | null;
  readonly half80S: number;
  readonly inWindow: number;
  readonly inside: number;
  readonly made: number;
}

export interface BatchLine {
  readonly roastDate: string;
  readonly before: string;
  /** Against the batch before it, s. */
  readonly offS: number;
  readonly half80S: number;
  readonly probability: number;
}

/** A batch as its checks draw it: seconds against the oldest one in the window, everything else taken out. */
export interface BatchDrawn {
  readonly roastDate: string;
  readonly fitS: number;
  readonly points: readonly {
    readonly atDay: number;
    readonly offS: number;
    readonly isOdd: boolean;
  }[];
}

export type TriedByAudience = { readonly [A in NonNullable<CafeAudience>]?: string };
type CafeAudience = ReturnType<typeof cafeAudience>;

export interface ReleaseCafesView {
  readonly signals: readonly SignalView[];
  readonly standings: readonly CafeStanding[];
  readonly cafes: readonly CoffeeAtCafeLine[];
  readonly batches: readonly BatchLine[];
  /** Oldest first; none where there is only one. */
  readonly drawn: readonly BatchDrawn[];
  /** Share of checks tasted, by word. */
  readonly tastes: readonly (readonly [string, number])[];
  /** For a new version: what the field found, in one sentence; null where it found nothing. */
  readonly why: string | null;
  /** For the fits of cafés: where each was tried; none before enough checks. */
  readonly tried: TriedByAudience;
}

const LEAST_TRIED = 12;

export function readReleaseCafes(db: Db, house: House, releaseId: string): ReleaseCafesView {
  const reading = readCafesNow(db, house);
  const { state, checks, names, nextShot } = reading;
  const { model } = state;
  const timeS = names.timeS(releaseId);
  const seconds = (ln: number) => timeS * (Math.exp(ln) - 1);
  const serving = state.partners.filter(({ releaseIds }) => releaseIds.includes(releaseId));
  const all = serving.flatMap(({ id }) => own(checks(id), releaseId));
  const cafes = serving.map((partner): CoffeeAtCafeLine => {
    const those = own(checks(partner.id), releaseId);
    const last = those.at(-1);
    const next = nextShot(partner.id, releaseId);
    return {
      partnerId: partner.id,
      cafe: partner.name,
      lastAt: last?.visitedAt ?? null,
      lastState: last === undefined ? null : checkState(last),
      roastDate: last?.roastDate ?? null,
      offS: next?.offS ?? null,
      half80S: next?.half80S ?? 0,
      inWindow: next?.move.asItIs ?? 0,
      inside: those.filter((check) => checkState(check) === 'inside').length,
      made: those.length,
    };
  });
  const batches = [...new Set(all.flatMap(({ roastDate }) => roastDate ?? []))].sort();
  const signals = signalViews(db, reading).filter((signal) => signal.releaseId === releaseId);
  return {
    signals,
    standings: cafeStandings(reading, signals, releaseId),
    cafes,
    batches: batches.slice(1).flatMap((roastDate, i): BatchLine[] => {
      const before = batches[i]!;
      const contrast = batchContrast(model, releaseId, roastDate, before);
      if (contrast === null) return [];
      const { size, sd, probability } = contrast;
      return [
        { roastDate, before, offS: seconds(size), half80S: INTERVAL_SDS * sd * timeS, probability },
      ];
    }),
    drawn: drawnOf(
      batchPoints(
        model,
        serving.map(({ id }) => id),
        releaseId,
      ),
      seconds,
    ),
    tastes: tastesOf(all),
    why: signals.length === 0 ? null : `From the cafés: ${signals[0]!.title}.`,
    tried: triedAt(serving, cafes),
  };
}

const own = (checks: readonly StoredCheck[], releaseId: string) =>
  checks.filter((check) => check.releaseId === releaseId);

function drawnOf(
  points: readonly BatchPoint[],
  seconds: (ln: number) => number,
): readonly BatchDrawn[] {
  const byBatch = groupBy(
    points.flatMap(({ batch, ...point }) => (batch === null ? [] : [{ ...point, batch }])),
    ({ batch }) => batch,
  );
  const batches = [...byBatch].sort(([a], [b]) => a.localeCompare(b));
  const base = batches[0]?.[1][0]?.fitLn ?? 0;
  if (batches.length < 2) return [];
  return batches.map(([roastDate, own]) => ({
    roastDate,
    fitS: seconds(own[0]!.fitLn - base),
    points: own.map(({ atDay, offLn, good }) => ({
      atDay,
      offS: seconds(offLn - base),
      isOdd: good < ODD_UNDER,
    })),
  }));
}

function tastesOf(checks: readonly StoredCheck[]): [string, number][] {
  const counts = new Map<string, number>();
  for (const { taste } of checks)
    if (taste !== undefined) counts.set(taste, (counts.get(taste) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1]);
}

function triedAt(
  serving: readonly StoredPartner[],
  cafes: readonly CoffeeAtCafeLine[],
): TriedByAudience {
  const enough = cafes.filter(({ made }) => made >= LEAST_TRIED);
  const audienceOf = new Map(serving.map((partner) => [partner.id, cafeAudience(partner)]));
  const byAudience = groupBy(enough, ({ partnerId }) => audienceOf.get(partnerId) ?? null);
  return Object.fromEntries(
    [...byAudience].flatMap(([audience, those]) =>
      audience === null ? [] : [[audience, triedWords(those)]],
    ),
  );
}

function triedWords(cafes: readonly CoffeeAtCafeLine[]): string {
  const made = cafes.reduce((sum, cafe) => sum + cafe.made, 0);
  const inside = cafes.reduce((sum, cafe) => sum + cafe.inside, 0);
  return `at ${cafes.map(({ cafe }) => cafe).join(', ')}: ${inside} of ${made} checks inside.`.slice(
    0,
    380,
  );
}

/**
 * Batches of a release that cafés found off, with what was noted of each: a note outlives the checks it was made by.
 * Nothing is worked out where no café is.
 */
export function foundOfBatches(
  db: Db,
  house: House,
  releaseId: string,
): { title: string; note: string }[] {
  if (countPartners(db) === 0) return [];
  const standing = signalViews(db, readCafesNow(db, house)).filter(
    (signal) => signal.kind === 'batch' && signal.releaseId === releaseId,
  );
  const known = new Set(standing.map(({ key }) => key));
  const past = listSettled(db).flatMap(({ signal, cause, note, settledAt }) => {
    const batch = known.has(signal) ? null : batchOfKey(signal, releaseId);
    if (batch === null || cause === 'none') return [];
    const title = `The bag of ${dayWords(batch)} ran otherwise at cafés (noted ${dayWords(settledAt.slice(0, 10))})`;
    return [{ title, note: noteWords(note) }];
  });
  return [
    ...standing.map(({ title, settled }) => ({ title, note: noteWords(settled?.note) })),
    ...past,
  ];
}

const noteWords = (note = '') => (note === '' ? '' : `Noted: ${note}`);
