/** The field as the lead sees it in the morning: who is off, whether it is the café or the coffee. Server only. */
import { checkState, STATE_WORDS, worstState, type CheckState } from '@/core/cafes/checkState';
import type { CafeMove } from '@/core/cafes/advice';
import { lnWindow } from '@/core/cafes/check';
import { contributionsOf } from '@/core/cafes/contributions';
import { INTERVAL_SDS } from '@/core/cafes/cafeRules';
import { nextAtCafe } from '@/core/cafes/nextAtCafe';
import { dueChecks, localDay, readTimes, weekdayOf, type CheckPlan } from '@/core/cafes/schedule';
import {
  cafeSignals,
  type CafeFacts,
  type CoffeeFacts,
  type CafeSignal,
} from '@/core/cafes/signals';
import { signalKey } from '@/core/cafes/signalKey';
import { cafeState } from '@/core/state/cafeState';
import { cafeStateWords } from '@/words/cafeStateWords';
import { signalReason, signalTitle, type SignalNames } from '@/words/signalWords';
import { usualTimeS } from '@/core/cafes/usualTime';
import { weatherDays } from '@/core/cafes/weatherDays';
import { groupBy } from '@/core/groupBy';
import type { Db } from '@/data/database';
import { checksSince, openHelp, type StoredCheck, type StoredVisit } from '@/data/cafeChecks';
import { listSettled, type Settled } from '@/data/cafesLearnt';
import type { House } from '@/data/house';
import type { StoredPartner } from '@/data/partners';
import { listVersions } from '@/data/publications';
import { listReleaseNames } from '@/data/releases';
import { now } from '@/data/rows';
import { readDocument } from '@/formats/recipe/readers';
import { cafeCheckOf, cafeTargetOf, windowOf } from './cafeChecksOf';
import { publicRecipe, recipeAt } from './publishedRecipe';
import { cafesState, sinceWindow, type CafesState } from './cafesModel';

export interface FitPoint {
  readonly id: string;
  readonly atDay: number;
  /** Seconds off the recipe at its weights: as checked, and as fitted. */
  readonly offS: number;
  readonly fitS: number;
  readonly isOdd: boolean;
}

export interface SignalView {
  readonly key: string;
  readonly kind: CafeSignal['kind'];
  readonly title: string;
  readonly reason: string;
  /** Cafés it is about; all on a batch. */
  readonly partnerIds: readonly string[];
  readonly releaseId: string | null;
  readonly settled: Settled | null;
  /** Has a cause inside a café that must be asked for. */
  readonly asksOrder: boolean;
  /** Of weather, which no other page shows: its days. */
  readonly days: readonly FitPoint[];
}

export interface MatrixCell {
  readonly time: string;
  /** Null: it was due and not made. */
  readonly state: CheckState | null;
  readonly words: string;
}

export interface MatrixDay {
  /** yyyy-mm-dd. */
  readonly day: string;
  readonly isClosed: boolean;
  readonly cells: readonly MatrixCell[];
}

export interface CafeLine {
  readonly partner: StoredPartner;
  readonly days: readonly MatrixDay[];
  /** Checks of the last week inside, of those made. */
  readonly inside: number;
  readonly made: number;
  readonly due: number;
}

export interface HelpCall {
  readonly visit: StoredVisit;
  readonly cafe: string;
}

export interface CafesView {
  readonly cafes: readonly CafeLine[];
  readonly signals: readonly SignalView[];
  readonly help: readonly HelpCall[];
  readonly standings: readonly CafeStanding[];
}

/** A café that is off, or too new to judge, where no signal says so already. */
export interface CafeStanding {
  readonly partnerId: string;
  readonly kind: 'off' | 'new';
  readonly words: string;
}

const MATRIX_DAYS = 7;
const MS_PER_DAY = 86_400_000;

