/** Every cup the house scored makes the next proposal better: from the tasting to the next release's Start. */
import { findHouse } from '@/data/house';
import { listTasteEvidence } from '@/data/tasteEvidence';
import { readHouseModel } from '@/views/houseModel';
import { renewTasteEvidence } from '@/views/tasteEvidence';
import { newId, RECIPE, send, shotInput, WORDS } from '../support/house';
import { houseWith } from '../support/view';

/** Cups around a longer, hotter recipe than the one that is published. */
const PLACES = [
  [44, 94.5, 28],
  [50, 94.5, 28],
  [38, 94.5, 28],
  [44, 96, 28],
  [44, 93, 28],
  [44, 94.5, 32],
  [44, 94.5, 24.5],
  [50, 96, 28],
] as const;
const likingAt = ([yieldG, temperatureC, timeS]: readonly [number, number, number]) =>
  Math.max(
    0,
    Math.round(
      9 -
        2 * ((yieldG - 44) / 8) ** 2 -
        2 * ((temperatureC - 94.5) / 2) ** 2 -
        2 * ((timeS - 28) / 5) ** 2,
    ),
  );

it('cups of a decided recipe are learnt from once, move the next proposal, and stop when they are deleted', async () => {
  const { db, draftId, releaseId } = houseWith({}, {});
  const house = () => findHouse(db)!;
  const [tasters] = [[null, null]];
  const tastingIds: string[] = [];
  for (const place of PLACES) {
    const [yieldG, temperatureC, timeS] = place;
    const { shotId } = send(db, 'logShot', shotInput(draftId, { yieldG, temperatureC, timeS }));
    for (const _ of tasters!) {
      const { tastingId } = send(db, 'recordTasting', {
        shotId,
        moment: 'warm',
        serving: 'straight',
        scales: { liking: likingAt(place), strength: 0, signs: [] },
        notesFound: [],
        remark: '',
      });
      tastingIds.push(String(tastingId));
    }
  }
  send(db, 'publish', { releaseId, draftId, ...WORDS });
  const expected = () => {
    const { modelOf, decided } = readHouseModel(db, house());
    const question = { release: { ...decided[0]!.facts, id: newId() }, style: 'classic' as const };
    return { taste: modelOf('both').taste, question };
  };
  expect(expected().taste).toBeUndefined();
  await renewTasteEvidence(db, house());
  const { taste } = expected();
  expect(taste!.cups).toBe(2 * PLACES.length);
  expect(taste!.coffees).toBe(1);
  const site = listTasteEvidence(db).get(releaseId)!;
  // Its best point: h = P·x. Longer than the published 1:2.
  expect(site.P.get(0, 0)).toBeGreaterThan(0.5);
  expect(RECIPE.yieldG / RECIPE.doseG).toBe(2);

  // The same cups are not worked out again: what is kept stays as it is.
  const epoch = () => db.prepare(`SELECT n FROM epoch WHERE topic = 'site'`).pluck().get();
  const before = epoch();
  send(db, 'saveUnits', { volume: 'flOz', temperature: 'C' });
  await renewTasteEvidence(db, house());
  expect(epoch()).toBe(before);

  for (const tastingId of tastingIds) send(db, 'removeTasting', { tastingId });
  await renewTasteEvidence(db, house());
  expect(listTasteEvidence(db).size).toBe(0);
  expect(expected().taste).toBeUndefined();
});
