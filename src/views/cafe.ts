/** One café as the lead sees it: its checks and their fit, what it learnt, what was written to it. Server only. */
import type { CafeMove } from '@/core/cafes/advice';
import { checkState, type CheckState } from '@/core/cafes/checkState';
import { fitted } from '@/core/cafes/cafeFit';
import { INTERVAL_SDS, ODD_UNDER } from '@/core/cafes/cafeRules';
import { stepsIn } from '@/words/stepsIn';
import type { Db } from '@/data/database';
import { versionsOfReleases } from '@/data/publications';
import { checksOfPartner, type StoredCheck } from '@/data/cafeChecks';
import type { House } from '@/data/house';
import { messagesToPartner, type Message } from '@/data/messages';
import { findPartner, type StoredPartner } from '@/data/partners';
import { draftAnswer, lastDial, type AnswerDraft } from './answerDraft';
import { movedDial } from './cafeChecksOf';
import {
  cafeStandings,
  readCafesNow,
  signalViews,
  type CafeStanding,
  type CafesReading,
  type FitPoint,
  type SignalView,
} from './cafes';
import { readCheckSheet, type CheckSheet } from './checkSheet';

export interface CafeCoffee {
  readonly releaseId: string;
  readonly name: string;
  readonly points: readonly FitPoint[];
  /** Seconds off now, at the café's usual weights, with half of an 80 % interval; null before a check. */
  readonly next: {
    readonly offS: number;
    readonly half80S: number;
    readonly move: CafeMove;
    /** "1 step finer"; null where the dial is left. */
    readonly change: string | null;
    /** Settings of its dial; null where none was written down. */
    readonly from: number | null;
    readonly to: number | null;
  } | null;
}

export interface CheckLine extends StoredCheck {
  readonly state: CheckState;
  /** Made before the card it is measured by was public: brought in later, from a sheet. */
  readonly isBeforeCard: boolean;
  readonly coffee: string;
}

export interface CafeView {
  readonly partner: StoredPartner;
  readonly sheet: CheckSheet;
  readonly signals: readonly SignalView[];
  readonly standings: readonly CafeStanding[];
  readonly coffees: readonly CafeCoffee[];
  /** The newest first. */
  readonly checks: readonly CheckLine[];
  readonly messages: readonly Message[];
  readonly draft: AnswerDraft | null;
  /** What may have changed and is no alarm yet, with its chance. */
  readonly unsure: readonly { readonly what: string; readonly probability: number }[];
  readonly learnt: {
    /** Seconds one step of its dial changes in a shot of 28 s, with half of an 80 % interval. */
    readonly secondsPerStep: number;
    readonly half80: number;
    /** Inside, of those made, by week; the oldest first. */
    readonly weeks: readonly {
      readonly day: string;
      readonly inside: number;
      readonly made: number;
    }[];
    readonly hint: string | null;
  };
}

const USUAL_TIME_S = 28;
const SHOWN_CHECKS = 60;
/** Under this a chance is no news. House heuristic. */
const WORTH_SAYING = 0.1;
const WEEKS = 8;
const MS_PER_WEEK = 7 * 86_400_000;

export function readCafe(
  db: Db,
  house: House,
  partnerId: string,
  signal?: string,
): CafeView | null {
  const partner = findPartner(db, partnerId);
  if (partner === null) return null;
  const reading = readCafesNow(db, house);
  const { model } = reading.state;
  const all = checksOfPartner(db, partnerId, '');
  const shown = all.slice(-SHOWN_CHECKS).reverse();
  const versionsOf = versionsOfReleases(db, [...new Set(shown.map(({ releaseId }) => releaseId))]);
  const slope = model.slope(partnerId);
  const weeks = weeksOf(all);
  const signals = signalViews(db, reading).filter(({ partnerIds }) =>
    partnerIds.includes(partnerId),
  );
  return {
    partner,
    sheet: readCheckSheet(db, house, partner),
    signals,
    standings: cafeStandings(reading, signals).filter((one) => one.partnerId === partnerId),
    coffees: coffeesOf(reading, partner),
    checks: shown.map((check) => ({
      ...check,
      state: checkState(check),
      isBeforeCard: versionsOf(check.releaseId).some(
        ({ number, publishedAt }) =>
          number === check.versionNumber && publishedAt > check.visitedAt,
      ),
      coffee: reading.names.coffee(check.releaseId),
    })),
    messages: messagesToPartner(db, partnerId),
    unsure: model
      .signals(partnerId)
      .filter(({ probability }) => probability >= WORTH_SAYING)
      .map(({ coffee, probability }) => ({
        what: coffee === null ? 'all its coffees' : `${reading.names.coffee(coffee)} alone`,
        probability,
      })),
    draft: draftAnswer(db, house, reading, { partner, signal }),
    learnt: {
      secondsPerStep: Math.abs(USUAL_TIME_S * slope.mean),
      half80: USUAL_TIME_S * INTERVAL_SDS * slope.sd,
      weeks,
      hint: trainingHint(all.slice(-SHOWN_CHECKS)),
    },
  };
}