export const checkPlanOf = (partner: StoredPartner): CheckPlan => ({
  times: readTimes(partner.checkTimes) ?? [],
  // ISO counts Sunday as 7, the plan as 0.
  closed: partner.closedWeekdays.map((day) => Number(day) % 7),
});

/** What every reading of the field begins with. */
export interface CafesReading {
  readonly state: CafesState;
  readonly checks: (partnerId: string) => readonly StoredCheck[];
  readonly nowDay: (partner: StoredPartner) => number;
  readonly names: SignalNames;
  readonly signals: readonly CafeSignal[];
  /** Null before the café has sent a check of the coffee. */
  readonly nextShot: (partnerId: string, releaseId: string) => NextShot | null;
}

/** The next shot of a coffee at a café, by the card in force there. */
export interface NextShot {
  /** From the middle of the café's own window, s, with half of an 80 % interval. */
  readonly offS: number;
  readonly half80S: number;
  readonly move: CafeMove;
}

export function readCafesNow(db: Db, house: House): CafesReading {
  const state = cafesState(db, house);
  const byPartner = groupBy(checksSince(db, sinceWindow()), ({ partnerId }) => partnerId);
  const checks = (partnerId: string) => byPartner.get(partnerId) ?? [];
  const nowDay = (partner: StoredPartner) => localDay(now(), state.zoneOf(partner));
  const cafes = state.partners.map((partner) =>
    factsOf(partner, state, checks(partner.id), nowDay),
  );
  const all = [...byPartner.values()].flat();
  return {
    state,
    checks,
    nowDay,
    names: namesOf(db, state.partners, all),
    signals: cafeSignals(state.model, cafes, coffeesOf(db, all)),
    nextShot: nextShots(db, house, state, checks),
  };
}

function nextShots(
  db: Db,
  house: House,
  { model, partners }: CafesState,
  checks: CafesReading['checks'],
): CafesReading['nextShot'] {
  const cafes = new Map(partners.map((partner) => [partner.id, partner]));
  const cards = new Map<string, ReturnType<typeof publicRecipe>>();
  const cardOf = (releaseId: string) => {
    if (!cards.has(releaseId)) cards.set(releaseId, publicRecipe(db, releaseId));
    return cards.get(releaseId);
  };
  return (partnerId, releaseId) => {
    const last = checks(partnerId).findLast((check) => check.releaseId === releaseId);
    const partner = cafes.get(partnerId);
    if (last === undefined || partner === undefined) return null;
    const card = cardOf(releaseId);
    const recipe = card ? recipeAt(house, card.body, partner).recipe : last.target;
    const target = cafeTargetOf(recipe);
    const next = nextAtCafe(model, partnerId, releaseId, lnWindow(windowOf(recipe)), target);
    if (next === null) return null;
    return {
      offS: target.timeS * (Math.exp(next.offLn) - 1),
      half80S: INTERVAL_SDS * next.sd * target.timeS,
      move: next.move,
    };
  };
}

function factsOf(
  partner: StoredPartner,
  { model, zoneOf }: CafesState,
  checks: readonly StoredCheck[],
  nowDay: (partner: StoredPartner) => number,
): CafeFacts {
  const zone = zoneOf(partner);
  return {
    id: partner.id,
    region: partner.town,
    plan: checkPlanOf(partner),
    checks: checks.map((check) => cafeCheckOf(check, partner, zone)),
    firstDay: model.taught(partner.id)?.firstDay ?? localDay(partner.madeAt, zone),
    nowDay: nowDay(partner),
  };
}

function coffeesOf(db: Db, checks: readonly StoredCheck[]): CoffeeFacts[] {
  return [...groupBy(checks, ({ releaseId }) => releaseId)].map(([coffee, own]) => {
    const batches = [...new Set(own.flatMap(({ roastDate }) => roastDate ?? []))].sort();
    const former = formerYieldShare(db, coffee);
    return { coffee, batches, ...(former !== undefined && { formerYieldShare: former }) };
  });
}

