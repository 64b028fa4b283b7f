/** Is it the café, the batch or the weather? Each planted at several cafés, found, and said in words that lead on. */
import { findHouse } from '@/data/house';
import { findPartner } from '@/data/partners';
import { readCafe } from '@/views/cafe';
import { readCheckSheet } from '@/views/checkSheet';
import { readCafes } from '@/views/cafes';
import { learnFromCafes } from '@/views/cafesModel';
import { foundOfBatches, readReleaseCafes } from '@/views/releaseCafes';
import { houseWithCafes, sendDays, targetOf, type HouseOfCafes } from '../support/cafes';
import { RECIPE, send, stopClock, WORDS } from '../support/house';

afterEach(() => stopClock());

const THREE = [{}, {}, {}];
const NEW_BATCH = '2026-05-06';

/** What the field says once the checks are learnt. */
function fieldOf({ db }: HouseOfCafes) {
  const house = findHouse(db)!;
  learnFromCafes(db, house);
  return readCafes(db, house);
}
const kindsOf = (house: HouseOfCafes) => fieldOf(house).signals.map(({ kind }) => kind);

/** Publishes another version of the card. */
function reviseTo({ db, releaseId, setupId }: HouseOfCafes, change: object) {
  const place = { releaseId, batchId: `${releaseId}-1`, setupId };
  const { draftId } = send(db, 'acceptRecipe', { ...RECIPE, ...place, ...change });
  send(db, 'publish', { releaseId, draftId, ...WORDS, whatChanged: 'For a test.' });
}

describe('a batch that runs fast everywhere', () => {
  function withBadBatch() {
    const house = houseWithCafes(...THREE);
    sendDays(house, 24, (_cafe, day) =>
      day < 14 ? {} : { offLn: -0.12, roastDate: NEW_BATCH, check: { taste: 'sour' } },
    );
    return house;
  }

  it('is the batch and no café, with its size, its chance and its cafés', () => {
    const house = withBadBatch();
    const { signals } = fieldOf(house);
    expect(signals.map(({ kind }) => kind)).toEqual(['batch']);
    const [signal] = signals;
    expect(signal).toMatchObject({ partnerIds: house.ids, releaseId: house.releaseId });
    expect(signal!.reason).toMatch(/^(Almost certain|9 in 10) that it is so/);
    expect(signal!.title).toMatch(
      /^3 cafés on the batch of 6 May of Dembi Ridge run \d\.\d s fast since 11 May$/,
    );
    expect(signal!.reason).toMatch(/Against the batch of 20 Apr, .*: the batch, not the cafés/);
  });

  it('stands at the coffee as a contrast, drawn, and as the reason of a new version', () => {
    const house = withBadBatch();
    fieldOf(house);
    const { db, releaseId } = house;
    const stage = readReleaseCafes(db, findHouse(db)!, releaseId);
    expect(stage.batches).toMatchObject([{ roastDate: NEW_BATCH, before: '2026-04-20' }]);
    const { offS, half80S } = stage.batches[0]!;
    // Twelve hundredths of 28 s; a batch is held back toward its neighbours by what batches usually differ.
    expect(offS).toBeLessThan(-2);
    expect(offS).toBeGreaterThan(-3.6);
    expect(half80S).toBeLessThan(1.5);
    expect(stage.drawn.map(({ roastDate }) => roastDate)).toEqual(['2026-04-20', NEW_BATCH]);
    expect(stage.drawn[0]!.fitS).toBeCloseTo(0, 6);
    expect(stage.drawn[1]!.fitS).toBeCloseTo(offS, 1);
    expect(stage.drawn.flatMap(({ points }) => points)).toHaveLength(3 * 3 * 24);
    expect(stage.tastes).toEqual([['sour', 3 * 3 * 10]]);
    expect(stage.why).toMatch(/^From the cafés: 3 cafés on the batch of 6 May/);
    expect(stage.cafes.map(({ roastDate }) => roastDate)).toEqual(Array(3).fill(NEW_BATCH));
    expect(stage.cafes.every(({ inWindow, offS }) => inWindow < 0.6 && offS! < -1)).toBe(true);
  });

  it('is told to each café in words of its own, and noted once for all', () => {
    const house = withBadBatch();
    const [signal] = fieldOf(house).signals;
    const { db, releaseId, ids } = house;
    for (const id of ids) {
      const { draft, signals } = readCafe(db, findHouse(db)!, id, signal!.key)!;
      expect(signals.map(({ key }) => key)).toEqual([signal!.key]);
      expect(draft!.body).toMatch(/It is the new batch, not you: other cafés see the same\./);
      expect(draft!.asksRound).toBe(false);
    }
    send(db, 'settleSignal', { signal: signal!.key, cause: 'batch', note: 'Two degrees hotter.' });
    expect(readCafes(db, findHouse(db)!).signals[0]!.settled).toMatchObject({ cause: 'batch' });
    expect(foundOfBatches(db, findHouse(db)!, releaseId)).toEqual([
      { title: signal!.title, note: 'Noted: Two degrees hotter.' },
    ]);
  });
});

