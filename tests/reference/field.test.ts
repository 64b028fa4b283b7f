/** Cafés and their checks as commands: what is taken, what is refused with words, and what the house makes of it. */
import { chanceFrom } from '@/core/random';
import { clock } from '@/data/clock';
import type { Db } from '@/data/database';
import { checksOfPartner, visitsSince } from '@/data/cafeChecks';
import { listAlarms } from '@/data/cafesLearnt';
import { findHouse } from '@/data/house';
import { messagesToPartner } from '@/data/messages';
import { findPartner, listPartners } from '@/data/partners';
import { readCafe } from '@/views/cafe';
import { cafeSpread } from '@/views/cafeSpread';
import { readCheckSheet } from '@/views/checkSheet';
import { readCafes } from '@/views/cafes';
import { cafesState, learnFromCafes } from '@/views/cafesModel';
import { readCafeNews } from '@/views/cafeNews';
import { readCafeWeek } from '@/views/cafeWeek';
import { foundOfBatches, readReleaseCafes } from '@/views/releaseCafes';
import { weekText } from '@/features/cafes/weekText';
import { newId, openHouse, send, stopClock, WORDS } from '../support/house';

const PARTNER = {
  name: 'Corner café',
  people: 'Ada',
  town: 'Harbourside',
  timeZone: 'UTC',
  checkTimes: '7:00, 11:00, 14:00',
  dialMin: 0,
  dialMax: 30,
};

function houseWithCafe(partner: Record<string, unknown> = {}) {
  const house = openHouse();
  const { db, releaseId, draftId } = house;
  send(db, 'publish', { releaseId, draftId, ...WORDS });
  const { partnerId } = send(db, 'savePartner', {
    partner: { ...PARTNER, ...partner },
    releaseIds: [releaseId],
  });
  const stored = () => findPartner(db, String(partnerId))!;
  const { target } = readCheckSheet(db, findHouse(db)!, stored()).coffees[0]!;
  const check = { doseG: target.doseG, yieldG: target.yieldG, timeS: 28, dial: 11 };
  const sheet = (changes: Record<string, unknown> = {}, roastDate = '2026-05-08') => ({
    secret: stored().secret,
    checks: [{ releaseId, roastDate, check: { ...check, ...changes } }],
    help: '',
  });
  return { ...house, partnerId: String(partnerId), stored, check, sheet, target };
}

const fails = (act: () => unknown) => {
  try {
    act();
  } catch (fault) {
    return fault as Error & { code: string; faults: { field: string; message: string }[] };
  }
  throw new Error('It was taken.');
};

