import { faultOf } from '../../tests/support/fault';
import {
  BATCH,
  GRINDER,
  newId,
  openHouse,
  RECIPE,
  RELEASE,
  send,
  SETUP,
  shotInput,
  TODAY,
  WORDS,
} from '../../tests/support/house';
import { findHouse } from './house';
import { readRelease } from '@/views/release';
import type { Db } from './database';

const view = (db: Db, releaseId: string) =>
  readRelease(db, findHouse(db)!, releaseId, { today: TODAY })!;
const rows = (db: Db, table: string) =>
  (db.prepare(`SELECT count(*) AS n FROM ${table}`).get() as { n: number }).n;

describe('the whole job through commands', () => {
  it('goes from a bag to a published card', () => {
    const { db, releaseId, draftId } = openHouse();
    send(db, 'logShot', shotInput(draftId, { timeS: 22 }));
    expect(view(db, releaseId).bench!.advice.status).toBe('grind');
    send(db, 'logShot', shotInput(draftId, { dial: 11, purged: true }));
    const { shotId } = send(db, 'logShot', shotInput(draftId, { dial: 11 }));
    const bench = view(db, releaseId).bench!;
    expect(bench.advice.status).toBe('onTarget');
    expect(bench.shots.at(-1)!.restDays).toBe(12);
    // Three doses and one purge of twice the retention.
    expect(bench.spentG).toBeCloseTo(3 * 18 + 4, 9);
    send(db, 'recordTasting', {
      shotId,
      moment: 'warm',
      serving: 'straight',
      scales: { sweetness: 7, sharpness: 2 },
      notesFound: ['apricot'],
      remark: '',
      tdsPct: 9.6,
    });
    const { version } = send(db, 'publish', { releaseId, draftId, ...WORDS });
    expect(version).toBe(1);
    const done = view(db, releaseId);
    expect(done.address?.token).toMatch(/^[\w-]{24}$/);
    expect(done.bench!.shots.at(-1)!.tdsPct).toBe(9.6);
  });

  it('lets taste change the target and keeps each shot with its own recipe', () => {
    const { db, releaseId, setupId, draftId } = openHouse();
    send(db, 'logShot', shotInput(draftId));
    const revised = { ...RECIPE, releaseId, setupId, batchId: `${releaseId}-1`, yieldG: 40 };
    send(db, 'acceptRecipe', revised);
    const { shots, draft } = view(db, releaseId).bench!;
    expect(draft.revision).toBe(2);
    expect(shots).toHaveLength(1);
    expect(shots[0]!.draftId).toBe(draftId);
  });

  it('takes a shot of a bag forgotten for two years', () => {
    const { db, releaseId, draftId } = openHouse();
    const batch = { ...BATCH, roastDate: '2024-05-08' };
    const batchId = `${releaseId}-1`;
    send(db, 'saveBatch', { releaseId, batchId, rowVersion: 1, batch });
    send(db, 'logShot', shotInput(draftId));
    const { bench, batch: old } = view(db, releaseId);
    expect(old.rest).toMatchObject({ restDays: 742, state: 'fading' });
    expect(bench!.shots[0]!.restDays).toBe(365);
  });

  it('writes who did what when', () => {
    const { db, releaseId, draftId } = openHouse();
    send(db, 'logShot', shotInput(draftId));
    const events = db
      .prepare('SELECT kind, words FROM event WHERE release_id = ? ORDER BY rowid')
      .all(releaseId) as { kind: string; words: string }[];
    expect(events.map((event) => event.kind)).toEqual(['createRelease', 'acceptRecipe', 'logShot']);
    expect(events[2]!.words).toBe('logged a shot at 12: 18 → 36 g in 28 s');
  });
});

