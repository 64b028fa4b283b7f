/** The rest of what a house at work does: removals, gates, withdrawals, settings, today. */
import { say } from '@/words/say';
import { faultOf } from '../../tests/support/fault';
import {
  BASKET,
  BATCH,
  COMPONENT,
  join,
  newId,
  openHouse,
  RECIPE,
  RELEASE,
  send,
  shotInput,
  TODAY,
  WORDS,
} from '../../tests/support/house';
import type { Db } from './database';
import { listParts } from './equipment';
import { listEvents } from './events';
import { findHouse } from './house';
import { findPublished, listPassedChecks } from './publications';
import { readRelease } from '@/views/release';
import { listReleaseNames } from './releases';
import { listSetups } from './setups';
import { readToday } from '@/views/today';

const view = (db: Db, releaseId: string) =>
  readRelease(db, findHouse(db)!, releaseId, { today: TODAY })!;

const CUP = {
  moment: 'warm',
  serving: 'straight',
  scales: { sweetness: 7 },
  notesFound: [],
  remark: '',
} as const;

describe('a blend and its batches', () => {
  it('is refused while its shares do not make 100 %', () => {
    const { db } = openHouse();
    const parts = [60, 39].map((sharePct) => ({ ...COMPONENT, sharePct }));
    const release = { ...RELEASE, components: parts };
    const fault = faultOf(() => send(db, 'createRelease', { release, batch: BATCH }));
    expect(fault.faults).toEqual([
      {
        field: 'release.components',
        message: 'The shares add up to 99 %. Change them so that they make 100 %.',
      },
    ]);
    expect(listReleaseNames(db)).toHaveLength(1);
  });

  it('rests by batch, and a newer batch does not take the bench', () => {
    const { db, releaseId } = openHouse();
    const { batchId } = send(db, 'saveBatch', {
      releaseId,
      batch: { ...BATCH, roastDate: '2026-05-18', label: 'B2', sampleG: 500 },
    });
    const { batches, batch } = view(db, releaseId);
    expect(batches.map(({ id, rest }) => [id, rest.restDays])).toEqual([
      [batchId, 2],
      [`${releaseId}-1`, 12],
    ]);
    expect(batch.id).toBe(`${releaseId}-1`);
    expect(readToday(db, findHouse(db)!, { today: TODAY })[0]!.due.map((d) => d.code)).toContain(
      'newBatch',
    );
  });

  it('counts its sample down by shots and purges', () => {
    const { db, releaseId, draftId } = openHouse();
    const batchId = `${releaseId}-1`;
    const batch = { ...BATCH, sampleG: 250 };
    send(db, 'saveBatch', { releaseId, batchId, rowVersion: 1, batch });
    send(db, 'logShot', shotInput(draftId, { purged: true }));
    expect(view(db, releaseId).batch.leftG).toBeCloseTo(250 - 18 - 4, 9);
  });

  it('takes its roast from the colour by the house’s own map', () => {
    const { db, releaseId } = openHouse();
    const {
      rowVersion,
      coffeePricePerKg: _price,
      rules: _rules,
      halfLife: _half,
      ...house
    } = findHouse(db)!;
    const roastMap = [
      { roastLevel: -1, colourGround: 100 },
      { roastLevel: 1, colourGround: 60 },
    ];
    send(db, 'saveHouse', { rowVersion, house: { ...house, roastMap } });
    const batch = { ...BATCH, roastLevel: 0, colourGround: 90 };
    send(db, 'saveBatch', { releaseId, batchId: `${releaseId}-1`, rowVersion: 1, batch });
    const { roast, span } = view(db, releaseId).batch;
    expect(roast).toMatchObject({ level: -0.5, source: 'ground', colourMinusWord: -0.5 });
    expect(span.opens).toBe(8);
    const backwards = [...roastMap, { roastLevel: 0, colourGround: 110 }];
    const fault = faultOf(() =>
      send(db, 'saveHouse', {
        rowVersion: rowVersion + 1,
        house: { ...house, roastMap: backwards },
      }),
    );
    expect(fault.message).toMatch(/do not go one way from light to dark/);
  });
});

describe('taking away and putting back', () => {
  it('hides a release everywhere and brings all of it back', () => {
    const { db, releaseId, draftId } = openHouse();
    send(db, 'logShot', shotInput(draftId));
    send(db, 'remove', { what: 'release', id: releaseId });
    expect(listReleaseNames(db)).toEqual([]);
    expect(readRelease(db, findHouse(db)!, releaseId, { today: TODAY })).toBeNull();
    send(db, 'restore', { what: 'release', id: releaseId });
    expect(view(db, releaseId).bench!.shots).toHaveLength(1);
    expect(
      listEvents(db, releaseId)
        .map(({ words }) => words)
        .slice(0, 2),
    ).toEqual(['restored a release', 'deleted a release']);
  });

  it('refuses what something else still stands on, with what to do', () => {
    const { db, releaseId, draftId } = openHouse();
    const words = (what: string, id: string) =>
      faultOf(() => send(db, 'remove', { what, id })).message;
    const [machine] = listParts(db, 'machine');
    expect(words('machine', machine!.id)).toMatch(/A setup still uses this machine/);
    expect(words('batch', `${releaseId}-1`)).toMatch(/dialled in on this batch, or it is the only/);
    send(db, 'publish', { releaseId, draftId, ...WORDS });
    expect(words('release', releaseId)).toMatch(/is public. Withdraw it first/);
    expect(words('release', 'nothing')).toMatch(/no such release to delete/);
  });

  it('keeps a setup that was taken away under the shots pulled on it', () => {
    const { db, releaseId, setupId } = openHouse();
    send(db, 'remove', { what: 'setup', id: setupId });
    expect(listSetups(db)).toEqual([]);
    expect(view(db, releaseId).bench!.setup.name).toBe('Window bench');
  });
});

