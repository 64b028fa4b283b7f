/** Histories that cannot be: each yields a state that says so, never a crash and never a silent number. */
import { findHouse } from '@/data/house';
import { listPartners } from '@/data/partners';
import { stagesOf } from '@/features/frame/stages';
import { openCoffees } from '@/features/today/openCoffees';
import { todayRows } from '@/features/today/todayRows';
import { readCafe } from '@/views/cafe';
import { lookedAt } from '@/views/lookedAt';
import { readRelease } from '@/views/release';
import { readRest } from '@/views/rest';
import { readToday } from '@/views/today';
import { say } from '@/words/say';
import { faultOf } from '../support/fault';
import { BATCH, send, shotInput, stopClock, TODAY, WORDS } from '../support/house';
import { houseWith } from '../support/view';

/** What every page says of the one coffee of a house on a day. */
function pagesOn(day: string, { db, releaseId }: ReturnType<typeof houseWith>) {
  const house = findHouse(db)!;
  const view = readRelease(db, house, releaseId, { today: day })!;
  const standings = readToday(db, house, { today: day });
  return {
    view,
    tabs: Object.fromEntries(stagesOf(view).map(({ path, figure }) => [path, figure])),
    due: (standings[0]?.due ?? []).map(({ message }) => say(message)),
    strips: todayRows(standings, day, { names: [], count: 1 }).strips.map(({ state }) => state),
    open: openCoffees(standings, day).map(({ rest }) => rest),
    rest: readRest(db, house, view),
  };
}

it('a batch roasted tomorrow says that its date lies ahead, and asks for nothing that rests on its age', () => {
  const house = houseWith({}, {});
  house.db.exec("UPDATE batch SET roast_date = '2026-05-21'");
  const { tabs, due, strips, open, rest } = pagesOn(TODAY, house);
  expect(due).toEqual([
    'Roast date 21 May 2026 lies ahead of today: correct it, or the date of this machine.',
  ]);
  expect(tabs.rest).toBe('date ahead');
  expect(strips).toEqual(['Roast date lies ahead']);
  expect(open).toEqual([]);
  expect(rest.checks.every(({ state }) => state !== 'missed')).toBe(true);
});

it('a recipe whose batch is gone is not judged on another batch', () => {
  const house = houseWith({}, {});
  const { db, releaseId } = house;
  const batch = { ...BATCH, roastDate: '2026-05-12', roastLevel: 2 };
  const { batchId } = send(db, 'saveBatch', { releaseId, batch });
  const [gone] = house.view().batches.filter(({ id }) => id !== batchId);
  db.prepare('UPDATE batch SET removed_at = ? WHERE id = ?').run(TODAY, gone!.id);
  const { view, tabs, due, open } = pagesOn(TODAY, house);
  expect(view.batch.id).toBe(batchId);
  expect(view.bench).toBeNull();
  expect(tabs).toMatchObject({ start: 'propose', pull: '0 shots' });
  expect(due.join(' ')).toMatch(/propose/);
  expect(open).toHaveLength(1);
  expect(lookedAt(db, view, { batch: gone!.id })).toBeUndefined();
});

it('a check from before its card is kept, and says so', () => {
  const house = houseWith({}, {});
  const { db, releaseId, draftId } = house;
  send(db, 'publish', { releaseId, draftId, ...WORDS });
  send(db, 'savePartner', {
    partner: { name: 'Quay Nine', town: 'Ostrel', dialMax: 30 },
    releaseIds: [releaseId],
  });
  const partnerId = listPartners(db)[0]!.id;
  const check = { doseG: 18, yieldG: 36, timeS: 28, shots: 1, remark: '' };
  for (const at of ['2026-05-18T07:00:00.000Z', '2026-05-21T07:00:00.000Z']) {
    stopClock('2026-05-21');
    send(db, 'enterChecks', { partnerId, at, checks: [{ releaseId, check }] });
  }
  const { checks } = readCafe(db, findHouse(db)!, partnerId)!;
  expect(checks.map(({ isBeforeCard }) => isBeforeCard)).toEqual([false, true]);
});

it('a shot of a coffee that was deleted is refused in words, and one of a deleted shot too', () => {
  const { db, releaseId, draftId, view } = houseWith({});
  const shotId = view().bench!.shots[0]!.id;
  send(db, 'removeShot', { shotId });
  const cup = { shotId, moment: 'hot', serving: 'straight', scales: { liking: 7 }, remark: '' };
  expect(faultOf(() => send(db, 'recordTasting', { ...cup, notesFound: [] })).code).toBe(
    'notFound',
  );
  send(db, 'remove', { what: 'release', id: releaseId });
  expect(faultOf(() => send(db, 'logShot', shotInput(draftId))).code).toBe('notFound');
  expect(readRelease(db, findHouse(db)!, releaseId, { today: TODAY })).toBeNull();
});
