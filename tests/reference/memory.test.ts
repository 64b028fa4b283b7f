/** What decided dial-ins teach the next one on the same grinder, through the house's own commands. */
import type { Db } from '@/data/database';
import { findHouse } from '@/data/house';
import { readRelease } from '@/views/release';
import {
  BATCH,
  openHouse,
  RECIPE,
  RELEASE,
  send,
  shotInput,
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
  expect(begun.reasons[0]!.text).toMatch(/^One past dial-in of this grinder/);
  // Its own first shots then decide, more surely than without.
  send(db, 'logShot', shotInput(undecided.draftId, { dial: 10, timeS: 27.6, purgeG: 4 }));
  send(db, 'logShot', shotInput(undecided.draftId, { dial: 10, timeS: 28.1, purgeG: 0 }));
  expect(advice(db, undecided.releaseId).status).toBe('repeated');
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
