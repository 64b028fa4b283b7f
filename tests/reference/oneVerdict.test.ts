/**
 * What once contradicted itself: the same judgement, said in two places by two rules, or said of something that is not
 * so. Each row was seen to fail on the program that said it.
 */
import fc from 'fast-check';
import { adviseCardReader, type CardReaderShot } from '@/core/advice/cardReader';
import { nextMove } from '@/core/advice/next';
import { opening } from '@/core/cafes/alarms';
import { answerAtTheBar, NOTHING_KNOWN } from '@/core/cafes/atTheBar';
import { figure } from '@/core/figure';
import { fitRecipe } from '@/core/fits/fit';
import type { Shot } from '@/core/schema/shot';
import { findHouse } from '@/data/house';
import { readCafeNews } from '@/views/cafeNews';
import { readCafes } from '@/views/cafes';
import { learnFromCafes } from '@/views/cafesModel';
import { readRelease } from '@/views/release';
import { readStart } from '@/views/start';
import { readToday } from '@/views/today';
import { publishedBody } from '@/features/publish/document';
import { readinessOf } from '@/features/publish/readiness';
import { headOf } from '@/words/adviceWords';
import { publicWords } from '@/words/publicWords';
import { say } from '@/words/say';
import { houseWithCafes, sendDays } from '../support/cafes';
import { grinder as GRINDER, question, shot, target } from '../support/coffee';
import { BATCH, COMPONENT, PASSED, RELEASE, send, shotInput, TODAY, WORDS } from '../support/house';
import { houseWith, type ViewedHouse } from '../support/view';

const said = (shots: readonly Partial<Shot>[]) =>
  nextMove(question(shots.map(shot)))
    .reasons.map(({ message }) => say(message))
    .join(' ');

describe('age on Pull', () => {
  it('is said as Rest says it: an older coffee runs faster', () => {
    const older = said([{ restDays: 8 }, { timeS: 23, restDays: 18 }]);
    expect(older).toMatch(/10 days older.*about [23]\.\d s faster of this is age/);
    expect(older).not.toMatch(/slower/);
  });

  it('is said of a younger bag as younger, never as minus days', () => {
    const younger = said([{ restDays: 22 }, { timeS: 34, restDays: 8 }]);
    expect(younger).toMatch(/14 days younger.*s slower of this is age/);
    expect(younger).not.toMatch(/[-−]\d+ days/);
  });
});

describe('what is expected of the next shot', () => {
  it('is one figure: the seconds a reason gives for pulling it again are those expected', () => {
    let met = 0;
    const times = fc.array(fc.double({ min: 22, max: 34, noNaN: true }), {
      minLength: 3,
      maxLength: 6,
    });
    fc.assert(
      fc.property(times, (all) => {
        const { reasons, expect: expected } = nextMove(
          question(all.map((timeS) => shot({ timeS }))),
        );
        const outvoted = reasons.find(({ code }) => code === 'outvoted');
        if (!outvoted) return;
        met++;
        expect(figure(Number(outvoted.message.values!.timeS), 0)).toBe(figure(expected.timeS, 0));
      }),
      { numRuns: 400 },
    );
    expect(met).toBeGreaterThan(5);
  });

  it('is the same on the offer of a new batch as once it is on the bench', () => {
    for (const timeS of [25.6, 27, 28.4, 29.5]) {
      const house = houseWith({ timeS }, { timeS });
      const { db, releaseId, view } = house;
      db.exec("UPDATE recipe_draft SET decided_on = '2026-05-16'");
      const batch = { ...BATCH, roastDate: '2026-05-10' };
      const { batchId } = send(db, 'saveBatch', { releaseId, batch });
      const offered = view().newBatch!.advice.expect;
      send(db, 'carryRecipe', { releaseId, batchId });
      const { advice } = view().bench!;
      const said = advice.reasons.find(({ code }) => code === 'newBatch')!.message.values!.timeS;
      expect(figure(Number(said), 0)).toBe(figure(advice.expect.timeS, 0));
      expect(figure(advice.expect.timeS, 0)).toBe(figure(offered.timeS, 0));
    }
  });
});

