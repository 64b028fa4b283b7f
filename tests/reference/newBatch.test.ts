/**
 * The daily case, by the commands the screens send: a new roast batch of a coffee with a recipe. Carried over
 * in one press, confirmed by a shot and a cup, published again with the new batch.
 */
import { UserFault } from '@/core/errors';
import { findHouse } from '@/data/house';
import { listVersions } from '@/data/publications';
import { readinessOf } from '@/features/publish/readiness';
import { readDocument } from '@/formats/recipe/readers';
import { findRelease } from '@/data/releases';
import { SHEETS } from '@/features/import/sheets';
import { suggestMapping } from '@/formats/sheets/columns';
import { parseCsv } from '@/formats/sheets/csv';
import { readHouseModel } from '@/views/houseModel';
import { readRecords } from '@/views/records';
import { readFind } from '@/views/find';
import { readLog } from '@/views/log';
import { batchChoices, lookedAt, type AskedBatch } from '@/views/lookedAt';
import { readRelease } from '@/views/release';
import { readToday } from '@/views/today';
import {
  BATCH,
  newId,
  openHouse,
  RECIPE,
  send,
  shotInput,
  stopClock,
  WORDS,
} from '../support/house';

const LIKED = {
  moment: 'hot',
  serving: 'straight',
  notesFound: [],
  remark: '',
  scales: { acidity: 6, sharpness: 2, sweetness: 6, bitterness: 2, dryness: 1, liking: 8 },
};
const DAY = '2026-06-03';

/** A house whose recipe was on target and published on its first batch, and a second roasted since. */
function openSecondBatch(batch: Record<string, unknown> = {}) {
  const { db, releaseId, draftId } = openHouse();
  for (const timeS of [28, 28.4, 27.8]) {
    const { shotId } = send(db, 'logShot', shotInput(draftId, { timeS }));
    send(db, 'recordTasting', { ...LIKED, shotId });
  }
  send(db, 'publish', { ...WORDS, releaseId, draftId });
  stopClock(DAY);
  const input = { ...BATCH, roastDate: '2026-05-24', ...batch };
  const { batchId } = send(db, 'saveBatch', { releaseId, batch: input });
  const view = () => readRelease(db, findHouse(db)!, releaseId, { today: DAY })!;
  return { db, releaseId, firstDraftId: draftId, batchId: String(batchId), view };
}

type Second = ReturnType<typeof openSecondBatch>;

function carry({ db, releaseId, batchId }: Second): string {
  return String(send(db, 'carryRecipe', { releaseId, batchId }).draftId);
}

const pull = ({ db }: Second, draftId: string, changes: Record<string, unknown> = {}) =>
  String(send(db, 'logShot', shotInput(draftId, changes)).shotId);

