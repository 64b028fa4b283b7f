/** What decided dial-ins teach the next one on the same grinder, through the house's own commands. */
import { say } from '@/words/say';
import type { Db } from '@/data/database';
import { findHouse } from '@/data/house';
import { listTaught, renewGrinderMemories } from '@/views/grinderMemory';
import { readRelease } from '@/views/release';
import {
  BATCH,
  openHouse,
  RECIPE,
  RELEASE,
  send,
  shotInput,
  stopClock,
  TODAY,
  WORDS,
  type TestHouse,
} from '../support/house';

const advice = (db: Db, releaseId: string) =>
  readRelease(db, findHouse(db)!, releaseId, { today: TODAY })!.bench!.advice;

/** Another coffee on the same setup. */
function another({ db, setupId }: TestHouse, name: string) {
  const release = { ...RELEASE, name };
  const releaseId = String(send(db, 'createRelease', { release, batch: BATCH }).releaseId);
  const recipe = { ...RECIPE, releaseId, batchId: `${releaseId}-1`, setupId };
  return { releaseId, draftId: String(send(db, 'acceptRecipe', recipe).draftId) };
}

/** Shots of a grinder a step of which makes a tenth, and which runs 22 s at 12. */
function pull(db: Db, draftId: string, changes: object = {}) {
  for (const [dial, timeS] of [
    [12, 22],
    [10, 26.9],
    [10, 26.7],
    [9, 29.6],
  ] as const)
    send(db, 'logShot', shotInput(draftId, { dial, timeS, purgeG: 4, ...changes }));
}

it('a new coffee begins where the decided ones point, and says how many there are', () => {
  const house = openHouse();
  const { db, releaseId, draftId } = house;
  pull(db, draftId);
  const undecided = another(house, 'Kestrel Row');
  expect(advice(db, undecided.releaseId)).toMatchObject({ status: 'repeat', move: null });
  send(db, 'publish', { releaseId, draftId, ...WORDS });
  const begun = advice(db, undecided.releaseId);
  expect(begun).toMatchObject({ status: 'grind', move: { variable: 'dial', from: 12 } });
  expect(begun.setting.dial).toBeLessThan(12);
  expect(begun.setting.dial).toBeGreaterThanOrEqual(9);
  expect(say(begun.reasons[0]!.message)).toMatch(/^One past dial-in of this grinder/);
  // Its own first shots then decide, more surely than without.
  send(db, 'logShot', shotInput(undecided.draftId, { dial: 10, timeS: 27.6, purgeG: 4 }));
  send(db, 'logShot', shotInput(undecided.draftId, { dial: 10, timeS: 28.1, purgeG: 0 }));
  expect(advice(db, undecided.releaseId).status).toBe('onTarget');
});

it('a decided dial-in is judged without itself, and simulated shots teach nothing', () => {
  const house = openHouse();
  const { db, releaseId, draftId } = house;
  pull(db, draftId);
  const before = advice(db, releaseId);
  send(db, 'publish', { releaseId, draftId, ...WORDS });
  expect(advice(db, releaseId)).toEqual(before);

  const other = openHouse();
  pull(other.db, other.draftId, { isSimulated: true });
  send(other.db, 'publish', { releaseId: other.releaseId, draftId: other.draftId, ...WORDS });
  const fresh = another(other, 'Kestrel Row');
  expect(advice(other.db, fresh.releaseId)).toMatchObject({ status: 'repeat', move: null });
});

it('styles of one grinder teach each other, but for the soak', () => {
  const house = openHouse();
  const { db, releaseId, draftId, setupId } = house;
  pull(db, draftId);
  send(db, 'publish', { releaseId, draftId, ...WORDS });
  const inStyle = (style: string, changes: object) => {
    const release = { ...RELEASE, name: `Kestrel Row ${style}` };
    const other = String(send(db, 'createRelease', { release, batch: BATCH }).releaseId);
    const place = { releaseId: other, batchId: `${other}-1`, setupId, style };
    send(db, 'acceptRecipe', { ...RECIPE, ...changes, ...place });
    return advice(db, other);
  };
  // Its step is known; how much coarser a long and quick shot goes, the rule says.
  const long = inStyle('longQuick', { yieldG: 52, timeS: [18, 22] });
  expect(long.reasons.map(({ code }) => code)).toEqual(['remembered']);
  const classic = inStyle('classic', {});
  expect(long.setting.dial).toBeGreaterThan(classic.setting.dial + 1);
  const soaked = inStyle('soakFirst', { yieldG: 54, timeS: [55, 65] });
  expect(soaked).toMatchObject({ status: 'repeat', move: null });
});