describe('a sheet of a café', () => {
  it('is stored once however often it is sent, under the card that was in force', () => {
    const { db, partnerId, sheet, target } = houseWithCafe();
    const id = newId();
    for (let i = 0; i < 3; i++) send(db, 'sendChecks', sheet(), id, null);
    const own = checksOfPartner(db, partnerId, '');
    expect(own).toHaveLength(1);
    expect(own[0]).toMatchObject({ versionNumber: 1, roastDate: '2026-05-08', target, dial: 11 });
  });

  it('of a coffee the café does not have is refused, and nothing of it is kept', () => {
    const { db, partnerId, stored, check } = houseWithCafe();
    const checks = [{ releaseId: 'another', check }];
    const fault = fails(() =>
      send(db, 'sendChecks', { ...{ checks, help: '' }, secret: stored().secret }, newId(), null),
    );
    expect(fault.faults[0]!.message).toMatch(/not on the sheet of this café.*the roastery decides/);
    expect(checksOfPartner(db, partnerId, '')).toEqual([]);
    expect(visitsSince(db, '')).toEqual([]);
  });

  it('with a dial outside its grinder says its range in the grinder’s own notation', () => {
    const plain = houseWithCafe();
    const high = fails(() =>
      send(plain.db, 'sendChecks', plain.sheet({ dial: 31 }), newId(), null),
    );
    expect(high.faults[0]!.field).toBe('checks.0.check.dial');
    expect(high.message).toMatch(/Dial 31 is outside this grinder’s 0 to 30\./);
    const letters = houseWithCafe({ notation: 'letters', divisions: 10, dialMax: 99 });
    const fault = fails(() =>
      send(letters.db, 'sendChecks', letters.sheet({ dial: 112 }), newId(), null),
    );
    expect(fault.message).toMatch(/Dial 11 C is outside this grinder’s 0 A to 9 J\./);
  });

  it.each([
    ['a year ahead', '2027-05-20T09:00:00.000Z', true],
    ['of last year', '2025-05-20T09:00:00.000Z', true],
    ['of an hour ago', '2026-05-20T11:00:00.000Z', false],
  ])('from a phone with the time %s is kept', (_, at, isDatedHere) => {
    const { db, partnerId, sheet } = houseWithCafe();
    const answer = send(db, 'sendChecks', { ...sheet(), at }, newId(), null);
    expect(answer).toEqual({ isDatedHere });
    const [check] = checksOfPartner(db, partnerId, '');
    expect(check!.visitedAt).toBe(isDatedHere ? '2026-05-20T12:00:00.000Z' : at);
  });

  it('with nothing on it asks for a time; a call for help alone is taken', () => {
    const { db, sheet } = houseWithCafe();
    const empty = { ...sheet(), checks: [] };
    expect(fails(() => send(db, 'sendChecks', empty, newId(), null)).message).toMatch(
      /Nothing is filled in/,
    );
    send(db, 'sendChecks', { ...empty, help: 'Sour.' }, newId(), null);
    expect(readCafeNews(db, findHouse(db)!)).toEqual(['Corner café asks for help']);
  });

  it('is refused in a flood, with what to do; no other café is held up', () => {
    const { db, partnerId, sheet, releaseId } = houseWithCafe();
    let taken = 0;
    let told = '';
    for (let i = 0; i < 1000 && told === ''; i++)
      try {
        send(db, 'sendChecks', sheet(), newId(), null);
        taken += 1;
      } catch (fault) {
        told = (fault as Error).message;
      }
    expect(taken).toBe(30);
    expect(told).toMatch(/Wait ten minutes, then send it again/);
    expect(checksOfPartner(db, partnerId, '')).toHaveLength(30);
    const other = send(db, 'savePartner', {
      partner: { ...PARTNER, name: 'Other' },
      releaseIds: [releaseId],
    });
    const { secret } = findPartner(db, String(other.partnerId))!;
    send(db, 'sendChecks', { ...sheet(), secret }, newId(), null);
  });

  it('by a revoked link is refused alike to one that never was', () => {
    const { db, partnerId, sheet } = houseWithCafe();
    const old = sheet();
    send(db, 'renewPartnerLink', { partnerId, isNew: true });
    const words = [old, { ...old, secret: 'never' }].map(
      (sent) => fails(() => send(db, 'sendChecks', sent, newId(), null)).message,
    );
    expect(words[0]).toBe(words[1]);
    expect(words[0]).toMatch(/Ask the roastery/);
    send(db, 'sendChecks', sheet(), newId(), null);
    send(db, 'retirePartner', { partnerId });
    expect(listPartners(db)).toEqual([]);
  });

  it('says what is wrong with a café that cannot be', () => {
    for (const [changes, field] of [
      [{ checkTimes: 'noon' }, 'checkTimes'],
      [{ timeZone: 'Europe/Nowhere' }, 'timeZone'],
      [{ dialMin: 9, dialMax: 9 }, 'dialMax'],
      [{ notation: 'letters' }, 'divisions'],
    ] as const)
      expect(fails(() => houseWithCafe(changes)).faults[0]!.field).toBe(field);
  });
});

