/** A second recipe of one coffee, for milk drinks: judged apart, never on the card, nothing of the straight one lost. */
import { milkYieldG } from '@/core/taste/milkRecipe';
import { openRecipes } from '@/views/start';
import { allSetups } from '@/data/setups';
import { readBest } from '@/views/best';
import { findHouse } from '@/data/house';
import { faultOf } from '../support/fault';
import { send, shotInput } from '../support/house';
import { houseWith } from '../support/view';

const cup = (shotId: string, serving: string, liking: number) => ({
  shotId,
  moment: 'warm',
  serving,
  scales: { liking, sharpness: 2, bitterness: 2, sweetness: 7 },
  notesFound: [],
  remark: '',
});

function houseWithBoth() {
  const house = houseWith({}, {});
  const { db, releaseId, setupId } = house;
  const straight = house.view().bench!;
  const { ratio: _ratio, ...recipe } = straight.draft.recipe;
  const accepted = send(db, 'acceptRecipe', {
    releaseId,
    setupId,
    batchId: straight.draft.batchId,
    style: straight.draft.style,
    temperatureSchool: straight.draft.temperatureSchool,
    ...recipe,
    yieldG: milkYieldG(recipe),
    drink: 'milk',
    startDial: 12,
    why: '',
  });
  return { ...house, straight, milkId: accepted.draftId as string };
}

const landed = (draftId: string, yieldG: number) => shotInput(draftId, { yieldG });

it('begins shorter than the straight one, in the same dial-in', () => {
  const { view, straight } = houseWithBoth();
  const { draft } = view().bench!;
  expect(draft.dialInId).toBe(straight.draft.dialInId);
  expect(draft.drink).toBe('milk');
  expect(draft.recipe.yieldG).toBe(30.5);
});

it('is judged by cups in milk, the straight one by straight cups, and each by its own shots', () => {
  const { db, view, milkId, releaseId, straight } = houseWithBoth();
  expect(straight.advice.status).toBe('onTarget');
  // Nothing of the straight recipe proves the one for milk.
  expect(view().bench!.advice.reasons.map(({ code }) => code)).toEqual(['revised']);
  for (let n = 0; n < 2; n++) send(db, 'logShot', landed(milkId, 30.5));
  const last = view().bench!.shots.at(-1)!;
  send(db, 'recordTasting', cup(last.id, 'straight', 8));
  expect(view().bench!.advice.status).toBe('onTarget');
  send(db, 'recordTasting', cup(last.id, 'milk', 8));
  expect(view().bench!.advice.status).toBe('approved');
  send(db, 'useRecipe', { releaseId, draftId: straight.draft.id });
  // Shots and cups for milk leave the straight recipe where it stood: on target, not yet tasted.
  expect(view().bench!.draft.id).toBe(straight.draft.id);
  expect(view().bench!.advice.status).toBe('onTarget');
  send(db, 'recordTasting', cup(straight.shots.at(-1)!.id, 'straight', 8));
  expect(view().bench!.advice.status).toBe('approved');
});

it('looks for its best in the cups of its own kind', () => {
  const { db, view, milkId, releaseId, straight } = houseWithBoth();
  send(db, 'logShot', landed(milkId, 30.5));
  const shot = view().bench!.shots.at(-1)!;
  send(db, 'recordTasting', cup(shot.id, 'plantMilk', 8));
  send(db, 'recordTasting', cup(shot.id, 'milk', 7));
  send(db, 'recordTasting', cup(shot.id, 'straight', 3));
  const house = findHouse(db)!;
  expect(readBest(db, house, view())!.cups).toBe(2);
  send(db, 'useRecipe', { releaseId, draftId: straight.draft.id });
  expect(readBest(db, house, view())!.cups).toBe(1);
});

it('stands beside the straight one, either can be gone on with, and only the straight one is published', () => {
  const { db, view, milkId, releaseId, straight } = houseWithBoth();
  const open = () => openRecipes(db, view(), [...allSetups(db).values()]);
  expect(open().map(({ drink, isOnBench }) => [drink, isOnBench])).toEqual([
    ['milk', true],
    ['straight', false],
  ]);
  const words = { right: 'Plum.', short: 'Sharp.', long: 'Dry.', whatChanged: '' };
  const passed = { confirmed: 'known', tasted: 'known', rested: 'known' };
  const refused = faultOf(() =>
    send(db, 'publish', { releaseId, draftId: milkId, ...words, passed }),
  );
  expect(refused.message).toMatch(/for milk drinks.*Go to the straight recipe/);
  send(db, 'useRecipe', { releaseId, draftId: straight.draft.id });
  expect(send(db, 'publish', { releaseId, draftId: straight.draft.id, ...words, passed })).toEqual(
    expect.objectContaining({ version: 1 }),
  );
});