it('one café that grinds coarser is that café, however many others there are', () => {
  const house = houseWithCafes(...THREE);
  sendDays(house, 24, (cafe, day) => (cafe === 1 && day >= 20 ? { offLn: -0.14 } : {}));
  const { signals } = fieldOf(house);
  expect(signals.map(({ kind, partnerIds }) => [kind, partnerIds])).toEqual([
    ['step', [house.ids[1]]],
  ]);
});

it('a move that a café writes down, with the answer its dial gives, is no signal', () => {
  const house = houseWithCafes(...THREE);
  // Two steps finer, and two tenths in ln time slower: what was asked for.
  sendDays(house, 24, (cafe, day) =>
    cafe === 1 && day >= 18 ? { offLn: 0.2, check: { dial: 9 } } : {},
  );
  expect(kindsOf(house)).toEqual([]);
});

it('two damp days at every café of a town are the weather, and ask for no answer', () => {
  const house = houseWithCafes(...THREE, { town: 'Tidewell' });
  sendDays(house, 24, (cafe, day) => (cafe < 3 && day >= 22 ? { offLn: -0.12 } : {}));
  const { signals } = fieldOf(house);
  expect(signals.map(({ kind }) => kind)).toEqual(['weather']);
  const [signal] = signals;
  expect(signal).toMatchObject({ partnerIds: [], releaseId: null, asksOrder: false });
  expect(signal!.title).toMatch(/^Ostrel: all cafés \d\.\d s fast today: the weather$/);
  expect(signal!.days.length).toBeGreaterThan(20);
  expect(signal!.days.at(-1)!.fitS).toBeLessThan(-1);
});

it('a café that doses more than it did is told so, and its grinder is left alone', () => {
  const house = houseWithCafes(...THREE);
  sendDays(house, 24, (cafe, day) =>
    cafe === 0 && day >= 20 ? { offLn: 0.07, check: { doseG: 19 } } : {},
  );
  const [signal, ...others] = fieldOf(house).signals;
  expect(others).toEqual([]);
  expect(signal).toMatchObject({ kind: 'dose', partnerIds: [house.ids[0]], asksOrder: false });
  expect(signal!.title).toMatch(/^Café 1 doses (0\.9|1\.0) g more than it did since 17 May$/);
  const { draft } = readCafe(house.db, findHouse(house.db)!, house.ids[0]!, signal!.key)!;
  expect(draft!.body).not.toMatch(/→/);
});

describe('a café that still pulls the card before', () => {
  it.each([
    ['on the basket of the house', {}],
    ['on a smaller one', { diameterMm: 54, ratedG: 14 }],
  ])('%s is told so within days', (_on, basket) => {
    const house = houseWithCafes(basket, { diameterMm: 46, ratedG: 16 });
    const { db, releaseId, ids } = house;
    const [id] = ids;
    sendDays(house, 24, (_cafe, day) => (day < 19 ? {} : null));
    const former = targetOf(db, id!).yieldG;
    stopClock('2026-05-16');
    reviseTo(house, { yieldG: 41 });
    expect(targetOf(db, id!).yieldG).toBeGreaterThan(former + 2);
    sendDays(house, 4, (cafe) => (cafe === 0 ? { check: { yieldG: former } } : {}));
    const signal = fieldOf(house).signals.find(({ kind }) => kind === 'yield');
    expect(signal).toMatchObject({ partnerIds: [id], releaseId });
    expect(signal!.reason).toMatch(/the old card is still in use there/);
  });
});

it('a café that stopped has its own habit against it, one that always missed half has not', () => {
  const times = { checkTimes: '7:05, 11:05, 14:05' };
  const house = houseWithCafes(times, times);
  sendDays(house, 20, (cafe, day) => {
    if (cafe === 0) return day < 17 ? {} : null;
    return day % 2 === 0 && day < 18 ? {} : null;
  });
  const { signals } = fieldOf(house);
  expect(signals.map(({ kind, partnerIds }) => [kind, partnerIds])).toEqual([
    ['silence', [house.ids[0]]],
  ]);
  expect(signals[0]!.title).toMatch(/^Café 1 has missed [89] checks in a row since 18 May$/);
});