/** Checks of three weeks, three rounds a day; from a day on so much faster. */
function fill(
  { db, sheet, check }: Pick<ReturnType<typeof houseWithCafe>, 'db' | 'sheet' | 'check'>,
  { days, from, ln }: { days: number; from: number; ln: number },
): void {
  const chance = chanceFrom(3);
  const end = Date.parse('2026-05-20T14:05:00Z');
  for (let day = 0; day < days; day++)
    for (const hour of [7, 11, 14]) {
      const at = new Date(end - (days - 1 - day) * 86_400_000);
      at.setUTCHours(hour, 5);
      clock.now = () => at;
      const off = (day >= from ? ln : 0) + 0.03 * chance.normal();
      send(
        db,
        'sendChecks',
        sheet({ timeS: Number((check.timeS * Math.exp(off)).toFixed(1)) }, '2026-04-20'),
        newId(),
        null,
      );
    }
}

function anew(db: Db) {
  const house = findHouse(db)!;
  learnFromCafes(db, house);
  return house;
}

describe('what the house makes of checks', () => {
  afterEach(() => stopClock());

  it('finds who moved, drafts the answer in their language, and puts it with partner and release', () => {
    const cafe = houseWithCafe({ language: 'de' });
    const { db, partnerId, releaseId } = cafe;
    fill(cafe, { days: 24, from: 20, ln: -0.14 });
    const house = anew(db);
    const { signals, cafes } = readCafes(db, house);
    const [signal] = signals;
    expect(signal).toMatchObject({ kind: 'step', partnerIds: [partnerId], settled: null });
    expect(cafes[0]!.days).toHaveLength(7);
    expect(cafes[0]!.days.at(-1)!.cells.map(({ state }) => state)).toEqual([
      'fast',
      'fast',
      'fast',
    ]);
    const { draft } = readCafe(db, house, partnerId, signal!.key)!;
    expect(draft!.body).toMatch(/^Guten Morgen Ada,/);
    expect(draft!.body).toMatch(/läuft bei euch etwa \d s zu schnell/);
    expect(draft!.body).toMatch(/feiner, Skala 11 → (10|9)\./);
    expect(draft!.body).toMatch(/bekanntes Gewicht auf der Waage; Temperatur .*; dann die Mühle/);
    const { subject, body } = draft!;
    send(db, 'answerPartner', {
      ...{ partnerId, releaseId, subject, body },
      signal: signal!.key,
      asksRound: true,
    });
    expect(messagesToPartner(db, partnerId)).toMatchObject([
      { audience: 'partner', partner: 'Corner café', releaseId, filedAt: null },
    ]);
    expect(readCafes(db, house).signals[0]!.settled).toMatchObject({ cause: 'answered' });
    expect(readCheckSheet(db, house, cafe.stored()).isRoundAsked).toBe(true);
    send(db, 'sendChecks', cafe.sheet(), newId(), null);
    expect(readCheckSheet(db, house, cafe.stored()).isRoundAsked).toBe(false);
  });

  it('is kept through a restart: alarms are read back, not found again', () => {
    const cafe = houseWithCafe();
    const { db, partnerId } = cafe;
    fill(cafe, { days: 24, from: 20, ln: -0.14 });
    const house = anew(db);
    const before = listAlarms(db);
    expect(before).toMatchObject([{ partnerId, state: 'open', coffee: null }]);
    const shown = readCafes(db, house).signals.map(({ key }) => key);
    // Another café makes the model anew from what is stored.
    send(db, 'savePartner', { partner: { ...PARTNER, name: 'New' }, releaseIds: [] });
    anew(db);
    expect(listAlarms(db)).toEqual(before);
    expect(readCafes(db, house).signals.map(({ key }) => key)).toEqual(shown);
  });

  it('forgets a check that was taken away, and counts it again once it is back', () => {
    const cafe = houseWithCafe();
    const { db, partnerId } = cafe;
    fill(cafe, { days: 6, from: 99, ln: 0 });
    const house = anew(db);
    const points = () => readCafe(db, house, partnerId)!.coffees[0]!.points.length;
    const [first] = checksOfPartner(db, partnerId, '');
    expect(points()).toBe(18);
    send(db, 'removeCafeCheck', { checkId: first!.id, isAway: true });
    expect(points()).toBe(17);
    send(db, 'removeCafeCheck', { checkId: first!.id, isAway: false });
    expect(points()).toBe(18);
    // One put back and another taken away: as many as before, and not the same.
    const [, second] = checksOfPartner(db, partnerId, '');
    send(db, 'removeCafeCheck', { checkId: first!.id, isAway: true });
    const { model } = cafesState(db, house);
    send(db, 'removeCafeCheck', { checkId: first!.id, isAway: false });
    send(db, 'removeCafeCheck', { checkId: second!.id, isAway: true });
    expect(cafesState(db, house).model).not.toBe(model);
    expect(fails(() => send(db, 'removeCafeCheck', { checkId: 'none', isAway: true })).code).toBe(
      'notFound',
    );
  });

  it('tells the week in figures, words and three things to do', () => {
    const cafe = houseWithCafe();
    const { db, releaseId } = cafe;
    fill(cafe, { days: 24, from: 20, ln: -0.14 });
    const house = anew(db);
    const week = readCafeWeek(db, house);
    expect(week.checks).toBe(21);
    expect(week.inside).toBeLessThan(week.checks);
    expect(week.drifting).toHaveLength(1);
    expect(week.toDo[0]).toMatch(/^Answer: Corner café: \d\.\d s fast since/);
    expect(weekText(week)).toMatch(/21 checks from 1 cafés?, \d+ inside/);
    const stage = readReleaseCafes(db, house, releaseId);
    expect(stage.cafes).toMatchObject([{ cafe: 'Corner café', made: 72 }]);
    expect(Object.keys(stage.tried)).toEqual(['cafe']);
    expect(stage.tried.cafe).toMatch(/^at Corner café: \d+ of 72 checks inside\.$/);
  });

  it('takes the usual spread until three cafés have weighed', () => {
    const cafe = houseWithCafe();
    fill(cafe, { days: 6, from: 99, ln: 0 });
    expect(cafeSpread(cafe.db)).toMatchObject({ doseG: 0.3, yieldG: 1.5 });
  });

  it('judges a late sheet by the card its café had', () => {
    const { db, releaseId, draftId, partnerId, sheet } = houseWithCafe();
    stopClock('2026-05-22');
    send(db, 'publish', { releaseId, draftId, ...WORDS, whatChanged: 'Words only.' });
    send(db, 'sendChecks', { ...sheet(), at: '2026-05-21T09:00:00.000Z' }, newId(), null);
    send(db, 'sendChecks', sheet(), newId(), null);
    expect(checksOfPartner(db, partnerId, '').map(({ versionNumber }) => versionNumber)).toEqual([
      1, 2,
    ]);
  });
});