describe('a new batch of a coffee that has a recipe', () => {
  it('is offered on the last recipe, first of all that is due', () => {
    const second = openSecondBatch();
    const { newBatch } = second.view();
    expect(newBatch).toMatchObject({
      batchId: second.batchId,
      restDays: 10,
      source: { dial: 12 },
      isRatioMoved: false,
      recipe: { doseG: 18, yieldG: 36 },
    });
    expect(newBatch!.advice.expect.interval80[0]).toBeLessThan(28);
    expect(newBatch!.advice.expect.interval80[1]).toBeGreaterThan(28);
    const [standing] = readToday(second.db, findHouse(second.db)!, { today: DAY });
    expect(standing).toMatchObject({ toCarry: second.batchId });
    expect(standing!.due[0]).toMatchObject({ code: 'newBatch', stage: 'pull' });
  });

  it('carries over with one shot and one cup, and republishes with the new batch', () => {
    const second = openSecondBatch();
    const { db, releaseId } = second;
    const draftId = carry(second);
    expect(second.view()).toMatchObject({
      newBatch: null,
      batch: { id: second.batchId },
      bench: { draft: { id: draftId, carriedFrom: second.firstDraftId } },
    });
    const shotId = pull(second, draftId, { timeS: 28.1 });
    expect(second.view().bench!.advice.status).toBe('onTarget');
    expect(readinessOf(second.view()).filter(({ isMet }) => !isMet)).toMatchObject([
      { gate: 'tasted' },
    ]);
    send(db, 'recordTasting', { ...LIKED, shotId });
    expect(second.view().bench!.advice.status).toBe('approved');
    send(db, 'publish', {
      ...WORDS,
      passed: {},
      releaseId,
      draftId,
      whatChanged: 'New batch.',
    });
    const [newest] = listVersions(db, releaseId);
    const { body } = readDocument(newest!.document);
    expect(newest!.number).toBe(2);
    expect(body.coffee.roastDate).toBe('2026-05-24');
    expect(body).toMatchObject({ recipe: { doseG: 18, yieldG: 36 }, confirmedShots: 4 });
    const { dialIns } = readRecords(db, findHouse(db)!);
    expect(dialIns.map(({ shots, isOnTarget }) => [shots, isOnTarget])).toEqual([
      [2, true],
      [1, true],
    ]);
  });

  it('is dialled in anew where it lies far off', () => {
    const second = openSecondBatch();
    const draftId = carry(second);
    pull(second, draftId, { timeS: 40 });
    expect(second.view().bench!.advice.reasons.map(({ code }) => code)).not.toContain('dialInAnew');
    pull(second, draftId, { timeS: 40.5 });
    const { advice } = second.view().bench!;
    expect(advice.reasons[0]!.code).toBe('dialInAnew');
    expect(advice.move).toMatchObject({ variable: 'dial' });
    expect(advice.move!.to).toBeGreaterThan(12);
  });

  it('that is darker is expected slower, and far darker gets a shorter ratio', () => {
    const mean = (second: Second) => second.view().newBatch!.advice.setting.dial;
    expect(mean(openSecondBatch({ roastLevel: 0.45 }))).toBeGreaterThan(mean(openSecondBatch()));
    const { recipe, isRatioMoved } = openSecondBatch({ roastLevel: 1 }).view().newBatch!;
    expect(isRatioMoved).toBe(true);
    expect(recipe.yieldG).toBeLessThan(32);
  });

  it('is not offered a recipe that was withdrawn as wrong', () => {
    const second = openSecondBatch();
    const { db, releaseId } = second;
    send(db, 'withdraw', { releaseId, why: 'bitter everywhere', wasWrong: true });
    expect(second.view().newBatch).toBeNull();
    send(db, 'showAgain', { releaseId });
    expect(second.view().newBatch).not.toBeNull();
  });

  it('is offered a recipe of the house’s own records, where the record says its dial', () => {
    const { db, releaseId } = openHouse();
    const record = (dial: string) =>
      `release,decided on,dose g,yield g,time,temperature,dial\nRío Alto,2026-05-10,18,38,27-31,93,${dial}`;
    const take = (dial: string) => {
      const csv = record(dial).replace('Río Alto', findRelease(db, releaseId)!.name);
      const mapping = suggestMapping(SHEETS.recipes.columns, parseCsv(csv).columns);
      send(db, 'importRecipes', { csv, mapping, dateOrder: 'ymd' });
      const { id } = db
        .prepare('SELECT id FROM recipe_draft ORDER BY rowid DESC LIMIT 1')
        .get() as { id: string };
      send(db, 'useRecipe', { releaseId, draftId: id });
    };
    stopClock(DAY);
    send(db, 'saveBatch', { releaseId, batch: { ...BATCH, roastDate: '2026-05-24' } });
    const offered = () => readRelease(db, findHouse(db)!, releaseId, { today: DAY })!.newBatch;
    expect(offered()).toBeNull();
    take('11');
    expect(offered()).toMatchObject({ source: { dial: 11 }, recipe: { yieldG: 38 } });
  });

  it('waits while it is too fresh', () => {
    expect(openSecondBatch({ roastDate: '2026-06-02' }).view().newBatch).toBeNull();
  });

  it('reads the dial on the scale of the grinder’s period', () => {
    const second = openSecondBatch();
    const { id: grinderId, rowVersion, ...fields } = second.view().bench!.setup.grinder;
    const calibrated = { ...fields, referenceDial: 11 };
    send(second.db, 'savePart', { part: 'grinder', id: grinderId, rowVersion, fields: calibrated });
    const dialBefore = second.view().newBatch!.advice.setting.dial;
    const stepsBefore = readHouseModel(second.db, findHouse(second.db)!).history.map(
      ({ grindSteps }) => grindSteps,
    );
    send(second.db, 'beginCalibrationPeriod', {
      grinderId,
      kind: 'zero',
      shift: 3,
      reason: 'cleaned',
    });
    expect(second.view().newBatch).toMatchObject({
      source: { dial: 15 },
      advice: { setting: { dial: dialBefore + 3 } },
    });
    // The house's own past dials are read on the same scale: what it learnt of grind stands.
    const { history } = readHouseModel(second.db, findHouse(second.db)!);
    expect(history.map(({ grindSteps }) => grindSteps)).toEqual(stepsBefore);
    const [low, high] = second.view().newBatch!.advice.expect.interval80;
    send(second.db, 'beginCalibrationPeriod', { grinderId, kind: 'burrs', reason: 'worn out' });
    const wide = second.view().newBatch!.advice.expect.interval80;
    expect(wide[1] - wide[0]).toBeGreaterThan(1.5 * (high - low));
  });

  it('is carried once: a second press is told so, and changes nothing', () => {
    const second = openSecondBatch();
    carry(second);
    const before = second.view().bench!.draft.id;
    expect(() =>
      send(second.db, 'carryRecipe', { releaseId: second.releaseId, batchId: second.batchId }),
    ).toThrow(UserFault);
    expect(second.view().bench!.draft.id).toBe(before);
    // The same press sent again, its answer having been lost, is stored once.
    const third = openSecondBatch();
    const id = newId();
    const input = { releaseId: third.releaseId, batchId: third.batchId };
    send(third.db, 'carryRecipe', input, id);
    send(third.db, 'carryRecipe', input, id);
    expect(third.view().bench!.draft.revision).toBe(1);
  });
});

