/** A command that comes while a page waits for something: what the page reads and caches later must know of it. */
import { setImmediate } from 'node:timers/promises';
import { findHouse } from '@/data/house';
import { listPeople } from '@/data/people';
import { readBest } from '@/views/best';
import { prepareModel } from '@/views/houseModel';
import { send } from '../../../tests/support/house';
import { houseWith } from '../../../tests/support/view';
import { loadRelease } from './load';

// One answer for one argument, as in one request on the server.
jest.mock('react', () => ({
  ...jest.requireActual<object>('react'),
  cache: <K, T>(read: (key: K) => T) => {
    const answers = new Map<K, T>();
    return (key: K) => {
      if (!answers.has(key)) answers.set(key, read(key));
      return answers.get(key)!;
    };
  },
}));
jest.mock('next/headers', () => ({ cookies: () => Promise.resolve({}) }));
jest.mock('@/data/session', () => ({
  ...jest.requireActual<object>('@/data/session'),
  findSignedIn: (db: Parameters<typeof listPeople>[0]) => ({ person: listPeople(db)[0]! }),
}));
it('a cup that is tasted while the page is prepared counts on it, and on every page after', async () => {
  const { db, releaseId, view } = houseWith({}, {});
  (globalThis as { kettlebrandDb?: typeof db }).kettlebrandDb = db;
  const [shotId] = view().bench!.shots.map(({ id }) => id);
  const taste = () =>
    send(db, 'recordTasting', {
      shotId: shotId!,
      moment: 'warm',
      serving: 'straight',
      scales: { liking: 8 },
      notesFound: [],
      remark: '',
    });
  const cups = async (prepare?: Parameters<typeof loadRelease>[1]) => {
    const loaded = await loadRelease(releaseId, prepare);
    return readBest(db, loaded.house, loaded.view)!.cups;
  };
  taste();
  expect(await cups()).toBe(1);
  const tasting = async (...of: Parameters<typeof prepareModel>) => {
    await prepareModel(...of);
    taste();
    await setImmediate();
  };
  expect(await cups(tasting)).toBe(2);
  expect(readBest(db, findHouse(db)!, view())!.cups).toBe(2);
});