/** Of the card before the newest. */
function formerYieldShare(db: Db, releaseId: string): number | undefined {
  const [newest, former] = listVersions(db, releaseId);
  if (newest === undefined || former === undefined) return undefined;
  const [now, then] = [newest, former].map(({ document }) => readDocument(document).body.recipe);
  return then!.yieldG / now!.yieldG;
}

function namesOf(
  db: Db,
  partners: readonly StoredPartner[],
  checks: readonly StoredCheck[],
): SignalNames {
  const cafes = new Map(partners.map(({ id, name }) => [id, name]));
  const coffees = new Map(listReleaseNames(db).map(({ id, name }) => [id, name]));
  // The newest card of each coffee at each café: one on another basket has another time and another window.
  const newest = new Map(checks.map((check) => [`${check.partnerId} ${check.releaseId}`, check]));
  const times = [...newest.values()].map((check) => ({
    cafe: check.partnerId,
    coffee: check.releaseId,
    timeS: cafeTargetOf(check.target).timeS,
  }));
  return {
    cafe: (id) => cafes.get(id) ?? 'A café',
    coffee: (id) => coffees.get(id) ?? 'a coffee',
    coffeesAt: (id) => times.filter(({ cafe }) => cafe === id).length,
    timeS: (coffee, cafe) => usualTimeS(times, coffee, cafe),
  };
}

export function readCafes(db: Db, house: House): CafesView {
  const reading = readCafesNow(db, house);
  const { state, checks, nowDay, names } = reading;
  const signals = signalViews(db, reading);
  return {
    cafes: state.partners.map((partner) =>
      cafeLine(partner, checks(partner.id), state.zoneOf(partner), nowDay(partner)),
    ),
    signals,
    help: openHelp(db).map((visit) => ({ visit, cafe: names.cafe(visit.partnerId) })),
    standings: cafeStandings(reading, signals),
  };
}

/**
 * Who is off or too new to judge, of all their coffees or of one.
 * @param shown signals that stand beside it: a café one of them names is left out.
 */
export function cafeStandings(
  { state, checks, names, nextShot }: CafesReading,
  shown: readonly Pick<SignalView, 'partnerIds' | 'settled'>[],
  coffee?: string,
): CafeStanding[] {
  const named = new Set(
    shown.flatMap(({ partnerIds, settled }) => (settled === null ? partnerIds : [])),
  );
  return state.partners.flatMap((partner): CafeStanding[] => {
    if (named.has(partner.id)) return [];
    const ofCoffee = groupBy(checks(partner.id), ({ releaseId }) => releaseId);
    const found = cafeState(
      partner.releaseIds
        .filter((id) => coffee === undefined || id === coffee)
        .map((id) => {
          const next = nextShot(partner.id, id);
          return {
            coffee: id,
            checks: (ofCoffee.get(id) ?? []).map(checkState),
            next: next && { offS: next.offS, inWindow: next.move.asItIs },
          };
        }),
    );
    const words = cafeStateWords(partner.name, found, names);
    return words === null || (found.kind !== 'off' && found.kind !== 'new')
      ? []
      : [{ partnerId: partner.id, kind: found.kind, words }];
  });
}

export function signalViews(db: Db, { state, names, signals }: CafesReading): SignalView[] {
  const settled = new Map(listSettled(db).map((one) => [one.signal, one]));
  return signals.map((signal) => {
    const key = signalKey(signal);
    const about = aboutOf(signal);
    const [first] = about.partnerIds;
    const coffee = about.releaseId ?? (first && newestCoffee(state, first));
    const moved =
      (signal.kind === 'step' || signal.kind === 'batch') && first && coffee
        ? {
            cafe: first,
            coffee,
            parts: contributionsOf(state.model, first, coffee, signal.fromDay),
          }
        : undefined;
    return {
      key,
      kind: signal.kind,
      title: signalTitle(signal, names),
      reason: signalReason(signal, names, moved),
      ...about,
      settled: settled.get(key) ?? null,
      asksOrder: signal.kind === 'step',
      days: signal.kind === 'weather' ? daysOf(state, signal.region, names.timeS(null)) : [],
    };
  });
}

