/** Bags, spans of a release and the calendar: rest days follow everywhere. */
import ICAL from 'ical.js';
import { findHouse } from '@/data/house';
import { findRelease } from '@/data/releases';
import { calendarOf } from '@/formats/calendar';
import { readBatchesBeside } from '@/views/batchesBeside';
import { readCalendar } from '@/views/calendar';
import { readRest } from '@/views/rest';
import { faultOf } from '../support/fault';
import { BATCH, send, shotInput, stopClock, TODAY } from '../support/house';
import { houseWith, type ViewedHouse } from '../support/view';

const refused = ({ db }: ViewedHouse, kind: string, input: object) =>
  faultOf(() => send(db, kind, input))
    .faults.map(({ field, message }) => `${field}: ${message}`)
    .join('\n');

const bagsOf = (house: ViewedHouse) => readRest(house.db, findHouse(house.db)!, house.view()).bags;

it('a frozen bag holds back the rest days of its shots, of the proposal and of the batch', () => {
  const house = houseWith({});
  const { db, releaseId, draftId, view } = house;
  const batchId = `${releaseId}-1`;
  expect(view().batch.rest.restDays).toBe(12);
  const sample = { label: 'Freezer', bagG: 250, frozenOn: '2026-05-10', thawedOn: '2026-05-16' };
  const { sampleId } = send(db, 'saveSample', { batchId, sample });
  expect(view().batch.rest.restDays).toBe(12);
  send(db, 'openSample', { batchId, sampleId });
  expect(view().batch.rest).toMatchObject({ restDays: 6, state: 'open', openOn: '2026-05-20' });
  expect(view().facts.restDays).toBe(6);
  send(db, 'logShot', shotInput(draftId, { purged: true }));
  expect(view().bench!.shots.map(({ restDays }) => restDays)).toEqual([12, 6]);
  // Two grams of retention, purged twice over.
  expect(bagsOf(house)).toMatchObject([{ label: 'Freezer', leftG: 250 - 18 - 4, isOpen: true }]);
  // A roast date that is corrected past the frozen days closes no page.
  send(db, 'saveBatch', {
    releaseId,
    batchId,
    rowVersion: 1,
    batch: { ...BATCH, roastDate: '2026-05-14' },
  });
  expect(view().batch.rest.restDays).toBe(6 - 2);
  send(db, 'saveBatch', { releaseId, batchId, rowVersion: 2, batch: BATCH });
  send(db, 'openSample', { batchId, sampleId: null });
  expect(view().batch.rest.restDays).toBe(12);
});

it('bags hold no more than was set aside, lie on days that can be, and can be taken back', () => {
  const house = houseWith();
  const { db, releaseId } = house;
  const batchId = `${releaseId}-1`;
  send(db, 'saveBatch', { releaseId, batchId, rowVersion: 1, batch: { ...BATCH, sampleG: 400 } });
  const { sampleId } = send(db, 'saveSample', { batchId, sample: { label: 'A', bagG: 250 } });
  expect(refused(house, 'saveSample', { batchId, sample: { label: 'B', bagG: 200 } })).toMatch(
    /bagG: .*450 g.*at most 150 g/,
  );
  const early = { label: 'B', bagG: 100, frozenOn: '2026-05-01' };
  expect(refused(house, 'saveSample', { batchId, sample: early })).toMatch(
    /frozenOn: .*before the roast/,
  );
  expect(bagsOf(house)).toHaveLength(1);
  expect(bagsOf(house)[0]!.keptFor.length).toBeGreaterThan(1);
  send(db, 'remove', { what: 'sample', id: sampleId });
  expect(bagsOf(house)).toEqual([]);
  send(db, 'restore', { what: 'sample', id: sampleId });
  expect(bagsOf(house)).toHaveLength(1);
});