describe('what is public', () => {
  const figures = (house: ViewedHouse) => publicWords(house.view().published);
  const publish = ({ db, releaseId, view }: ViewedHouse) =>
    send(db, 'publish', {
      releaseId,
      draftId: view().bench!.draft.id,
      ...WORDS,
      passed: PASSED,
    });

  it('is named by its figures where the bench is another recipe', () => {
    const house = houseWith({}, {});
    expect(figures(house)).toBe('not published');
    publish(house);
    expect(figures(house)).toBe('version 1 is public');
    const { recipe, ...draft } = house.view().bench!.draft;
    const { ratio: _ratio, ...sent } = recipe;
    send(house.db, 'acceptRecipe', {
      ...sent,
      ...{ yieldG: 40, timeS: [27, 31] },
      releaseId: house.releaseId,
      ...{ batchId: draft.batchId, setupId: draft.setupId, style: draft.style },
      ...{ temperatureSchool: draft.temperatureSchool, drink: draft.drink },
      ...{ startDial: 12, why: 'longer', basedOn: draft.id },
    });
    expect(house.view().published).toMatchObject({ isThis: false, differs: ['yieldG', 'timeS'] });
    expect(figures(house)).toBe('public (version 1): 36.0 g, 26-30 s');
  });
});

describe('repeated on target', () => {
  const bodyOf = ({ db, view }: ViewedHouse) =>
    publishedBody(findHouse(db)!, view(), WORDS, { today: TODAY });
  const onTarget = ({ view }: ViewedHouse) =>
    readinessOf(view()).find(({ gate }) => gate === 'confirmed')!.isMet;

  /** Two cups of a flight, each pulled as its arm says. */
  function pourFlight({ db, releaseId, draftId }: ViewedHouse, pulls: readonly object[]): void {
    const asMade = { draftId, doseG: 18, yieldG: 36, temperatureC: 93, dial: 12 };
    const arms = pulls.map((pull, i) => ({
      label: `cup ${i}`,
      serving: 'straight',
      pull: { ...asMade, timeS: [26, 30], clock: 'pump', ...pull },
    }));
    const { flightId } = send(db, 'planFlight', {
      ...{ releaseId, test: 'paired', question: 'Which is liked more?', arms },
      ...{ places: 2, hours: 4 },
    });
    const rows = db.prepare('SELECT code, arm FROM flight_cup WHERE flight_id = ?').all(flightId);
    for (const { code, arm } of rows as { code: string; arm: number }[]) {
      const pulled = { ...asMade, ...pulls[arm], timeS: 'timeS' in pulls[arm]! ? 22 : 28 };
      const { shotId } = send(db, 'logShot', shotInput(draftId, pulled));
      send(db, 'pourCup', { flightId, code, shotId });
    }
  }

  it('is counted once for Publish and card, and cups of a flight do not break it', () => {
    const house = houseWith({}, {});
    expect([onTarget(house), bodyOf(house).confirmedShots]).toEqual([true, 2]);
    pourFlight(house, [{ yieldG: 40 }, { dial: 13, timeS: [20, 24] }]);
    expect(house.view().bench!.advice.setting.dial).toBe(12);
    expect([onTarget(house), bodyOf(house).confirmedShots]).toEqual([true, 2]);
  });

  it('is not printed of shots in the window that do not show that it holds', () => {
    for (const house of [houseWith({ timeS: 29.9 }, { timeS: 29.8 }), houseWith({})])
      expect([onTarget(house), bodyOf(house).confirmedShots]).toEqual([false, 0]);
  });

  it('finds notes in cups of this recipe alone, not of a former one', () => {
    const house = houseWith({});
    const { db, releaseId, view } = house;
    const [first] = view().bench!.shots;
    const cup = { moment: 'hot', serving: 'straight', remark: '', scales: { liking: 7 } };
    send(db, 'recordTasting', { ...cup, shotId: first!.id, notesFound: ['apricot'] });
    expect(bodyOf(house).coffee.promisedNotes).toEqual(['apricot']);
    const { recipe, ...draft } = view().bench!.draft;
    const { ratio: _ratio, ...sent } = recipe;
    send(db, 'acceptRecipe', {
      ...sent,
      ...{ yieldG: 42, releaseId, batchId: draft.batchId, setupId: draft.setupId },
      ...{ style: draft.style, temperatureSchool: draft.temperatureSchool, drink: draft.drink },
      ...{ startDial: 12, why: 'longer', basedOn: draft.id },
    });
    expect(bodyOf(house).coffee.promisedNotes).toEqual([]);
  });
});

describe('coffee left', () => {
  it('of a bag counts what came out of it, and ordinary stock is apart', () => {
    const house = houseWith({}, {}, {});
    const { db, releaseId, view } = house;
    const batchId = view().batch.id;
    expect(view().batch.leftG).toBeNull();
    const sample = { label: 'Freezer 1', bagG: 250, place: '' };
    const { sampleId } = send(db, 'saveSample', { batchId, sample });
    expect(view().batch.leftG).toBe(250);
    expect(view().batch.samples.map(({ bagG, spentG }) => bagG - spentG)).toEqual([250]);
    send(db, 'openSample', { batchId, sampleId });
    send(db, 'logShot', shotInput(view().bench!.draft.id));
    const { bagG, spentG } = view().batch.samples[0]!;
    expect(spentG).toBeGreaterThan(17);
    expect(view().batch.leftG).toBe(bagG - spentG);
    expect(
      readToday(db, findHouse(db)!, { today: TODAY }).find(({ id }) => id === releaseId)!.due,
    ).not.toContainEqual(expect.objectContaining({ code: 'sample' }));
  });
});