function daysOf({ model, partners }: CafesState, region: string, timeS: number): FitPoint[] {
  const ids = partners.filter(({ town }) => town === region).map(({ id }) => id);
  const seconds = (ln: number) => timeS * (Math.exp(ln) - 1);
  return weatherDays(model, ids).map(({ day, offLn, fitLn }) => ({
    id: String(day),
    atDay: day,
    offS: seconds(offLn),
    fitS: seconds(fitLn),
    isOdd: false,
  }));
}

function aboutOf(signal: CafeSignal): Pick<SignalView, 'partnerIds' | 'releaseId'> {
  switch (signal.kind) {
    case 'step':
    case 'yield':
      return { partnerIds: [signal.cafe], releaseId: signal.coffee };
    case 'dose':
    case 'silence':
      return { partnerIds: [signal.cafe], releaseId: null };
    case 'batch':
      return { partnerIds: signal.cafes, releaseId: signal.coffee };
    case 'weather':
      return { partnerIds: [], releaseId: null };
  }
}

function newestCoffee({ model }: CafesState, partnerId: string): string | null {
  return model.fitted(partnerId)?.rows.visits.at(-1)?.[0]?.check.coffee ?? null;
}

function cafeLine(
  partner: StoredPartner,
  checks: readonly StoredCheck[],
  zone: string,
  nowDay: number,
): CafeLine {
  const plan = checkPlanOf(partner);
  const visits = [...groupBy(checks, ({ visitId }) => visitId).values()].map((own) => ({
    atDay: localDay(own[0]!.visitedAt, zone),
    own,
  }));
  const from = Math.floor(nowDay) - MATRIX_DAYS + 1;
  const known = Math.max(from, localDay(partner.madeAt, zone));
  const due = dueChecks(
    plan,
    visits.map(({ atDay }) => atDay),
    known,
    nowDay,
  );
  const days = Array.from({ length: MATRIX_DAYS }, (_, i): MatrixDay => {
    const day = from + i;
    const made = visits
      .filter(({ atDay }) => Math.floor(atDay) === day)
      .map(({ atDay, own }) => ({ atDay, cell: madeCell(atDay, own) }));
    const missed = due
      .filter(({ atDay, isMade }) => !isMade && Math.floor(atDay) === day)
      .map(({ atDay }) => ({
        atDay,
        cell: { time: timeWords(atDay), state: null, words: `${timeWords(atDay)}: no check` },
      }));
    return {
      day: new Date(day * MS_PER_DAY).toISOString().slice(0, 10),
      isClosed: plan.closed.includes(weekdayOf(day)),
      cells: [...made, ...missed].sort((a, b) => a.atDay - b.atDay).map(({ cell }) => cell),
    };
  });
  const recent = visits.filter(({ atDay }) => atDay >= from).flatMap(({ own }) => own);
  return {
    partner,
    days,
    inside: recent.filter((check) => checkState(check) === 'inside').length,
    made: recent.length,
    due: due.length,
  };
}

function madeCell(atDay: number, own: readonly StoredCheck[]): MatrixCell {
  const states = own.map(checkState);
  const state = worstState(states);
  const off = states.filter((one) => one !== 'inside').length;
  const count = own.length === 1 ? '' : `${off} of ${own.length} off, `;
  const words = state === 'inside' ? 'all inside' : `${count}${STATE_WORDS[state]}`;
  return { time: timeWords(atDay), state, words: `${timeWords(atDay)}: ${words}` };
}

/** "7:05" of a local moment. */
export function timeWords(atDay: number): string {
  const minutes = Math.round((atDay - Math.floor(atDay)) * 1440);
  return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;
}