it('a release’s own span takes the place of the school’s, and must run in order', () => {
  const house = houseWith({});
  const { db, releaseId, view } = house;
  const { rowVersion } = findRelease(db, releaseId)!;
  const own = { opens: 9, bestFrom: 12, bestTo: 30, fades: 44 };
  expect(
    refused(house, 'saveSpan', { releaseId, rowVersion, span: { ...own, bestTo: 12 } }),
  ).toMatch(/span: .*ends before it begins.*in order/);
  expect(view().release.span).toBeUndefined();
  send(db, 'saveSpan', { releaseId, rowVersion, span: own });
  expect(view().batch.span).toEqual(own);
  expect(view().batch.rest).toMatchObject({ state: 'best', fadesOn: '2026-06-21' });
  expect(refused(house, 'saveSpan', { releaseId, rowVersion, span: null })).toMatch(/Someone else/);
  send(db, 'saveSpan', { releaseId, rowVersion: rowVersion + 1, span: null });
  expect(view().release.span).toBeUndefined();
});

describe('the calendar', () => {
  const eventsOf = (text: string) =>
    new ICAL.Component(ICAL.parse(text) as unknown[])
      .getAllSubcomponents('vevent')
      .map((part) => new ICAL.Event(part));

  it('is read by another program, and a second import updates what moved', () => {
    const house = houseWith({});
    const { db, releaseId } = house;
    const batchId = `${releaseId}-1`;
    const read = () => readCalendar(db, findHouse(db)!, TODAY);
    const before = eventsOf(calendarOf('Checks', read(), 1));
    const ofBatch = (events: typeof before) =>
      new Map(events.map(({ uid, startDate }) => [uid, startDate.toString()]));
    expect(before.length).toBeGreaterThanOrEqual(3);
    for (const event of before) {
      expect(event.uid).toMatch(new RegExp(`^check-${batchId}-[a-zA-Z]+@kettlebrand$`));
      expect(event.startDate.isDate).toBe(true);
      expect(event.summary).toMatch(/^Dembi Ridge: check /);
    }
    send(db, 'saveBatch', {
      releaseId,
      batchId,
      rowVersion: 1,
      batch: { ...BATCH, roastDate: '2026-05-12' },
    });
    const after = eventsOf(calendarOf('Checks', read(), 2));
    expect([...ofBatch(after).keys()].sort()).toEqual([...ofBatch(before).keys()].sort());
    expect(ofBatch(after)).not.toEqual(ofBatch(before));
    expect(after.every(({ sequence }) => Number(sequence) === 2)).toBe(true);
  });

  it('is a calendar also without an event', () => {
    stopClock('2028-01-01');
    expect(eventsOf(calendarOf('Checks', [], 1))).toEqual([]);
  });
});

describe('batch beside batch', () => {
  /** Two batches of one release at one dial; the second runs so many seconds. */
  function twoBatches(secondS: number) {
    const house = houseWith({}, {}, {});
    const { db, releaseId } = house;
    const batch = { ...BATCH, roastDate: '2026-05-11', weightLossPct: 13.4 };
    const { batchId } = send(db, 'saveBatch', { releaseId, batch });
    const { draftId } = send(db, 'carryRecipe', { releaseId, batchId });
    for (let i = 0; i < 4; i++)
      send(db, 'logShot', shotInput(String(draftId), { timeS: secondS + 0.1 * i, purged: true }));
    const view = house.view();
    return readBatchesBeside(db, findHouse(db)!, view, view.bench!);
  }

  it('stands together where both run alike', () => {
    const { batches, level } = twoBatches(28);
    expect(batches.map(({ shots }) => shots)).toEqual([4, 3]);
    expect(batches[0]).toMatchObject({ weightLossPct: 13.4, isTimeApart: false });
    expect(batches[0]!.verdict).toBe('carriesOver');
    expect(batches[1]!.verdict).toBeNull();
    expect(level!.interval80[0]).toBeLessThan(28);
    expect(level!.interval80[1]).toBeGreaterThan(28);
  });

  it('is told apart where one runs far slower, and asks to be dialled in anew', () => {
    const { batches } = twoBatches(41);
    expect(batches.map(({ isTimeApart }) => isTimeApart)).toEqual([true, true]);
    expect(batches[0]!.level!.timeS).toBeGreaterThan(batches[1]!.level!.timeS + 5);
    expect(batches[0]!.verdict).not.toBe('carriesOver');
  });
});
