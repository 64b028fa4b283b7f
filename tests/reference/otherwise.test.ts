/** Measured otherwise: dials that are letters or turns, yields that are volumes, from the bench to the card. */
import { say } from '@/words/say';
import { GRINDER } from '@/core/entity/equipment';
import { findHouse } from '@/data/house';
import { listParts } from '@/data/equipment';
import { findShot } from '@/data/shots';
import { exportSheet } from '@/features/import/exports';
import { suggestMapping } from '@/formats/sheets/columns';
import { parseCsv, writeCsv } from '@/formats/sheets/csv';
import { SHEETS } from '@/features/import/sheets';
import { readRelease } from '@/views/release';
import { faultOf } from '../support/fault';
import { openHouse, RECIPE, send, SETUP, shotInput, stopClock, TODAY } from '../support/house';

const LETTERED = {
  ...SETUP.grinder,
  notation: 'letters',
  divisions: 8,
  min: 0,
  max: 87,
  stepSize: 1,
} as const;

/** A house whose bench has a grinder with numbers and letters: 9 C is 74. */
function letteredHouse() {
  const house = openHouse();
  const { db, releaseId } = house;
  const { setupId } = send(db, 'saveSetup', {
    setup: { ...SETUP, name: 'Lettered', grinder: { ...LETTERED, name: 'Lettered grinder' } },
  });
  const { draftId } = send(db, 'acceptRecipe', {
    ...RECIPE,
    releaseId,
    batchId: `${releaseId}-1`,
    setupId,
    startDial: 74,
  });
  return { ...house, setupId: String(setupId), draftId: String(draftId) };
}

const bench = ({ db, releaseId }: ReturnType<typeof letteredHouse>) =>
  readRelease(db, findHouse(db)!, releaseId, { today: TODAY })!.bench!;

it('advice names a lettered dial as its grinder writes it, and the log does too', () => {
  const house = letteredHouse();
  const { db, draftId } = house;
  send(db, 'logShot', shotInput(draftId, { dial: 74, timeS: 18 }));
  const { advice } = bench(house);
  expect(say(advice.move!.message)).toMatch(/^Finer, 9 C → \d [A-H]/);
  expect(advice.move!.to).toBeLessThan(74);
  const { words } = db
    .prepare("SELECT words FROM event WHERE kind = 'logShot' ORDER BY rowid DESC LIMIT 1")
    .get() as { words: string };
  expect(words).toMatch(/logged a shot at 9 C/);
  const { id: shotId } = db.prepare('SELECT id FROM shot').get() as { id: string };
  const { draftId: _of, ...entry } = shotInput(draftId, { dial: 73, timeS: 18 });
  send(db, 'correctShot', { ...entry, shotId, rowVersion: 1 });
  const corrected = db.prepare("SELECT words FROM event WHERE kind = 'correctShot'").get() as {
    words: string;
  };
  expect(corrected.words).toMatch(/corrected a shot: dial 9 C → 9 B/);
});

it('a recipe beyond the dial is refused with the dial in its letters', () => {
  const { db, releaseId, setupId } = letteredHouse();
  const asked = { ...RECIPE, releaseId, batchId: `${releaseId}-1`, setupId, startDial: 90 };
  const { faults } = faultOf(() => send(db, 'acceptRecipe', asked));
  expect(faults[0]!.message).toMatch(/Dial 11 C is outside 0 A to 10 H/);
});

it('letters go out with the shots and come in again', () => {
  const { db, draftId } = letteredHouse();
  const { shotId } = send(db, 'logShot', shotInput(draftId, { dial: 74 }));
  const csv = writeCsv(exportSheet(db, 'shots'));
  expect(csv).toContain('9 C');
  send(db, 'removeShot', { shotId });
  const mapping = suggestMapping(SHEETS.shots.columns, parseCsv(csv).columns);
  send(db, 'importShots', { csv, mapping, dateOrder: 'ymd' });
  const { dial } = db.prepare('SELECT dial FROM shot WHERE removed_at IS NULL').get() as {
    dial: number;
  };
  expect(dial).toBe(74);
  const bent = { csv: csv.replace('9 C', '9 K'), mapping, dateOrder: 'ymd' };
  expect(faultOf(() => send(db, 'importShots', bent)).faults[0]!.message).toMatch(
    /Row 2, .*“9 K” is no setting of this grinder.*A to H/,
  );
});