describe('a repeated submission', () => {
  it('counts once and is answered alike', () => {
    const { db, draftId } = openHouse();
    const id = newId();
    const first = send(db, 'logShot', shotInput(draftId), id);
    expect(send(db, 'logShot', shotInput(draftId), id)).toEqual(first);
    expect(rows(db, 'shot')).toBe(1);
  });

  it('is refused when the id belongs to another command', () => {
    const { db, draftId } = openHouse();
    const id = newId();
    send(db, 'logShot', shotInput(draftId), id);
    expect(faultOf(() => send(db, 'removeShot', { shotId: id }, id)).code).toBe('conflict');
  });
});

describe('undo of a shot', () => {
  it('takes it out of the dial-in and puts it back', () => {
    const { db, releaseId, draftId } = openHouse();
    const { shotId } = send(db, 'logShot', shotInput(draftId));
    send(db, 'removeShot', { shotId });
    expect(view(db, releaseId).bench!.shots).toHaveLength(0);
    send(db, 'restoreShot', { shotId });
    expect(view(db, releaseId).bench!.shots).toHaveLength(1);
  });
});

describe('publishing again', () => {
  it('makes version 2, asks what changed, keeps the address and leaves version 1 alone', () => {
    const { db, releaseId, draftId } = openHouse();
    send(db, 'publish', { releaseId, draftId, ...WORDS });
    const token = view(db, releaseId).address!.token;
    const missing = faultOf(() => send(db, 'publish', { releaseId, draftId, ...WORDS }));
    expect(missing.faults[0]!.field).toBe('whatChanged');
    send(db, 'publish', { releaseId, draftId, ...WORDS, whatChanged: 'Clearer words.' });
    expect(view(db, releaseId).versions.map((v) => v.number)).toEqual([2, 1]);
    expect(view(db, releaseId).address).toMatchObject({ token, withdrawnAt: null });
    expect(() => db.exec(`UPDATE recipe_version SET document = '{}'`)).toThrow(/never changes/);
    expect(() => db.exec('DELETE FROM recipe_version')).toThrow(/never deleted/);
  });

  it('refuses a preview that is no longer what stands on the bench', () => {
    const { db, releaseId, setupId, draftId } = openHouse();
    send(db, 'acceptRecipe', { ...RECIPE, releaseId, setupId, batchId: `${releaseId}-1` });
    expect(faultOf(() => send(db, 'publish', { releaseId, draftId, ...WORDS })).code).toBe(
      'conflict',
    );
  });
});

describe('two people on one release', () => {
  it('does not let the second overwrite the first silently', () => {
    const { db, releaseId } = openHouse();
    const edit = { releaseId, rowVersion: 1 };
    send(db, 'editRelease', { ...edit, release: { ...RELEASE, name: 'First' } });
    const late = { ...edit, release: { ...RELEASE, name: 'Second' } };
    expect(faultOf(() => send(db, 'editRelease', late)).code).toBe('conflict');
    expect(view(db, releaseId).release.name).toBe('First');
  });
});

