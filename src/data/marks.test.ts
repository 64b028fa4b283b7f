import { BATCH, newId, openHouse, RECIPE, send, shotInput, WORDS } from '../../tests/support/house';
import { marksOfBatches } from './marks';

it('tells two batches of one roast date apart', () => {
  const { db, releaseId, setupId, draftId } = openHouse();
  const { batchId } = send(
    db,
    'saveBatch',
    { releaseId, batch: { ...BATCH, label: 'B' } },
    newId(),
  );
  send(db, 'logShot', shotInput(draftId));
  send(db, 'publish', { releaseId, draftId, ...WORDS });
  const second = send(db, 'acceptRecipe', { ...RECIPE, releaseId, batchId, setupId });
  send(db, 'logShot', shotInput(String(second.draftId)));
  send(db, 'logShot', shotInput(String(second.draftId)));
  const marksOf = marksOfBatches(db, [`${releaseId}-1`, String(batchId)]);
  const counted = (id: string) => marksOf(id).map(({ kind, count }) => [kind, count]);
  expect(counted(`${releaseId}-1`)).toEqual([
    ['shot', 1],
    ['publication', 1],
  ]);
  expect(counted(String(batchId))).toEqual([['shot', 2]]);
});
