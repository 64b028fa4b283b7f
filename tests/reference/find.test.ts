/** Finding anything that was written down, wherever it stands, and nothing that was deleted. */
import type { Db } from '@/data/database';
import { findReleaseNames, listRecentReleases } from '@/data/releases';
import { findHouse } from '@/data/house';
import { readFind } from '@/views/find';
import { BATCH, COMPONENT, openHouse, RELEASE, send, shotInput, WORDS } from '../support/house';

const found = (db: Db, search: Record<string, string>) =>
  readFind(db, findHouse(db)!, search).hits.map(({ kind, releaseName, parts, href }) => ({
    kind,
    releaseName,
    marked: parts.filter(({ isFound }) => isFound).map(({ text }) => text),
    stage: href.split(/[/?]/)[3] ?? href,
  }));

function houseOfTwo() {
  const house = openHouse();
  const { db, draftId } = house;
  const coffee = {
    name: 'Río Lindo',
    promisedNotes: ['vibrant plum'],
    freeNotes: 'Bought through Lantern Imports.',
    components: [
      { ...COMPONENT, process: 'anaerobicNatural', variety: 'Caturra', country: 'Peru' },
    ],
  };
  const { releaseId: lindo } = send(db, 'createRelease', {
    release: { ...RELEASE, ...coffee },
    batch: { ...BATCH, roastDate: '2026-04-01', roastLevel: -1 },
  });
  const { shotId } = send(db, 'logShot', shotInput(draftId, { remark: 'channelled on the left' }));
  send(db, 'recordTasting', {
    shotId,
    moment: 'warm',
    serving: 'straight',
    scales: { liking: 7, signs: ['papery'] },
    notesFound: ['candied orange'],
    remark: 'vibrant, a little short',
  });
  return { ...house, lindo: String(lindo), shotId: String(shotId) };
}

it('finds a process, a variety, a note, a remark, a cup word, a card and a person, each where it stands', () => {
  const { db, releaseId, draftId } = houseOfTwo();
  expect(found(db, { q: 'anaerobic' })).toEqual([
    { kind: 'release', releaseName: 'Río Lindo', marked: ['Anaerobic'], stage: 'read' },
  ]);
  expect(found(db, { q: 'catur' })).toMatchObject([{ releaseName: 'Río Lindo' }]);
  expect(found(db, { q: 'rio' })).toMatchObject([{ marked: ['Río'] }]);
  expect(found(db, { q: 'lantern imports' })).toMatchObject([{ marked: ['Lantern', 'Imports'] }]);
  expect(found(db, { q: 'vibrant' }).map(({ kind }) => kind)).toEqual(['release', 'cup']);
  expect(found(db, { q: 'channelled' })).toMatchObject([{ kind: 'shot', stage: 'pull' }]);
  expect(found(db, { q: 'papery' })).toMatchObject([{ kind: 'cup', stage: 'taste' }]);
  send(db, 'publish', { releaseId, draftId, ...WORDS, right: 'Marmalade on toast.' });
  expect(found(db, { q: 'marmalade' })).toMatchObject([{ kind: 'card', stage: 'publish' }]);
  expect(found(db, { q: 'ines' })).toMatchObject([{ kind: 'person', releaseName: null }]);
});

it('is narrowed by process, roast, variety, style and year, alone or with words', () => {
  const { db } = houseOfTwo();
  const names = (search: Record<string, string>) => found(db, search).map((hit) => hit.releaseName);
  expect(names({ process: 'washed' })).toEqual(['Dembi Ridge']);
  expect(names({ roast: 'light' })).toEqual(['Río Lindo']);
  expect(names({ variety: 'caturra' })).toEqual(['Río Lindo']);
  expect(names({ style: 'classic' })).toEqual(['Dembi Ridge']);
  expect(names({ year: '2025' })).toEqual([]);
  expect(names({ q: 'vibrant', process: 'washed' })).toEqual(['Dembi Ridge']);
  expect(names({ q: 'ines', year: '2026' })).toEqual([]);
  expect(names({})).toEqual([]);
});

it('follows every change, and finds nothing of what was taken away', () => {
  const { db, lindo, shotId } = houseOfTwo();
  expect(found(db, { q: 'plum' })).toHaveLength(1);
  send(db, 'editRelease', {
    releaseId: lindo,
    rowVersion: 1,
    release: { ...RELEASE, name: 'Río Lindo', promisedNotes: ['quince'] },
  });
  expect([found(db, { q: 'plum' }), found(db, { q: 'quince' })].map((hits) => hits.length)).toEqual(
    [0, 1],
  );
  send(db, 'removeShot', { shotId });
  expect(found(db, { q: 'channelled' })).toEqual([]);
  send(db, 'restoreShot', { shotId });
  expect(found(db, { q: 'channelled' })).toHaveLength(1);
  send(db, 'remove', { what: 'release', id: lindo });
  expect(found(db, { q: 'quince' })).toEqual([]);
  send(db, 'restore', { what: 'release', id: lindo });
  send(db, 'importReleases', {
    csv: 'release,roasted,variety\nLoma,2026-03-01,Pacamara',
    mapping: { name: 'release', roastDate: 'roasted', variety: 'variety' },
    dateOrder: 'ymd',
  });
  expect(found(db, { q: 'pacamara' })).toHaveLength(1);
});

it('takes signs of a search language as the words they are', () => {
  const { db } = houseOfTwo();
  for (const q of ['"', 'plum OR', 'NEAR(', 'a* AND (', "'; --", '%', '"plum', '\u0000'])
    expect(() => found(db, { q })).not.toThrow();
});

it('names releases at hand, the latest first, and by any part of their name', () => {
  const { db, releaseId } = houseOfTwo();
  expect(listRecentReleases(db, 8)[0]!.id).toBe(releaseId);
  expect(listRecentReleases(db, 1)).toHaveLength(1);
  expect(findReleaseNames(db, 'lin', 8).map(({ name }) => name)).toEqual(['Río Lindo']);
  for (const name of ['Lot 8', 'Lot 80'])
    send(db, 'createRelease', { release: { ...RELEASE, name }, batch: BATCH });
  expect(findReleaseNames(db, 'lot 8', 1).map(({ name }) => name)).toEqual(['Lot 8']);
  expect(findReleaseNames(db, 'ridge dem', 8).map(({ name }) => name)).toEqual(['Dembi Ridge']);
  expect(findReleaseNames(db, '100%', 8)).toEqual([]);
  expect(findReleaseNames(db, '', 8)).toHaveLength(4);
});