it('tells a phone that its grinder turns freely, before its first check and after it', () => {
  const { db, stored, sheet } = houseWithCafe({ stepless: true });
  const known = () => readCheckSheet(db, findHouse(db)!, stored()).coffees[0]!.known;
  expect(known().slope.isStepless).toBe(true);
  send(db, 'sendChecks', sheet(), newId(), null);
  learnFromCafes(db, findHouse(db)!);
  expect(known()).toMatchObject({ dial: 11, slope: { isStepless: true } });
});

describe('what somebody noted of a batch', () => {
  it('stays with the coffee after its checks have left the window, a false alarm does not', () => {
    const { db, releaseId } = houseWithCafe();
    const found = () => foundOfBatches(db, findHouse(db)!, releaseId);
    expect(found()).toEqual([]);
    const settle = (batch: string, cause: string, note = '') =>
      send(db, 'settleSignal', { signal: `batch ${releaseId} ${batch}`, cause, note });
    settle('2026-05-01', 'batch', 'Dropped two degrees hotter.');
    settle('2026-04-20', 'none', 'Nothing.');
    send(db, 'settleSignal', { signal: 'batch another 2026-05-01', cause: 'batch', note: '' });
    expect(found()).toEqual([
      {
        title: 'The bag of 1 May 2026 ran otherwise at cafés (noted 20 May 2026)',
        note: 'Noted: Dropped two degrees hotter.',
      },
    ]);
  });
});
