/** An edit keeps the row as it was, so that it can be taken back; and which recipe is on the bench is stated. */
import type { Db } from '@/data/database';
import { findBenchDraft, listOpenDrafts } from '@/data/dialIns';
import { listParts } from '@/data/equipment';
import { findHouse } from '@/data/house';
import { listProgrammes } from '@/data/programmes';
import { findRelease } from '@/data/releases';
import { listSetups } from '@/data/setups';
import { listShots } from '@/data/shots';
import { readRelease } from '@/views/release';
import { faultOf } from '../support/fault';
import {
  BASKET,
  BATCH,
  COMPONENT,
  GRINDER,
  MACHINE,
  openHouse,
  RECIPE,
  RELEASE,
  send,
  SETUP,
  shotInput,
  TODAY,
} from '../support/house';

/** What there is to see of the house, without the row versions every save raises. */
function seen(db: Db, releaseId: string): unknown {
  const all = [
    findHouse(db),
    findRelease(db, releaseId),
    listSetups(db),
    listParts(db, 'machine'),
    listParts(db, 'grinder'),
    listParts(db, 'basket'),
    listProgrammes(db),
  ];
  return JSON.parse(
    JSON.stringify(all, (key, value: unknown) => (key === 'rowVersion' ? 0 : value)),
  );
}

const STEPS = [{ drive: 'pressure', level: 9, seconds: 30, ramp: false }];

it('every edit can be undone, and leaves everything as it was', () => {
  const { db, releaseId, setupId } = openHouse();
  const part = (name: 'machine' | 'grinder' | 'basket') => listParts(db, name)[0]!;
  const { id: programmeId } = send(db, 'saveProgramme', {
    name: 'Own',
    style: 'classic',
    steps: STEPS,
  });
  const { rowVersion, rules: _rules, halfLife: _halfLife, ...house } = findHouse(db)!;
  const machine = { ...MACHINE, name: 'Other', flushS: 4, boiler: 'dual' };
  const edits: [string, object][] = [
    ['saveHouse', { rowVersion, house: { ...house, name: 'Other', closedWeekdays: [7] } }],
    [
      'editRelease',
      {
        releaseId,
        rowVersion: 1,
        release: {
          ...RELEASE,
          name: 'Other',
          promisedNotes: [],
          components: [
            { ...COMPONENT, sharePct: 60 },
            { ...COMPONENT, sharePct: 40, process: 'honey' },
          ],
        },
      },
    ],
    [
      'saveBatch',
      { releaseId, batchId: `${releaseId}-1`, rowVersion: 1, batch: { ...BATCH, sampleG: 500 } },
    ],
    ['savePart', { part: 'machine', id: part('machine').id, rowVersion: 1, fields: machine }],
    [
      'savePart',
      { part: 'grinder', id: part('grinder').id, rowVersion: 1, fields: { ...GRINDER, max: 50 } },
    ],
    [
      'savePart',
      { part: 'basket', id: part('basket').id, rowVersion: 1, fields: { ...BASKET, depthMm: 25 } },
    ],
    [
      'saveProgramme',
      { id: programmeId, rowVersion: 1, name: 'Other', style: 'declining', steps: STEPS },
    ],
    [
      'saveSetup',
      { setupId, rowVersion: 1, setup: { ...SETUP, name: 'Other', links: { scale: 'simulated' } } },
    ],
  ];
  for (const [kind, input] of edits) {
    const before = seen(db, releaseId);
    const { editId } = send(db, kind, input);
    expect(seen(db, releaseId)).not.toEqual(before);
    send(db, 'undoEdit', { editId });
    const after = seen(db, releaseId);
    // A setup saved with new parts leaves them in the list, as adding them alone would.
    if (kind !== 'saveSetup') expect(after).toEqual(before);
    else expect((after as unknown[])[2]).toEqual((before as unknown[])[2]);
  }
});

it('an edit is not undone over somebody’s newer one, nor one that never was', () => {
  const { db, releaseId } = openHouse();
  const edit = (name: string, version: number) =>
    send(db, 'editRelease', { releaseId, rowVersion: version, release: { ...RELEASE, name } });
  const { editId } = edit('First', 1);
  edit('Second', 2);
  expect(faultOf(() => send(db, 'undoEdit', { editId }))).toMatchObject({ code: 'conflict' });
  expect(findRelease(db, releaseId)!.name).toBe('Second');
  expect(faultOf(() => send(db, 'undoEdit', { editId: 'none' })).code).toBe('notFound');
});

it('several recipes stand open; the one on the bench is the one somebody put there', () => {
  const { db, releaseId, setupId, draftId } = openHouse();
  const place = { ...RECIPE, releaseId, setupId, batchId: `${releaseId}-1` };
  const soak = String(
    send(db, 'acceptRecipe', { ...place, style: 'soakFirst', yieldG: 54 }).draftId,
  );
  expect(findBenchDraft(db, releaseId)!.id).toBe(soak);
  expect(listOpenDrafts(db, releaseId).map(({ id }) => id)).toEqual([soak, draftId]);
  send(db, 'useRecipe', { releaseId, draftId });
  expect(findBenchDraft(db, releaseId)!.id).toBe(draftId);
  // A shot of the other one that comes late does not bring it back.
  send(db, 'logShot', shotInput(soak, { yieldG: 54 }));
  const view = readRelease(db, findHouse(db)!, releaseId, { today: TODAY })!;
  expect(view.bench!.draft.style).toBe('classic');
  expect(view.bench!.shots).toHaveLength(0);
  const revised = String(send(db, 'acceptRecipe', { ...place, temperatureC: 94 }).draftId);
  expect(listOpenDrafts(db, releaseId).map(({ id }) => id)).toEqual([revised, soak]);
  expect(faultOf(() => send(db, 'useRecipe', { releaseId, draftId })).code).toBe('notFound');
});

it('a corrected roast date corrects the rest days of every shot', () => {
  const { db, releaseId, draftId } = openHouse();
  send(db, 'logShot', shotInput(draftId));
  const view = () => readRelease(db, findHouse(db)!, releaseId, { today: TODAY })!;
  expect([view().batch.rest.restDays, view().bench!.shots[0]!.restDays]).toEqual([12, 12]);
  const batch = { ...BATCH, roastDate: '2026-05-15' };
  send(db, 'saveBatch', { releaseId, batchId: `${releaseId}-1`, rowVersion: 1, batch });
  expect([view().batch.rest.restDays, view().bench!.shots[0]!.restDays]).toEqual([5, 5]);
  expect(listShots(db, view().bench!.draft.dialInId)[0]!.restDays).toBe(5);
});