describe('what Equipment says a grinder has taught', () => {
  const taughtOf = async (db: Db) => Object.values(await listTaught(db, findHouse(db)!));
  const publishing = ({ db }: TestHouse, releaseId: string, draftId: string) =>
    send(db, 'publish', { releaseId, draftId, ...WORDS });

  /** One dial-in, decided. */
  function decidedHouse(): TestHouse {
    const house = openHouse();
    pull(house.db, house.draftId);
    publishing(house, house.releaseId, house.draftId);
    return house;
  }

  it('is nothing before a recipe was decided, then its step with a band, mostly by rule', async () => {
    const house = openHouse();
    const { db, releaseId, draftId } = house;
    pull(db, draftId);
    expect(await taughtOf(db)).toEqual([]);
    publishing(house, releaseId, draftId);
    const [lesson] = await taughtOf(db);
    expect(lesson).toMatchObject({ dialIns: 1, isMostlyRule: true, hint: null });
    // A step of half a dial: about 1.4 s of 28 at a tenth a dial.
    expect(lesson!.stepS).toBeGreaterThan(1);
    expect(lesson!.stepS).toBeLessThan(2);
    expect(lesson!.stepHalf80S).toBeGreaterThan(0.1);
    const { light, medium, dark } = lesson!.usualDials;
    expect(light).toBeLessThan(medium);
    expect(dark).toBeGreaterThan(medium);
  });

  it('grows surer with every decided dial-in, and counts one that was taken away no longer', async () => {
    const house = decidedHouse();
    const { db } = house;
    const [one] = await taughtOf(db);
    const more = ['Kestrel Row', 'Low Tide', 'Quarry Hill'].map((name) => another(house, name));
    for (const other of more) {
      pull(db, other.draftId);
      publishing(house, other.releaseId, other.draftId);
    }
    const [four] = await taughtOf(db);
    expect(four).toMatchObject({ dialIns: 4, isMostlyRule: false });
    expect(four!.stepHalf80S).toBeLessThan(one!.stepHalf80S);
    const [away] = more;
    send(db, 'withdraw', { releaseId: away!.releaseId, why: 'for a test' });
    send(db, 'remove', { what: 'release', id: away!.releaseId });
    expect((await taughtOf(db))[0]).toMatchObject({ dialIns: 3 });
  });

  it('is read on the new scale after a zero point with a shift, and kept apart without one', async () => {
    const house = decidedHouse();
    const { db } = house;
    const [before] = await taughtOf(db);
    const { id: grinderId } = db.prepare('SELECT id FROM grinder').get() as { id: string };
    stopClock('2026-05-21');
    send(db, 'beginCalibrationPeriod', { grinderId, kind: 'zero', shift: 3, reason: 'Cleaned' });
    const [moved] = await taughtOf(db);
    expect(moved!.usualDials).toEqual({
      light: before!.usualDials.light + 3,
      medium: before!.usualDials.medium + 3,
      dark: before!.usualDials.dark + 3,
    });
    expect(moved!.stepS).toBeCloseTo(before!.stepS, 6);
    stopClock('2026-05-22');
    send(db, 'beginCalibrationPeriod', { grinderId, kind: 'burrs', reason: 'Worn' });
    expect((await taughtOf(db))[0]?.dialIns ?? 0).toBeLessThanOrEqual(1);
    // Nothing it did before the new burrs points at a dial now.
    const fresh = another(house, 'Kestrel Row');
    expect(advice(db, fresh.releaseId).move).toBeNull();
  });

  it('is the same however often it is renewed', async () => {
    const house = decidedHouse();
    const { db } = house;
    await renewGrinderMemories(db, findHouse(db)!);
    const first = advice(db, another(house, 'Kestrel Row').releaseId);
    await renewGrinderMemories(db, findHouse(db)!);
    expect(advice(db, another(house, 'Low Tide').releaseId).setting).toEqual(first.setting);
  });
});