describe('cafés on other baskets', () => {
  const LEVER = { diameterMm: 46, ratedG: 16 };

  it('are each judged by a window of their own, whoever checked last', () => {
    for (const baskets of [
      [{}, LEVER],
      [LEVER, {}],
    ]) {
      const house = houseWithCafes(...baskets);
      const own = baskets.indexOf(baskets.find((basket) => !('ratedG' in basket))!);
      sendDays(house, 10, (cafe) => (cafe === own ? { offLn: -0.13 } : {}));
      fieldOf(house);
      const { db, releaseId, ids } = house;
      const read = findHouse(db)!;
      const windows = ids.map((id) => targetOf(db, id).timeS);
      // A fitted window is a wider one.
      expect(windows[1 - own]![1] - windows[1 - own]![0]).toBeGreaterThan(
        2 * (windows[own]![1] - windows[own]![0]),
      );
      const { next } = readCafe(db, read, ids[own]!)!.coffees[0]!;
      expect(next!.offS).toBeLessThan(-2.5);
      expect(next!.move.asItIs).toBeLessThan(0.2);
      expect(next).toMatchObject({ change: '1 step finer', from: 11, to: 10 });
      const there = readReleaseCafes(db, read, releaseId).cafes[own]!;
      expect(there.inWindow).toBe(next!.move.asItIs);
      expect(there.offS).toBe(next!.offS);
      expect(readCafe(db, read, ids[1 - own]!)!.coffees[0]!.next!.move.asItIs).toBeGreaterThan(0.9);
    }
  });

  it('that never wrote a dial down are told the side and the steps alone', () => {
    const house = houseWithCafes({});
    sendDays(house, 10, () => ({ offLn: -0.13, check: { dial: undefined } }));
    fieldOf(house);
    const { db, ids } = house;
    const { next } = readCafe(db, findHouse(db)!, ids[0]!)!.coffees[0]!;
    expect(next).toMatchObject({ change: '1 step finer', from: null, to: null });
  });

  it('are never sent beyond the end of their dial', () => {
    const house = houseWithCafes({ dialMin: 11, dialMax: 30 });
    sendDays(house, 10, () => ({ offLn: -0.13 }));
    fieldOf(house);
    const { db, ids } = house;
    expect(readCafe(db, findHouse(db)!, ids[0]!)!.coffees[0]!.next).toMatchObject({
      ...{ from: 11, to: 11 },
    });
  });
});

it('a revised card is what the next shot is measured against, before anybody pulled it', () => {
  const house = houseWithCafes({});
  const { db, ids } = house;
  const [id] = ids;
  sendDays(house, 10);
  fieldOf(house);
  const nextOf = () => readCafe(db, findHouse(db)!, id!)!.coffees[0]!.next!;
  const knownOf = () => readCheckSheet(db, findHouse(db)!, findPartner(db, id!)!).coffees[0]!.known;
  const [before, level] = [nextOf(), knownOf().levelLn];
  expect(Math.abs(before.offS)).toBeLessThan(1);
  expect(before.change).toBeNull();
  // Five grams more through the same grind, in the same window: seven in fifty longer.
  reviseTo(house, { yieldG: 41 });
  fieldOf(house);
  expect(knownOf().levelLn - level).toBeCloseTo(Math.log(41 / 36), 6);
  expect(nextOf().offS - before.offS).toBeCloseTo(28 * (41 / 36 - 1), 0);
  expect(nextOf()).toMatchObject({ change: '1 step coarser', from: 11, to: 12 });
  // And as much more time in the window: nothing to do again.
  reviseTo(house, { yieldG: 41, timeS: [30, 34] });
  fieldOf(house);
  expect(nextOf().change).toBeNull();
});

describe('a hint for the lead', () => {
  const hintOf = (check: (nth: number) => Record<string, unknown>, offLn = 0) => {
    const house = houseWithCafes({});
    let nth = 0;
    sendDays(house, 6, () => ({ offLn, check: check(nth++) }));
    fieldOf(house);
    return readCafe(house.db, findHouse(house.db)!, house.ids[0]!)!.learnt.hint;
  };

  it('says what a visit could practise, the grossest first, and nothing of a café that holds', () => {
    const wandering = (nth: number) => (nth % 2 === 0 ? { doseG: 19 } : {});
    expect(hintOf(wandering)).toMatch(/^Doses wander/);
    expect(hintOf((nth) => (nth % 2 === 0 ? { yieldG: 40 } : {}))).toMatch(/^Yields wander/);
    expect(hintOf(() => ({ dial: undefined }))).toMatch(/dial is seldom written down/);
    expect(hintOf(() => ({}), -0.15)).toMatch(/^Often outside the window/);
    expect(hintOf(() => ({}))).toBeNull();
  });

  it('waits for twelve checks', () => {
    const house = houseWithCafes({});
    sendDays(house, 3, () => ({ check: { doseG: 19 } }));
    fieldOf(house);
    const { learnt } = readCafe(house.db, findHouse(house.db)!, house.ids[0]!)!;
    expect(learnt.hint).toBeNull();
    expect(learnt.weeks).toMatchObject([{ made: 9, inside: 0 }]);
  });
});