it('a grinder is not written otherwise once dials of it were written down', () => {
  const { db } = letteredHouse();
  const grinder = listParts(db, 'grinder').find(({ name }) => name === 'Lettered grinder')!;
  const save = (fields: object) =>
    send(db, 'savePart', {
      part: 'grinder',
      id: grinder.id,
      rowVersion: grinder.rowVersion,
      fields,
    });
  const own = Object.fromEntries(Object.keys(GRINDER).map((key) => [key, grinder[key as 'name']]));
  const fault = faultOf(() => save({ ...own, notation: 'numbers', divisions: undefined }));
  expect(fault).toMatchObject({ code: 'refused', faults: [{ field: 'notation' }] });
  expect(() => save({ ...own, retentionG: 1 })).not.toThrow();
});

it('letters need to be counted', () => {
  const { db } = openHouse();
  const fields = { ...LETTERED, name: 'Uncounted', divisions: undefined };
  const { faults } = faultOf(() => send(db, 'savePart', { part: 'grinder', fields }));
  expect(faults).toMatchObject([{ field: 'divisions', message: expect.stringMatching(/2-26/) }]);
});

describe('a yield read by volume', () => {
  it('is weighed by the house’s crema factor, kept as read, and never measured enough to prove', () => {
    const house = openHouse();
    const { db, draftId } = house;
    const log = (timeS: number) =>
      String(send(db, 'logShot', shotInput(draftId, { yieldMl: 48, yieldG: 1, timeS })).shotId);
    const shotId = log(28);
    expect(findShot(db, shotId)).toMatchObject({ yieldMl: 48, yieldG: 36 });
    log(28);
    const { advice } = readRelease(db, findHouse(db)!, house.releaseId, { today: TODAY })!.bench!;
    expect(advice.status).toBe('measure');
    expect(advice.reasons.map(({ code }) => code)).toContain('byVolume');
  });

  it('is weighed by the scale again when it is corrected to a mass', () => {
    const { db, draftId } = openHouse();
    const { draftId: _of, ...entry } = shotInput(draftId, { yieldMl: 48 });
    const { shotId } = send(db, 'logShot', { ...entry, draftId });
    const { yieldMl: _read, ...weighed } = entry as Record<string, unknown>;
    send(db, 'correctShot', { ...weighed, shotId, rowVersion: 1, yieldG: 38.2 });
    expect(findShot(db, String(shotId))).toMatchObject({ yieldG: 38.2, yieldMl: undefined });
  });
});

describe('a dial-in under way when the grinder is set to zero anew', () => {
  const underWay = () => {
    const house = openHouse();
    const { db, draftId, releaseId } = house;
    stopClock('2026-05-21');
    for (const timeS of [20, 20.4]) send(db, 'logShot', shotInput(draftId, { dial: 12, timeS }));
    stopClock('2026-05-22');
    const begin = (shift: object) =>
      send(db, 'beginCalibrationPeriod', {
        grinderId: listParts(db, 'grinder')[0]!.id,
        kind: 'zero',
        reason: 'cleaned',
        ...shift,
      });
    const advice = () =>
      readRelease(db, findHouse(db)!, releaseId, { today: TODAY })!.bench!.advice;
    return { db, draftId, begin, advice };
  };

  it('goes on with its dials on the new scale where the shift is known', () => {
    const { begin, advice } = underWay();
    const before = advice();
    begin({ shift: 5 });
    const after = advice();
    expect(after.setting.dial).toBeCloseTo(before.setting.dial + 5, 9);
    expect(after.move).toMatchObject({ from: 17, to: before.move!.to + 5 });
    expect(after.expect.timeS).toBeCloseTo(before.expect.timeS, 6);
  });

  it('counts its older shots no more where nobody knows the shift, and says so', () => {
    const { db, draftId, begin, advice } = underWay();
    begin({});
    expect(advice()).toMatchObject({ status: 'prep', move: null });
    expect(advice().reasons.map(({ code }) => code)).toEqual(['otherPeriod']);
    stopClock('2026-05-23');
    send(db, 'logShot', shotInput(draftId, { dial: 20, timeS: 28 }));
    const { marks, expect: expected } = advice();
    expect(marks.map(({ valid }) => valid)).toEqual([false, false, true]);
    expect(Math.abs(expected.timeS - 28)).toBeLessThan(2);
  });
});
