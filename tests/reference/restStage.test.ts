/** The Rest stage over what is stored: ageing at one dial, checks done and missed, cups by rest day. */
import { findHouse } from '@/data/house';
import { readRest } from '@/views/rest';
import { send, shotInput } from '../support/house';
import { houseWith } from '../support/view';

const restOf = ({ db, view }: ReturnType<typeof houseWith>) => readRest(db, findHouse(db)!, view());

/** Pulled on a day of May; the batch was roasted on the 8th. */
const on = (day: number) => `2026-05-${String(day).padStart(2, '0')}T12:00:00.000Z`;

it('says nothing of age before a sound shot, and plans the checks all the same', () => {
  const { ageing, checks, tasted } = restOf(houseWith());
  expect(ageing).toBeNull();
  // Entered after the day it opened: nobody missed that check.
  expect(checks.map(({ kind }) => kind)).toEqual(['middle', 'bestEnds', 'fades']);
  expect(tasted.days).toEqual([]);
});

it('shots of several days show how the batch ages, and what the grinder answers', () => {
  const house = houseWith();
  const { db, draftId } = house;
  for (const [day, timeS] of [
    [16, 29.6],
    [18, 28.9],
    [20, 28.2],
  ] as const)
    for (const off of [0, 0.2])
      send(db, 'logShot', shotInput(draftId, { pulledAt: on(day), timeS: timeS + off }));
  const { ageing } = restOf(house);
  expect(ageing!.shots).toHaveLength(6);
  expect(ageing!.lastDay).toBe(12);
  // One more, of a recipe nobody decided on yet, is there at once.
  send(db, 'logShot', shotInput(draftId, { pulledAt: on(20), timeS: 28.3 }));
  expect(restOf(house).ageing!.shots).toHaveLength(7);
  // It runs faster by age, so it is answered finer; the band holds what is expected.
  expect(ageing!.perWeek.steps).toBeGreaterThan(0);
  const [first, last] = [ageing!.curve[0]!, ageing!.curve.at(-1)!];
  expect(first.timeS).toBeGreaterThan(last.timeS);
  for (const { timeS, interval80 } of ageing!.curve) {
    expect(interval80[0]).toBeLessThan(timeS);
    expect(interval80[1]).toBeGreaterThan(timeS);
  }
  expect(ageing!.phases.at(-1)!.to).toBeCloseTo(house.view().bench!.draft.recipe.restDays[1], 6);
});

it('a check is done by shots near its day, missed without, and ahead from today', () => {
  const house = houseWith();
  const { db, draftId } = house;
  const stateOf = (kind: string) => restOf(house).checks.find((check) => check.kind === kind)!;
  db.exec("UPDATE batch SET created_at = '2026-05-09T12:00:00.000Z'");
  const opens = stateOf('opens');
  expect(opens).toMatchObject({ state: 'missed', shots: 0 });
  expect(stateOf('fades').state).toBe('ahead');
  send(db, 'logShot', shotInput(draftId, { pulledAt: `${opens.day}T12:00:00.000Z` }));
  expect(stateOf('opens')).toMatchObject({ state: 'done', shots: 1 });
  db.exec('UPDATE batch SET sample_g = 60');
  send(db, 'logShot', shotInput(draftId, { pulledAt: `${opens.day}T12:05:00.000Z` }));
  const { room, checks } = restOf(house);
  expect(room.leftG).toBeLessThan(room.neededG);
  expect(checks.filter(({ state }) => state === 'short').length).toBeGreaterThan(0);
});

it('straight cups stand by their rest day; cups in milk and of flights do not', () => {
  const house = houseWith();
  const { db, draftId } = house;
  const cup = (shotId: unknown, serving: string, liking: number) =>
    send(db, 'recordTasting', {
      shotId,
      moment: 'warm',
      serving,
      scales: { liking, strength: 0, signs: [] },
      notesFound: [],
      remark: '',
    });
  const { shotId } = send(db, 'logShot', shotInput(draftId, { pulledAt: on(18) }));
  cup(shotId, 'straight', 8);
  cup(shotId, 'straight', 6);
  cup(shotId, 'milk', 2);
  const { tasted } = restOf(house);
  expect(tasted.days).toEqual([{ restDays: 10, liking: 7, cups: 2 }]);
  expect(tasted.best.to.differs).toBe(false);
});
