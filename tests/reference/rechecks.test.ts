/** A check somebody asks for: at Rest, on Today and in the calendar until it is made. */
import { say } from '@/words/say';
import { addDays } from '@/core/rest/day';
import { findHouse } from '@/data/house';
import { askedByAddress } from '@/features/rest/askedByAddress';
import { readCalendar } from '@/views/calendar';
import { readRelease } from '@/views/release';
import { readRest } from '@/views/rest';
import { readToday } from '@/views/today';
import { faultOf } from '../support/fault';
import { BATCH, send, shotInput, stopClock, TODAY } from '../support/house';
import { houseWith, type ViewedHouse } from '../support/view';

beforeEach(() => stopClock());

const TOMORROW = addDays(TODAY, 1);
const WHY = 'Two cafés run 2 s fast';

const viewOn = ({ db, releaseId }: ViewedHouse, today: string) =>
  readRelease(db, findHouse(db)!, releaseId, { today })!;
const restOn = (house: ViewedHouse, today: string) =>
  readRest(house.db, findHouse(house.db)!, viewOn(house, today));
const askedOn = (house: ViewedHouse, today: string) =>
  restOn(house, today)
    .checks.filter(({ kind }) => kind === 'asked')
    .map(({ day, state, shots, asked }) => [day, state, shots, asked!.why]);
const dueOn = ({ db }: ViewedHouse, today: string) =>
  readToday(db, findHouse(db)!, { today }).flatMap(({ due }) =>
    due.filter(({ code }) => code === 'checkAsked').map(({ message }) => say(message)),
  );
const ask = ({ db, releaseId }: ViewedHouse, day: string, batchId = `${releaseId}-1`) =>
  send(db, 'askRecheck', { batchId, recheck: { day, why: WHY } });

it('waits until it is made; what was pulled before does not stand for it', () => {
  const house = houseWith({});
  // It was pulled today: tomorrow is offered.
  expect(restOn(house, TODAY).askOn).toBe(TOMORROW);
  const needed = restOn(house, TODAY).room.neededG;
  ask(house, TOMORROW);
  expect(askedOn(house, TODAY)).toEqual([[TOMORROW, 'ahead', 0, WHY]]);
  expect(restOn(house, TODAY).askOn).toBe(addDays(TODAY, 2));
  expect(restOn(house, TODAY).room.neededG).toBeGreaterThan(needed);
  expect(dueOn(house, TODAY)).toEqual([]);
  const late = addDays(TODAY, 4);
  expect(askedOn(house, late)).toEqual([[TOMORROW, 'overdue', 0, WHY]]);
  expect(dueOn(house, late)).toEqual([
    `A check of the batch of 8 May 2026 was asked for 3 days ago: ${WHY}`,
  ]);
  stopClock(late);
  send(house.db, 'logShot', shotInput(house.draftId));
  expect(askedOn(house, late)).toEqual([[TOMORROW, 'done', 1, WHY]]);
  expect(dueOn(house, late)).toEqual([]);
});

it('of a batch that is not on the bench stands beside those of the one that is', () => {
  const house = houseWith({});
  const { db, releaseId } = house;
  const batch = { ...BATCH, roastDate: '2026-05-12' };
  const { batchId } = send(db, 'saveBatch', { releaseId, batch });
  ask(house, TODAY, String(batchId));
  expect(askedOn(house, TODAY)).toEqual([]);
  expect(restOn(house, TODAY).elsewhere).toMatchObject([{ roastDate: '2026-05-12', why: WHY }]);
  expect(dueOn(house, TODAY)[0]).toMatch(/batch of 12 May 2026 was asked for today/);
});

it('is in the calendar with its reason, and leaves it when it is deleted', () => {
  const house = houseWith({});
  const { db } = house;
  const titles = () =>
    readCalendar(db, findHouse(db)!, TODAY)
      .filter(({ day }) => day === TOMORROW)
      .map(({ title }) => title);
  const { recheckId } = ask(house, TOMORROW);
  expect(titles()).toEqual([`Dembi Ridge: check asked for: ${WHY}`]);
  send(db, 'remove', { what: 'recheck', id: recheckId });
  expect(titles()).toEqual([]);
  send(db, 'restore', { what: 'recheck', id: recheckId });
  expect(titles()).toHaveLength(1);
});

it('is refused on a day that is past or far off, twice on one day, and for a batch that is gone', () => {
  const house = houseWith({});
  const refused = (day: string, batchId?: string) => {
    const { code, faults } = faultOf(() => ask(house, day, batchId));
    return `${code} ${faults[0]!.field}: ${faults[0]!.message}`;
  };
  expect(refused(addDays(TODAY, -1))).toMatch(/badInput day: .* is past\. Enter a day from/);
  expect(refused(addDays(TODAY, 121))).toMatch(/badInput day: .* is too far ahead/);
  expect(refused('2026-02-30')).toMatch(/badInput recheck\.day/);
  expect(refused(TODAY, 'nobody')).toMatch(/notFound batchId/);
  ask(house, TODAY);
  expect(refused(TODAY)).toMatch(/conflict day: .* already\. Choose another day/);
  expect(askedOn(house, TODAY)).toHaveLength(1);
});

it('is asked by an address with the reason and the batch in doubt, or the one on the bench', () => {
  const house = houseWith({});
  const view = house.view();
  const [batch] = view.batches;
  expect(askedByAddress(view, {})).toBeNull();
  expect(askedByAddress(view, { check: ['a', 'b'] })).toBeNull();
  const known = { check: WHY, roast: batch!.roastDate };
  expect(askedByAddress(view, known)).toEqual({ batchId: batch!.id, why: WHY });
  const unknown = { check: 'x'.repeat(900), roast: '2020-01-01' };
  expect(askedByAddress(view, unknown)).toEqual({ batchId: view.batch.id, why: 'x'.repeat(400) });
});
