/** Several releases changed at once: all or none, one undo, and what an archived one is left out of. */
import { findHouse } from '@/data/house';
import { findRelease, listRecentReleases, listReleaseNames } from '@/data/releases';
import { exportSheet } from '@/features/import/exports';
import { readReleaseList } from '@/views/releaseList';
import { readToday } from '@/views/today';
import { faultOf } from '../support/fault';
import { BATCH, openHouse, RELEASE, send, TODAY } from '../support/house';

function threeReleases() {
  const { db, releaseId } = openHouse();
  const add = (name: string) =>
    String(send(db, 'createRelease', { release: { ...RELEASE, name }, batch: BATCH }).releaseId);
  return { db, ids: [releaseId, add('Second'), add('Third')] as [string, string, string] };
}

it('several releases get one change in one go, and one undo takes it back from all', () => {
  const { db, ids } = threeReleases();
  const before = ids.map((id) => findRelease(db, id)!.serving);
  const { editId } = send(db, 'editReleases', {
    releaseIds: ids.slice(0, 2),
    serving: 'milk',
    addNotes: ['fig', RELEASE.promisedNotes[0]!],
  });
  const after = ids.map((id) => findRelease(db, id)!);
  expect(after.map(({ serving }) => serving)).toEqual(['milk', 'milk', before[2]]);
  // A note it promises already is not promised twice.
  expect(after[0]!.promisedNotes).toEqual([...RELEASE.promisedNotes, 'fig']);
  send(db, 'undoEdit', { editId });
  expect(ids.map((id) => findRelease(db, id)!.serving)).toEqual(before);
  expect(findRelease(db, ids[1])!.promisedNotes).toEqual(RELEASE.promisedNotes);
});

it('none is changed where one cannot be, and the undo leaves all where one was changed since', () => {
  const { db, ids } = threeReleases();
  const many = Array.from({ length: 12 }, (_, i) => `note ${i}`);
  const fault = faultOf(() => send(db, 'editReleases', { releaseIds: ids, addNotes: many }));
  expect(fault).toMatchObject({ code: 'badInput', faults: [{ field: 'addNotes' }] });
  expect(fault.faults[0]!.message).toMatch(/at most 12.*Nothing was changed/);
  expect(findRelease(db, ids[0])!.promisedNotes).toEqual(RELEASE.promisedNotes);
  const gone = faultOf(() =>
    send(db, 'editReleases', { releaseIds: [ids[0], 'none'], serving: 'milk' }),
  );
  expect(gone.code).toBe('notFound');
  expect(faultOf(() => send(db, 'editReleases', { releaseIds: ids })).code).toBe('badInput');
  const { editId } = send(db, 'editReleases', { releaseIds: ids, serving: 'milk' });
  const { rowVersion } = findRelease(db, ids[2])!;
  send(db, 'editRelease', { releaseId: ids[2], rowVersion, release: { ...RELEASE, name: 'New' } });
  expect(faultOf(() => send(db, 'undoEdit', { editId })).code).toBe('conflict');
  expect(findRelease(db, ids[0])!.serving).toBe('milk');
});

it('tags are added to several, found by, and exported with the ticked ones alone', () => {
  const { db, ids } = threeReleases();
  send(db, 'editReleases', { releaseIds: ids.slice(1), addTags: ['winter menu', 'winter menu'] });
  expect(findRelease(db, ids[1])!.tags).toEqual(['winter menu']);
  const found = readReleaseList(db, { q: 'WINTER' });
  expect(found.lines.map(({ name }) => name).sort()).toEqual(['Second', 'Third']);
  const exported = [...exportSheet(db, 'releases', [ids[1]])];
  const at = exported[0]!.indexOf('tags');
  expect(exported.slice(1).map((row) => [row[0], row[at]])).toEqual([['Second', 'winter menu']]);
});

it('an archived release leaves Today and the switcher, and nothing else', () => {
  const { db, ids } = threeReleases();
  const house = findHouse(db)!;
  const shown = () => readToday(db, house, { today: TODAY }).map(({ id }) => id);
  expect(shown()).toContain(ids[1]);
  send(db, 'editReleases', { releaseIds: [ids[1]], isArchived: true });
  expect(shown()).not.toContain(ids[1]);
  expect(listReleaseNames(db).map(({ id }) => id)).not.toContain(ids[1]);
  expect(listRecentReleases(db, 9).map(({ id }) => id)).not.toContain(ids[1]);
  expect(findRelease(db, ids[1])!.isArchived).toBe(true);
  expect([...exportSheet(db, 'releases')].flat()).toContain('Second');
  const [current, archived] = [{}, { shows: 'archived' }].map((search) =>
    readReleaseList(db, search),
  );
  expect(current!.lines.map(({ name }) => name)).not.toContain('Second');
  expect(archived!.lines).toMatchObject([{ name: 'Second', isArchived: true, version: null }]);
  expect(readReleaseList(db, { q: 'hir' }).lines.map(({ name }) => name)).toEqual(['Third']);
});

it('a batch of a blend may have shares of its own', () => {
  const { db, ids } = threeReleases();
  const [releaseId] = ids;
  const components = [
    { ...RELEASE.components[0], sharePct: 60 },
    { ...RELEASE.components[0], sharePct: 40, process: 'natural' },
  ];
  const { rowVersion } = findRelease(db, releaseId)!;
  send(db, 'editRelease', { releaseId, rowVersion, release: { ...RELEASE, components } });
  const save = (sharesPct: string) =>
    send(db, 'saveBatch', { releaseId, batch: { ...BATCH, roastDate: '2026-05-12', sharesPct } });
  expect(faultOf(() => save('70 / 20'))).toMatchObject({ faults: [{ field: 'sharesPct' }] });
  save('70 / 30');
  expect(
    findRelease(db, releaseId)!
      .batches.map(({ sharesPct }) => sharesPct)
      .sort(),
  ).toEqual(['', '70 / 30']);
});

it('the list is put in order by any column, and beyond two hundred it has pages', () => {
  const { db } = threeReleases();
  const MORE = 203;
  for (let i = 0; i < MORE; i++)
    send(db, 'createRelease', {
      release: { ...RELEASE, name: `Lot ${String(i).padStart(3, '0')}` },
      batch: BATCH,
    });
  const names = (search: Record<string, string>) =>
    readReleaseList(db, search).lines.map(({ name }) => name);
  const up = names({ sort: 'name', q: 'lot' });
  expect(up).toHaveLength(200);
  expect(up).toEqual([...up].sort());
  expect(names({ sort: 'name', order: 'up', q: 'lot', page: '2' })).toEqual([
    'Lot 200',
    'Lot 201',
    'Lot 202',
  ]);
  expect(names({ sort: 'name', order: 'down', q: 'lot' })[0]).toBe('Lot 202');
  expect(readReleaseList(db, { q: 'lot', page: '9' })).toMatchObject({
    page: 2,
    pages: 2,
    count: MORE,
  });
  // What nobody offered is the usual order, not a fault.
  const odd = { sort: 'row_version; DROP TABLE release', order: 'sideways', page: '-1' };
  expect(readReleaseList(db, odd)).toMatchObject({ sort: 'roasted', order: 'down', page: 1 });
});
