/**
 * The field model of this house, kept in memory between checks: a visit costs its own café; a café that was changed or
 * a check that was taken away makes it anew from what is stored. Server only.
 */
import { CAFE_RULES } from '@/core/cafes/cafeRules';
import { CafesModel } from '@/core/cafes/model';
import { localDay, readTimes } from '@/core/cafes/schedule';
import { groupBy } from '@/core/groupBy';
import { clock } from '@/data/clock';
import type { Db } from '@/data/database';
import { checksAfter, checksSince, type StoredCheck } from '@/data/cafeChecks';
import {
  judgedUpTo,
  keepAlarm,
  keepSlope,
  listAlarms,
  listSlopes,
  setJudgedUpTo,
} from '@/data/cafesLearnt';
import type { House } from '@/data/house';
import { cached, invalidate } from '@/data/cache';
import { listPartners, type StoredPartner } from '@/data/partners';
import { zoneOf } from '@/data/timeZone';
import { cafeCheckOf } from './cafeChecksOf';

const MS_PER_DAY = 86_400_000;

export interface CafesState {
  readonly model: CafesModel;
  readonly partners: readonly StoredPartner[];
  readonly zoneOf: (partner: StoredPartner) => string;
}

interface Kept extends CafesState {
  /** Row of the last visit in it. */
  lastVisit: number;
  lastDay: number;
  /** Cafés whose newest judgement is not stored yet. */
  readonly judged: Set<string>;
}

/** The model with every visit that has arrived. */
export const cafesState = (db: Db, house: House): CafesState => stateOf(db, house);

function stateOf(db: Db, house: House): Kept {
  const options = { name: 'cafés', tags: ['partner', 'house', 'removedCheck'] } as const;
  const state = cached(db, options, () => opened(db, house));
  catchUp(db, state);
  return state;
}

/** Works out what new checks say and keeps it: after their answer is out. */
export function learnFromCafes(db: Db, house: House): void {
  const state = stateOf(db, house);
  db.transaction(() => {
    if (judgedUpTo(db) >= state.lastVisit) return;
    for (const id of state.judged) {
      for (const alarm of state.model.alarms(id)) keepAlarm(db, id, alarm);
      const taught = state.model.taught(id);
      if (taught !== null) keepSlope(db, { partnerId: id, ...taught });
    }
    state.judged.clear();
    setJudgedUpTo(db, state.lastVisit);
    invalidate(db, ['cafesLearnt']);
  }).immediate();
}

export const sinceDays = (days: number) =>
  new Date(clock.now().getTime() - days * MS_PER_DAY).toISOString();

/** How far back checks are read: what a fit looks at, and a few days for those that came late. */
export const sinceWindow = () => sinceDays(CAFE_RULES.windowDays + 2);

function opened(db: Db, house: House): Kept {
  const partners = listPartners(db);
  const zone = (partner: StoredPartner) => partner.timeZone || zoneOf(house);
  const model = new CafesModel();
  const alarms = groupBy(listAlarms(db), ({ partnerId }) => partnerId);
  const taught = new Map(listSlopes(db).map((slope) => [slope.partnerId, slope]));
  for (const partner of partners) {
    const slope = taught.get(partner.id);
    model.addCafe(
      {
        id: partner.id,
        region: partner.town,
        checksADay: Math.max(1, readTimes(partner.checkTimes)?.length ?? 1),
        isStepless: partner.stepless,
      },
      { alarms: alarms.get(partner.id) ?? [], ...(slope && { taught: slope }) },
    );
  }
  const judged = judgedUpTo(db);
  const state: Kept = {
    model,
    partners,
    zoneOf: zone,
    lastVisit: judged,
    lastDay: 0,
    judged: new Set(),
  };
  const known = checksSince(db, sinceWindow()).filter(({ visitRow }) => visitRow <= judged);
  const knownOf = groupBy(known, ({ partnerId }) => partnerId);
  for (const partner of partners) {
    const own = knownOf.get(partner.id) ?? [];
    model.remember(
      partner.id,
      own.map((check) => cafeCheckOf(check, partner, zone(partner))),
    );
  }
  state.lastDay = Math.floor(clock.now().getTime() / MS_PER_DAY);
  const last = known.at(-1);
  if (last !== undefined) model.refit(localDay(last.visitedAt, zoneOf(house)));
  return state;
}

function catchUp(db: Db, state: Kept): void {
  const visits = groupBy(checksAfter(db, state.lastVisit), ({ visitId }) => visitId);
  for (const checks of visits.values()) takeVisit(state, checks);
}

function takeVisit(state: Kept, checks: readonly StoredCheck[]): void {
  const { partnerId, visitRow } = checks[0]!;
  state.lastVisit = Math.max(state.lastVisit, visitRow);
  const partner = state.partners.find(({ id }) => id === partnerId);
  if (partner === undefined) return;
  const own = checks.map((check) => cafeCheckOf(check, partner, state.zoneOf(partner)));
  const day = Math.floor(own[0]!.atDay);
  if (day > state.lastDay || state.lastDay - day > CAFE_RULES.windowDays)
    state.model.refit(own[0]!.atDay);
  state.lastDay = day;
  state.model.addVisit(partnerId, own);
  state.judged.add(partnerId);
}
