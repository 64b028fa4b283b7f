import { findHouse } from '@/data/house';
import { readHouseModel } from './houseModel';
import { listDecided } from './history';
import {
  BATCH,
  openHouse,
  PASSED,
  RECIPE,
  RELEASE,
  send,
  shotInput,
  stopClock,
  WORDS,
} from '../../tests/support/house';
import type { Db } from '@/data/database';

const decided = (db: Db) => listDecided(db, findHouse(db)!);
const publish = (db: Db, releaseId: string, draftId: string, changes = {}) =>
  send(db, 'publish', { releaseId, draftId, ...WORDS, passed: PASSED, ...changes });

describe('what the model learns from', () => {
  it('is nothing before a recipe is published, and then that recipe as it ended', () => {
    const { db, releaseId, draftId } = openHouse();
    expect(decided(db)).toEqual([]);
    send(db, 'logShot', shotInput(draftId, { dial: 11.5 }));
    publish(db, releaseId, draftId);
    expect(decided(db)).toMatchObject([
      {
        version: 1,
        dial: 11.5,
        draft: { releaseId, recipe: { doseG: 18, yieldG: 36 } },
        facts: { restDays: 12 },
      },
    ]);
  });

  it('is each release once, with its newest version', () => {
    const { db, releaseId, draftId, setupId } = openHouse();
    publish(db, releaseId, draftId);
    stopClock('2026-05-21');
    const batchId = `${releaseId}-1`;
    const longer = { ...RECIPE, releaseId, batchId, setupId, yieldG: 42 };
    const second = send(db, 'acceptRecipe', longer).draftId;
    expect(decided(db)).toMatchObject([{ draft: { recipe: { yieldG: 36 } } }]);
    publish(db, releaseId, String(second), { whatChanged: 'longer' });
    expect(decided(db)).toMatchObject([{ version: 2, draft: { recipe: { yieldG: 42 } } }]);
  });

  it('stays when a recipe is withdrawn because the coffee is over, and goes when it was wrong', () => {
    const { db, releaseId, draftId } = openHouse();
    publish(db, releaseId, draftId);
    send(db, 'withdraw', { releaseId, why: 'Sold out.' });
    expect(decided(db)).toHaveLength(1);
    send(db, 'showAgain', { releaseId });
    send(db, 'withdraw', { releaseId, why: 'Uneven.', wasWrong: true });
    expect(decided(db)).toEqual([]);
    send(db, 'showAgain', { releaseId });
    expect(decided(db)).toHaveLength(1);
  });
});

describe('the house model', () => {
  it('is kept while shots are logged, and learnt anew when a fact or a recipe changes', () => {
    const { db, releaseId, draftId } = openHouse();
    const read = () => readHouseModel(db, findHouse(db)!);
    publish(db, releaseId, draftId);
    const first = read();
    stopClock('2026-05-21');
    send(db, 'logShot', shotInput(draftId));
    expect(read()).toBe(first);
    expect(read().modelOf('wide')).toBe(first.modelOf('wide'));
    send(db, 'editRelease', {
      releaseId,
      rowVersion: 1,
      release: { ...RELEASE, components: [{ ...RELEASE.components[0], process: 'natural' }] },
    });
    expect(read()).not.toBe(first);
    expect(read().history[0]!.release.components![0]!.process).toBe('natural');
    const second = read();
    send(db, 'saveBatch', {
      releaseId,
      batchId: `${releaseId}-1`,
      rowVersion: 1,
      batch: { ...BATCH, roastLevel: 1 },
    });
    expect(read()).not.toBe(second);
  });

  it('hears of a shot that comes late: pulled before the recipe was decided, sent after', () => {
    const { db, releaseId, draftId } = openHouse();
    const dialOf = () => readHouseModel(db, findHouse(db)!).decided[0]!.dial;
    send(db, 'logShot', shotInput(draftId));
    publish(db, releaseId, draftId);
    stopClock('2026-05-21');
    expect(dialOf()).toBe(12);
    const late = { dial: 11, pulledAt: '2026-05-20T12:00:00.000Z' };
    const { shotId } = send(db, 'logShot', shotInput(draftId, late));
    expect(dialOf()).toBe(11);
    send(db, 'removeShot', { shotId });
    expect(dialOf()).toBe(12);
  });

  it('finds where an uncalibrated grinder’s reference lies from past recipes, and leaves a calibrated one', () => {
    const { db, releaseId, draftId } = openHouse();
    const read = () => readHouseModel(db, findHouse(db)!);
    const grinder = {
      id: 'g',
      stepSize: 0.5,
      finerIs: 'lower',
      min: 0,
      max: 30,
      retentionG: 2,
    } as const;
    expect(read().withReference(grinder)).toBe(grinder);
    publish(db, releaseId, draftId);
    const [past] = read().decided;
    const found = read().withReference(past!.setup.grinder);
    // A landrace is ground finer than the reference, so the reference lies at a coarser dial.
    expect(found.referenceDial).toBeGreaterThan(12);
    const calibrated = { ...grinder, referenceDial: 20 };
    expect(read().withReference(calibrated)).toBe(calibrated);
  });

  it('counts older recipes less, by the half-life of the house', () => {
    const { db, releaseId, draftId } = openHouse();
    publish(db, releaseId, draftId);
    const csv = 'release,decided on,dose,yield,temp,time\nLot,2026-05-16,18,40,93,28';
    send(db, 'importReleases', {
      csv: 'release,roast date\nLot,2026-05-01',
      mapping: { name: 'release', roastDate: 'roast date' },
      dateOrder: 'ymd',
    });
    send(db, 'importRecipes', {
      csv,
      mapping: {
        release: 'release',
        decidedOn: 'decided on',
        doseG: 'dose',
        yieldG: 'yield',
        temperatureC: 'temp',
        time: 'time',
      },
      dateOrder: 'ymd',
    });
    send(db, 'saveRules', { rowVersion: 1, rules: [], halfLife: 5 });
    const { history, decided: recipes } = readHouseModel(db, findHouse(db)!);
    expect(recipes.map(({ name }) => name)).toEqual(['Lot', 'Dembi Ridge']);
    expect(history.map(({ weight }) => weight!.toFixed(4))).toEqual(['0.8706', '1.0000']);
  });
});