describe('two people on one thing', () => {
  it('does not let the second save over a version they have not seen', () => {
    const { db } = openHouse();
    const [basket] = listParts(db, 'basket');
    const save = (name: string, rowVersion: number) =>
      send(db, 'savePart', {
        part: 'basket',
        id: basket!.id,
        rowVersion,
        fields: { ...BASKET, name },
      });
    save('Ridged double', 1);
    expect(faultOf(() => save('Mine', 1)).code).toBe('conflict');
    save('Mine, having seen it', 2);
    expect(listParts(db, 'basket')[0]!.name).toBe('Mine, having seen it');
  });

  it('says when another recipe was put on the bench meanwhile', () => {
    const { db, releaseId, setupId, draftId } = openHouse();
    const accept = { ...RECIPE, releaseId, setupId, batchId: `${releaseId}-1`, basedOn: draftId };
    const { draftId: second } = send(db, 'acceptRecipe', accept);
    const late = faultOf(() => send(db, 'acceptRecipe', accept));
    expect(late).toMatchObject({ code: 'conflict' });
    expect(late.message).toMatch(/put another recipe on the bench meanwhile/);
    send(db, 'acceptRecipe', { ...accept, basedOn: second });
  });
});

describe('the gates of publishing', () => {
  it('each ask for a reason, which is kept in the house and not on the card', () => {
    const { db, releaseId, draftId } = openHouse();
    const { passed: _passed, ...words } = WORDS;
    const closed = faultOf(() => send(db, 'publish', { releaseId, draftId, ...words }));
    expect(closed.faults[0]!.field).toBe('passed.confirmed');
    expect(closed.message).toMatch(/No setting is on target yet.*or say why/);
    send(db, 'publish', {
      releaseId,
      draftId,
      ...words,
      passed: { confirmed: 'for the fair', tasted: 'nobody here', rested: 'it must' },
    });
    expect(listPassedChecks(db, releaseId).map(({ gate, reason }) => [gate, reason])).toEqual([
      ['confirmed', 'for the fair'],
      ['rested', 'it must'],
      ['tasted', 'nobody here'],
    ]);
    const { token } = view(db, releaseId).address!;
    expect(findPublished(db, token)!.document).not.toMatch(/for the fair|nobody here|it must/);
    expect(listEvents(db, releaseId)[0]!.words).toMatch(/passed "tasted by two": nobody here/);
    expect(() => db.exec(`UPDATE gate_pass SET reason = 'x'`)).toThrow(/never changes/);
  });

  it('stand open when two pulled it, two tasted it, and it had rested', () => {
    const { db, releaseId, draftId } = openHouse();
    send(db, 'logShot', shotInput(draftId));
    const { shotId } = send(db, 'logShot', shotInput(draftId));
    const { passed: _passed, ...words } = WORDS;
    const publish = () => send(db, 'publish', { releaseId, draftId, ...words });
    send(db, 'recordTasting', { ...CUP, shotId });
    // The same palate twice is still one.
    send(db, 'recordTasting', { ...CUP, shotId });
    expect(faultOf(publish).faults[0]!.field).toBe('passed.tasted');
    send(db, 'recordTasting', { ...CUP, shotId }, newId(), join(db, 'bench'));
    publish();
    expect(listPassedChecks(db, releaseId)).toEqual([]);
  });
});

describe('withdrawing', () => {
  it('closes the address with the house’s words, and a new version opens it again', () => {
    const { db, releaseId, draftId } = openHouse();
    expect(faultOf(() => send(db, 'withdraw', { releaseId, why: 'x' })).code).toBe('refused');
    send(db, 'publish', { releaseId, draftId, ...WORDS });
    const { token } = view(db, releaseId).address!;
    send(db, 'withdraw', { releaseId, why: 'The lot was uneven.' });
    expect(findPublished(db, token)).toMatchObject({ withdrawnWhy: 'The lot was uneven.' });
    send(db, 'showAgain', { releaseId });
    expect(findPublished(db, token)!.withdrawnAt).toBeNull();
    send(db, 'withdraw', { releaseId, why: 'Again.' });
    send(db, 'publish', { releaseId, draftId, ...WORDS, whatChanged: 'Mended.' });
    expect(findPublished(db, token)).toMatchObject({ number: 2, withdrawnAt: null });
  });
});

describe('today', () => {
  it('is kept until something is written, then read anew', () => {
    const { db, draftId } = openHouse();
    const read = () => readToday(db, findHouse(db)!, { today: TODAY });
    const first = read();
    expect(read()).toBe(first);
    send(db, 'logShot', shotInput(draftId));
    expect(say(read()[0]!.due[0]!.message)).toMatch(/^1 shot, not on target/);
    const later = readToday(db, findHouse(db)!, { today: '2026-06-20' });
    expect(later[0]!.active[0]!.rest.state).toBe('fading');
  });

  it('drops a batch two weeks after it faded, unless its recipe is public', () => {
    const { db, releaseId, draftId } = openHouse();
    const later = { today: '2026-07-20' };
    expect(readToday(db, findHouse(db)!, later)).toEqual([]);
    send(db, 'publish', { releaseId, draftId, ...WORDS });
    const [standing] = readToday(db, findHouse(db)!, later);
    expect(standing!.active).toHaveLength(1);
    expect(standing!.due[0]!.code).toBe('fadedPublic');
  });

  it('shows a batch roasted after a clock that was set back', () => {
    const { db, releaseId } = openHouse();
    const early = readRelease(db, findHouse(db)!, releaseId, { today: '2026-05-01' })!;
    expect(early.batch.rest.restDays).toBe(0);
  });
});