describe('the first dial', () => {
  /** A coffee of its own, at Start with the only setup. */
  const arrived = ({ db }: ViewedHouse) => {
    const { releaseId: id } = send(db, 'createRelease', {
      release: { ...RELEASE, name: 'Serra do Lume', components: [COMPONENT] },
      batch: BATCH,
    });
    const releaseId = String(id);
    const today = { today: TODAY };
    const view = readRelease(db, findHouse(db)!, releaseId, today)!;
    return { releaseId, start: readStart(db, findHouse(db)!, view, {}, today) };
  };

  it('is the same at Start and on Pull', () => {
    const house = houseWith({ timeS: 20 }, { dial: 9, timeS: 27.5 }, { dial: 9, timeS: 28 });
    const { db } = house;
    send(db, 'publish', {
      ...{ releaseId: house.releaseId, draftId: house.view().bench!.draft.id },
      ...{ ...WORDS, passed: PASSED },
    });
    const { releaseId, start } = arrived(house);
    expect(start.firstDial).toMatchObject({ from: 'memory', dialIns: 1 });
    const { ratio: _ratio, ...recipe } = start.proposal.recipe;
    send(db, 'acceptRecipe', {
      ...recipe,
      ...{ releaseId, batchId: start.batch.id, setupId: start.setup!.id },
      ...{ style: 'classic', temperatureSchool: 'both', startDial: start.firstDial!.dial, why: '' },
    });
    const { advice } = readRelease(db, findHouse(db)!, releaseId, { today: TODAY })!.bench!;
    expect(advice.setting.dial).toBe(start.firstDial!.dial);
  });

  it('is a guess where nothing is known, and said to be one', () => {
    expect(arrived(houseWith()).start.firstDial).toMatchObject({ from: 'guess', dialIns: 0 });
  });
});

describe('one next step', () => {
  const LIKED = { sharpness: 2, bitterness: 2, sweetness: 7, liking: 9 };

  it('is not a window moved by one cup of a setting that holds its own', () => {
    const shots = [27.8, 28.2, 27.9, 28.1, 30.4].map((timeS) => shot({ timeS, taste: LIKED }));
    const advice = nextMove(question(shots));
    expect(advice.status).toBe('approved');
    expect(advice.window).toBeNull();
    expect(advice.alternatives.map(({ message }) => say(message)).join()).not.toMatch(/window/);
  });
});

describe('a reason', () => {
  it('names the yield where the yield was off, never a dose that explains nothing', () => {
    const words = said([{ timeS: 22, yieldG: 37.6 }]);
    expect(words).toMatch(/the yield explains about \d\.\d s of it/);
    expect(words).not.toMatch(/0\.0 s/);
  });

  it('says that a move leads to the end of the dial', () => {
    const grinder = { ...GRINDER, min: 0, max: 12 };
    const far = nextMove(question([shot({ dial: 3, timeS: 14 })], { grinder }));
    expect(far.move!.to).toBe(0);
    expect(say(far.move!.message)).toBe('Finer, 3 → 0 (the end of its dial)');
  });

  it('asks for the beans as before, not for better puck prep, where the beans differ', () => {
    const asked = question([shot({ timeS: 28 }), shot({ timeS: 24, beans: 'warm' })]);
    expect(headOf(nextMove(asked))).toBe('Same again, with beans as before');
  });
});

describe('what is expected of a changed recipe', () => {
  const bitter = { sharpness: 1, bitterness: 8, dryness: 6, sweetness: 3, liking: 2 };
  const before = nextMove(question([shot({ taste: bitter })]));

  it('is that of the recipe advised, window and all', () => {
    expect(before.move).toMatchObject({ variable: 'yieldG', from: 36 });
    const { yieldG, timeS } = before.pulled;
    expect(yieldG).toBeLessThan(36);
    expect(before.expect.timeS).toBeLessThan(27);
    // The same once it is on the bench.
    const after = nextMove(
      question([shot({ taste: bitter })], {
        target: target({ yieldG, timeS: [...timeS] }),
        targetFrom: 1,
      }),
    );
    expect(after.expect.timeS).toBeCloseTo(before.expect.timeS, 0);
    expect(after.pulled.timeS).toEqual(timeS);
  });
});

