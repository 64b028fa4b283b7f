/** What a trial may change and take, and the cup from elsewhere it aims at: from the commands to the plan. */
import { findHouse } from '@/data/house';
import { cupsOf, tastersOf } from '@/data/flights';
import { exportStaged } from '@/features/import/exports';
import { readBest } from '@/views/best';
import { faultOf } from '../support/fault';
import { newId, send, shotInput } from '../support/house';
import { houseWith, type ViewedHouse } from '../support/view';

const bestOf = ({ db, view }: ViewedHouse) => readBest(db, findHouse(db)!, view())!;
const bounded = ({ db, releaseId }: ViewedHouse, bounds: object, rowVersion = 0) =>
  send(db, 'saveTrial', { releaseId, rowVersion, bounds });

it('the next cups stay inside the limits, and are as many as there is coffee and leave for', () => {
  const house = houseWith({}, {});
  house.db.exec('UPDATE batch SET sample_g = 500');
  expect(bestOf(house).next).toHaveLength(3);
  bounded(house, { yieldFromG: 33, yieldToG: 38, temperatureFromC: 93, temperatureToC: 93 });
  for (const cup of bestOf(house).next) {
    expect(cup.yieldG).toBeGreaterThanOrEqual(33);
    expect(cup.yieldG).toBeLessThanOrEqual(38);
    expect(cup.temperatureC).toBeCloseTo(93, 9);
  }
  bounded(house, { mostRecipes: 2 }, 1);
  expect(bestOf(house)).toMatchObject({ room: { flight: 2, endedBy: null } });
  expect(bestOf(house).next).toHaveLength(2);
  const { leftG } = bestOf(house);
  bounded(house, { keepG: leftG! }, 2);
  expect(bestOf(house)).toMatchObject({ next: [], room: { endedBy: 'coffee' } });
  bounded(house, {}, 3);
  expect(bestOf(house).next).toHaveLength(3);
});

it('limits that cannot be meant are refused, and nothing changes', () => {
  const house = houseWith({}, {});
  const refused = (bounds: object, rowVersion = 0) =>
    faultOf(() => bounded(house, bounds, rowVersion)).faults.map(({ field, message }) => [
      field,
      message,
    ]);
  expect(refused({ yieldFromG: 40, yieldToG: 30 })).toEqual([
    ['bounds.yieldToG', 'Yield ends before it begins. Put the smaller figure first.'],
  ]);
  expect(refused({ temperatureToC: 130 })[0]![1]).toMatch(/130 °C is outside 60-100 °C/);
  expect(refused({}, 4)[0]![1]).toMatch(/Someone else changed/);
  house.db.exec('UPDATE machine SET settable_temperature = 0');
  expect(refused({ temperatureFromC: 92 })[0]![1]).toMatch(/cannot set its temperature/);
  expect(bestOf(house).trial).toEqual({ rowVersion: 0 });
});

it('a cup from elsewhere that was scored blind is what the trial aims at, once it is revealed', () => {
  const house = houseWith({}, {});
  const { db, releaseId, draftId } = house;
  const pull = {
    draftId,
    doseG: 18,
    yieldG: 36,
    temperatureC: 93,
    timeS: [26, 30],
    clock: 'pump',
    dial: 12,
  };
  const { flightId, code } = send(db, 'planFlight', {
    releaseId,
    test: 'paired',
    question: 'Ours against theirs',
    arms: [
      { label: 'Ours', serving: 'straight', pull },
      { label: 'From next door', serving: 'straight' },
    ],
    places: 2,
    hours: 8,
  });
  const cups = cupsOf(db, String(flightId));
  for (const { code: cup, arm } of cups) {
    const { shotId } = arm === 0 ? send(db, 'logShot', shotInput(draftId)) : { shotId: undefined };
    send(db, 'pourCup', { flightId, code: cup, ...(shotId !== undefined && { shotId }) });
  }
  for (const [n, name] of ['Wren', 'Öde'].entries()) {
    const device = String(n).repeat(32);
    const { tasterId } = send(db, 'joinFlight', { flightCode: code, name, device }, newId(), null);
    for (const { code: cup, arm } of cups)
      send(
        db,
        'tasteBlind',
        {
          tasterId,
          device,
          code: cup,
          moment: 'warm',
          scales: { liking: arm === 0 ? 5 : 8, strength: 0, signs: [] },
          notesFound: [],
          remark: '',
        },
        newId(),
        null,
      );
  }
  expect(tastersOf(db, String(flightId))).toHaveLength(2);
  expect(bestOf(house).aim).toBeNull();
  send(db, 'revealFlight', { flightId });
  const { aim, bestLiking } = bestOf(house);
  expect(aim).toMatchObject({
    label: 'From next door',
    tasters: 2,
    question: 'Ours against theirs',
  });
  // Both like theirs by three points more; what they use of the scale is taken out of both.
  expect(aim!.mean).toBeGreaterThan(bestLiking.mean + 1);
});

it('staged cups go out as a sheet, a row for each', () => {
  const house = houseWith({}, {});
  const { db, view } = house;
  const shotId = view().bench!.shots[0]!.id;
  const cups = [{ massG: 10, tdsPct: 18.8, taste: 'sour' }, { massG: 14 }];
  send(db, 'noteStages', { shotId, cups, likeness: 'first' });
  const [header, ...rows] = [...exportStaged(db)];
  expect(header!.slice(-5)).toEqual(['cup', 'mass_g', 'tds_pct', 'taste', 'whole_shot_like']);
  expect(rows.map((row) => row.slice(-5))).toEqual([
    [1, 10, 18.8, 'sour', 'first'],
    [2, 14, '', '', 'first'],
  ]);
  send(db, 'noteStages', { shotId, cups: [] });
  expect([...exportStaged(db)]).toHaveLength(1);
});