describe('the batch before it', () => {
  /** Carried over: the first batch with its shots and cups is no longer on the bench. */
  function carriedOver() {
    const second = openSecondBatch();
    const draftId = carry(second);
    const { db, releaseId } = second;
    const house = findHouse(db)!;
    const onBench = () => second.view();
    const look = (asked: AskedBatch) => {
      const at = lookedAt(db, onBench(), asked);
      return at && readRelease(db, house, releaseId, { today: DAY, lookedAt: at })!;
    };
    return { ...second, draftId, onBench, look };
  }

  it('can be looked at with its shots, cups and recipe, while the bench stays as it is', () => {
    const { db, firstDraftId, draftId, onBench, look } = carriedOver();
    expect(onBench().bench!.shots).toHaveLength(0);
    const choices = batchChoices(db, onBench());
    expect(choices).toMatchObject([
      { shots: 0, isOnBench: true },
      { shots: 3, isOnBench: false },
    ]);
    const dialIn = choices[1]!.query.replace('dialIn=', '');
    for (const asked of [{ dialIn }, { batch: choices[1]!.batchId }]) {
      const view = look(asked)!;
      expect(view.bench).toMatchObject({ isOnBench: false, draft: { id: firstDraftId } });
      expect(view.bench!.shots.flatMap(({ tastings }) => tastings)).toHaveLength(3);
      expect(view).toMatchObject({ benchDraftId: draftId, newBatch: null });
      expect(view.batch.id).toBe(choices[1]!.batchId);
    }
    // What is on the bench, and what the coffee does not have, leave the bench.
    expect(look({ dialIn: choices[0]!.query.replace('dialIn=', '') })).toBeUndefined();
    expect(look({ dialIn: 'none', batch: choices[1]!.batchId })).toBeUndefined();
    expect(look({ batch: ['a', 'b'] })).toBeUndefined();
    expect(look({})).toBeUndefined();
  });

  it('is chosen by dial-in where it was pulled on several setups, and shown without a recipe where on none', () => {
    const { db, releaseId, onBench, look } = carriedOver();
    const { batchId } = send(db, 'saveBatch', {
      releaseId,
      batch: { ...BATCH, roastDate: '2026-05-30' },
    });
    const { draft, setup } = onBench().bench!;
    send(db, 'acceptRecipe', {
      ...RECIPE,
      releaseId,
      batchId: draft.batchId,
      setupId: setup.id,
      style: 'longQuick',
    });
    expect(batchChoices(db, onBench()).map(({ dialInName }) => dialInName)).toEqual([
      '',
      expect.stringMatching(/^Long and quick, /),
      expect.stringMatching(/^Classic, /),
      '',
    ]);
    const view = look({ batch: String(batchId) })!;
    expect(view).toMatchObject({ bench: null, batch: { roastDate: '2026-05-30' } });
    expect(view.benchDraftId).toBe(onBench().bench!.draft.id);
  });

  it('is where Find and the log lead for its shots and cups', () => {
    const { db, releaseId, onBench } = carriedOver();
    const { query } = batchChoices(db, onBench())[1]!;
    const lines = readLog(db, releaseId).flatMap(({ href }) => href ?? []);
    expect(new Set(lines)).toEqual(
      new Set([`/releases/${releaseId}/pull?${query}`, `/releases/${releaseId}/taste?${query}`]),
    );
    const { id: shotId } = db.prepare('SELECT id FROM shot LIMIT 1').get() as { id: string };
    send(db, 'recordTasting', { ...LIKED, shotId, remark: 'quince on the finish' });
    const { hits } = readFind(db, findHouse(db)!, { q: 'quince' });
    expect(hits.map(({ href }) => href)).toEqual([`/releases/${releaseId}/taste?${query}`]);
  });

  it('goes back on the bench in words of its own, and off it again', () => {
    const { db, releaseId, firstDraftId, draftId, onBench } = carriedOver();
    const { previousDraftId } = send(db, 'useRecipe', { releaseId, draftId: firstDraftId });
    expect(previousDraftId).toBe(draftId);
    expect(onBench()).toMatchObject({ benchDraftId: firstDraftId, bench: { isOnBench: true } });
    expect(readLog(db, releaseId)[0]!.words).toMatch(
      /^put the classic recipe of the batch roasted .* on the bench again/,
    );
    // Not pulled yet, the new batch can be carried over anew; once it was, it goes on with its own.
    expect(onBench().newBatch).not.toBeNull();
    send(db, 'logShot', shotInput(draftId));
    expect(onBench().newBatch).toBeNull();
    send(db, 'useRecipe', { releaseId, draftId: String(previousDraftId) });
    expect(onBench().benchDraftId).toBe(draftId);
  });
});