describe('a dose for one grinder', () => {
  const card = {
    ...{ doseG: 19, yieldG: 45, temperatureC: 93, clock: 'pump' as const },
    timeS: [25, 30] as [number, number],
  };
  const place = {
    ...{ canShape: true, hasScale: true, isPressurised: false, clock: 'pump' as const },
  };
  const fitted = (ratedG: number) =>
    fitRecipe({
      recipe: card,
      style: 'classic',
      from: { diameterMm: 58, ratedG: 18 },
      to: { ...place, diameterMm: 58, ratedG },
      cremaGPerMl: 0.75,
    });

  it('is never fitted to more than half a gram over another basket, nor its window widened for two grams', () => {
    const [near, far] = [fitted(20), fitted(22)];
    expect(near.recipe).toMatchObject({ doseG: 20.5, timeS: [25, 30] });
    // No factor acted on its time, so its cups teach none.
    expect(near.lnLaw).toBe(0);
    expect(far.recipe!.doseG).toBe(22.5);
    expect(far.recipe!.timeS[1] - far.recipe!.timeS[0]).toBeGreaterThan(8);
    expect(far.lnLaw).toBeGreaterThan(0.2);
  });
});

describe('a cup its reader likes', () => {
  const card = {
    ...{ doseG: 19, yieldG: 38, temperatureC: 93, clock: 'pump' as const },
    timeS: [25, 30] as [number, number],
  };
  const asked = (...shots: Partial<CardReaderShot>[]) =>
    adviseCardReader({
      card,
      tolerance: { doseG: 0.3, yieldG: 1.5 },
      ...{ roastLevel: 0, ratedG: 18, cremaGPerMl: 0.75 },
      shots: shots.map((one) => ({ timeS: 27, clock: 'pump', finerSteps: 0, ...one })),
    });

  it('is kept by the public card, whatever the clock says', () => {
    expect(asked({ timeS: 20, taste: 'right' })).toMatchObject({ status: 'approved', move: null });
    expect(asked({ timeS: 20, taste: 'sour' }).move).not.toBeNull();
  });

  it('comes after its dose: 16 g where 19 g are meant', () => {
    expect(asked({ doseG: 16 })).toMatchObject({
      status: 'dose',
      move: { variable: 'doseG', from: 16, to: 19 },
    });
  });

  it('is kept by a café’s sheet too', () => {
    const at = (timeS: number, taste?: string) =>
      answerAtTheBar(
        { doseG: 18, yieldG: 36, timeS, dial: 0, taste },
        NOTHING_KNOWN,
        { doseG: 18, yieldG: 36, timeS: 28 },
        [26, 30],
      ).first;
    expect([at(22), at(22, 'fine'), at(24, 'fine')]).toEqual(['grind', 'stay', 'stay']);
  });
});

describe('a café in the field', () => {
  it('that has been off since its first check is off, on Field and on Today', () => {
    const house = houseWithCafes({ name: 'Quay Nine' }, { name: 'Third Lantern' });
    const { db, ids } = house;
    sendDays(house, 3, (cafe) => ({ offLn: cafe === 0 ? -0.2 : 0 }));
    learnFromCafes(db, findHouse(db)!);
    const { signals, standings } = readCafes(db, findHouse(db)!);
    expect(signals).toEqual([]);
    expect(standings).toMatchObject([{ partnerId: ids[0], kind: 'off' }]);
    expect(standings[0]!.words).toMatch(
      /^Quay Nine: Dembi Ridge [45]\.\d s fast, .* in its window$/,
    );
    expect(readCafeNews(db, findHouse(db)!)).toEqual([standings[0]!.words]);
  });

  it('is too new to judge before its checks allow it, and its first ones are counted', () => {
    const house = houseWithCafes({ name: 'Quay Nine' });
    const { db } = house;
    sendDays(house, 1, () => ({ offLn: -0.2 }));
    db.prepare('UPDATE field_check SET removed_at = ? WHERE rowid = 1').run('2026-05-20T10:00:00Z');
    learnFromCafes(db, findHouse(db)!);
    expect(readCafes(db, findHouse(db)!).standings.map(({ words }) => words)).toEqual([
      'Quay Nine: Dembi Ridge too new to judge: 2 of 2 fast so far',
    ]);
  });

  it('is judged by the days of its checks, not by when they arrived', () => {
    const steady = [30, 31, 32].map((atDay) => ({ atDay, coffees: ['a'] }));
    const sure = { coffee: null, probability: 0.99, fromDay: 40, size: -0.2, sd: 0.03 };
    expect(opening([sure], [], { nowDay: 41, visits: steady })).toMatchObject({ state: 'open' });
    expect(opening([sure], [], { nowDay: 41, visits: steady.slice(1) })).toBeNull();
  });
});