function coffeesOf({ state, names, nextShot }: CafesReading, partner: StoredPartner): CafeCoffee[] {
  const { model } = state;
  const cafe = model.fitted(partner.id);
  const rows = cafe?.rows.visits.flatMap((visit, v) =>
    visit.map((row, i) => ({ row, good: cafe.block.weights[v]![i]!.good })),
  );
  return partner.releaseIds.map((releaseId): CafeCoffee => {
    const timeS = names.timeS(releaseId, partner.id);
    const seconds = (ln: number) => timeS * (Math.exp(ln) - 1);
    const own = rows?.filter(({ row }) => row.check.coffee === releaseId) ?? [];
    const next = nextShot(partner.id, releaseId);
    const from = lastDial(model, partner, releaseId);
    return {
      releaseId,
      name: names.coffee(releaseId),
      points: own.map(({ row, good }) => ({
        id: row.check.id,
        atDay: row.check.atDay,
        offS: seconds(row.y),
        fitS: seconds(fitted(row, cafe!.fit.effects)),
        isOdd: good < ODD_UNDER,
      })),
      next:
        next === null
          ? null
          : {
              offS: next.offS,
              half80S: next.half80S,
              move: next.move,
              change: changeWords(next.move),
              from,
              to: from === null ? null : movedDial(partner, from, next.move.steps),
            },
    };
  });
}

function changeWords({ steps }: CafeMove): string | null {
  if (steps === 0) return null;
  return `${stepsIn('en', steps)} ${steps > 0 ? 'coarser' : 'finer'}`;
}

function weeksOf(checks: readonly StoredCheck[]) {
  const newest = checks.at(-1);
  if (newest === undefined) return [];
  const end = Date.parse(newest.visitedAt);
  return Array.from({ length: WEEKS }, (_, i) => {
    const from = end - (WEEKS - i) * MS_PER_WEEK;
    const own = checks.filter(({ visitedAt }) => {
      const at = Date.parse(visitedAt);
      return at > from && at <= from + MS_PER_WEEK;
    });
    return {
      day: new Date(from).toISOString().slice(0, 10),
      inside: own.filter((check) => checkState(check) === 'inside').length,
      made: own.length,
    };
  }).filter(({ made }) => made > 0);
}

/** Kindly, and for the lead alone: what a visit or a call could practise. House heuristic. */
function trainingHint(checks: readonly StoredCheck[]): string | null {
  if (checks.length < 12) return null;
  const share = (is: (check: StoredCheck) => boolean) => checks.filter(is).length / checks.length;
  if (share(({ doseG, target }) => Math.abs(doseG - target.doseG) > 0.5) > 0.25)
    return 'Doses wander: practise weighing every basket with them.';
  if (share(({ yieldG, target }) => Math.abs(yieldG - target.yieldG) > 3) > 0.25)
    return 'Yields wander: practise stopping by the scale, a little early.';
  if (share(({ dial }) => dial === undefined) > 0.5)
    return 'The dial is seldom written down: show them that it is what makes an answer possible.';
  if (share((check) => ['fast', 'slow'].includes(checkState(check))) > 0.4)
    return 'Often outside the window: dial in together once, one change at a time, purging after each move.';
  return null;
}