describe('bad input is refused with field, range and remedy, and nothing is stored', () => {
  const cases: [string, Record<string, unknown>, string, RegExp][] = [
    ['dose of a bucket', { doseG: 400 }, 'doseG', /Dose 400 g is outside 3-40 g\. Enter 3-40 g/],
    ['yield beyond', { yieldG: 201 }, 'yieldG', /outside 0-200 g/],
    ['time beyond', { timeS: 181 }, 'timeS', /outside 1-180 s/],
    ['a drop that is no choke', { yieldG: 1, timeS: 15 }, 'yieldG', /under 2 g.*2-200 g/],
    ['no time', { timeS: undefined }, 'timeS', /Time is missing\. Enter 1-180 s/],
    ['words for a time', { timeS: 'soon' }, 'timeS', /not a number \(came: "soon"\)/],
    ['cold water', { temperatureC: 59 }, 'temperatureC', /outside 60-100 °C/],
    ['drip after the end', { firstDripS: 40 }, 'firstDripS', /after the shot ended.*Correct/],
    ['unknown sign', { seen: ['sparkles'] }, 'seen.0', /not one of gush/],
    ['over-long remark', { remark: 'x'.repeat(501) }, 'remark', /501 characters; it takes 500/],
    ['unknown key', { colour: 'brown' }, 'colour', /Unknown key "colour"/],
  ];

  it.each(cases)('%s', (_name, change, field, words) => {
    const { db, draftId } = openHouse();
    const before = [rows(db, 'shot'), rows(db, 'event')];
    const fault = faultOf(() => send(db, 'logShot', shotInput(draftId, change)));
    expect(fault.faults[0]!.field).toBe(field);
    expect(fault.faults[0]!.message).toMatch(words);
    expect([rows(db, 'shot'), rows(db, 'event')]).toEqual(before);
  });

  it('a roast date in the future', () => {
    const { db } = openHouse();
    const batch = { ...BATCH, roastDate: '2026-05-21' };
    const fault = faultOf(() => send(db, 'createRelease', { release: RELEASE, batch }));
    expect(fault.faults[0]).toMatchObject({ field: 'roastDate' });
    expect(fault.message).toMatch(/in the future\. Enter 2026-05-20 or an earlier day/);
    expect(rows(db, 'release')).toBe(1);
  });

  it('a name of ninety characters', () => {
    const { db } = openHouse();
    const release = { ...RELEASE, name: 'n'.repeat(90) };
    expect(faultOf(() => send(db, 'createRelease', { release, batch: BATCH })).message).toMatch(
      /it takes 80/,
    );
  });

  it('TDS over 30 %, and a TDS no dose could give', () => {
    const { db, draftId } = openHouse();
    const { shotId } = send(db, 'logShot', shotInput(draftId, { doseG: 9, yieldG: 80 }));
    const cup = {
      shotId,
      moment: 'hot',
      serving: 'straight',
      scales: { liking: 6 },
      notesFound: [],
      remark: '',
    };
    const over = faultOf(() => send(db, 'recordTasting', { ...cup, tdsPct: 31 }));
    expect(over.message).toMatch(/TDS 31 % is outside 0-30 %/);
    const impossible = faultOf(() => send(db, 'recordTasting', { ...cup, tdsPct: 20 }));
    expect(impossible.message).toMatch(/more than the dose/);
    expect(rows(db, 'tasting')).toBe(0);
  });

  it('recipe figures out of range, and a dial the grinder does not have', () => {
    const { db, releaseId, setupId } = openHouse();
    const accept = { ...RECIPE, releaseId, setupId, batchId: `${releaseId}-1` };
    const absurd = { ...accept, doseG: 2, yieldG: 1, temperatureC: 101, timeS: [0, 200] };
    const fields = faultOf(() => send(db, 'acceptRecipe', absurd)).faults.map((f) => f.field);
    expect(fields).toEqual(['doseG', 'yieldG', 'temperatureC', 'timeS.0', 'timeS.1']);
    const half = faultOf(() => send(db, 'acceptRecipe', { ...accept, restDays: [8.5, 21] }));
    expect(half.faults[0]).toMatchObject({ field: 'restDays.0' });
    expect(half.message).toMatch(/8\.5 is not a whole number/);
    const dial = faultOf(() => send(db, 'acceptRecipe', { ...accept, startDial: 31 }));
    expect(dial.message).toMatch(/outside 0-30 of Grinder/);
  });

  it('a setup whose dial ends before it begins', () => {
    const { db } = openHouse();
    const setup = { ...SETUP, grinder: { ...GRINDER, min: 40 } };
    const fault = faultOf(() => send(db, 'saveSetup', { setup }));
    expect(fault.faults[0]!.field).toBe('setup.grinder.max');
  });

  it('an unknown command and a missing id', () => {
    const { db } = openHouse();
    expect(faultOf(() => send(db, 'dropTables', {})).message).toMatch(/no command/);
    expect(faultOf(() => send(db, 'logShot', {}, 'short')).message).toMatch(/command id/);
  });
});
