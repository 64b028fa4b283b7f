/** What cafés say of their cups reaches the best recipe and the fits of the next card, and nothing that stands already. */
import { clock } from '@/data/clock';
import { checksOfPartner } from '@/data/cafeChecks';
import { findHouse } from '@/data/house';
import { findPartner } from '@/data/partners';
import { publicRecipe } from '@/views/publishedRecipe';
import { readBest } from '@/views/best';
import { triedFactors } from '@/views/cafeTastes';
import { houseWithCafes, targetOf } from '../support/cafes';
import { newId, RECIPE, send, stopClock, WORDS } from '../support/house';
import type { ViewedHouse } from '../support/view';

/** So many cups on target, all called so. */
function tastes(
  { db, releaseId }: ViewedHouse,
  id: string,
  { cups, taste, timeS }: { cups: number; taste: string; timeS?: number },
): void {
  const { doseG, yieldG, timeS: window } = targetOf(db, id);
  const check = { doseG, yieldG, timeS: timeS ?? (window[0] + window[1]) / 2, taste };
  const { secret } = findPartner(db, id)!;
  for (let nth = 0; nth < cups; nth++)
    send(db, 'sendChecks', { secret, checks: [{ releaseId, check }], help: '' }, newId(), null);
}

const best = ({ db, view }: ViewedHouse) => readBest(db, findHouse(db)!, view())!;

describe('the best recipe', () => {
  it('moves to the longer side where cafés call the card sour, and says who said so', () => {
    const house = houseWithCafes({}, {});
    const before = best(house);
    expect(before.cafes).toEqual([]);
    for (const id of house.ids) tastes(house, id, { cups: 12, taste: 'sour' });
    const after = best(house);
    expect(after.cafes.map(({ name, u, cups }) => [name, u, cups])).toEqual([
      ['Café 1', 4, 12],
      ['Café 2', 4, 12],
    ]);
    expect(after.optimum.ratio).toBeGreaterThan(before.optimum.ratio);
    expect(after.optimum.temperatureC).toBeGreaterThan(before.optimum.temperatureC);
    expect(after.expectedLeft).toBeLessThan(before.expectedLeft);
    expect(after.cups).toBe(before.cups);
  });

  it.each([
    ['words that name no side', { cups: 12, taste: 'weak' }],
    ['fewer cups than five', { cups: 4, taste: 'sour' }],
    ['cups that gushed', { cups: 12, taste: 'sour', timeS: 12 }],
  ])('does not move for %s', (_, said) => {
    const house = houseWithCafes({});
    const before = best(house);
    tastes(house, house.ids[0]!, said);
    expect(best(house).cafes).toEqual([]);
    expect(best(house).optimum).toEqual(before.optimum);
  });

  it('forgets words after four weeks, and a check that was taken away at once', () => {
    const house = houseWithCafes({});
    const { db, ids } = house;
    const said = () => best(house).cafes.map(({ cups }) => cups);
    clock.now = () => new Date('2026-04-20T12:00:00Z');
    tastes(house, ids[0]!, { cups: 10, taste: 'sour' });
    stopClock();
    expect(said()).toEqual([]);
    tastes(house, ids[0]!, { cups: 6, taste: 'sour' });
    expect(said()).toEqual([6]);
    const checks = checksOfPartner(db, ids[0]!, '2026-05-01');
    send(db, 'removeCafeCheck', { checkId: checks[0]!.id, isAway: true });
    expect(said()).toEqual([5]);
    send(db, 'removeCafeCheck', { checkId: checks[1]!.id, isAway: true });
    expect(said()).toEqual([]);
  });

  it('takes a word at the place and the heat of the card its café had then', () => {
    const house = houseWithCafes({});
    const { db, releaseId, setupId, ids } = house;
    tastes(house, ids[0]!, { cups: 8, taste: 'fine' });
    expect(best(house).cafes[0]).toMatchObject({ ratio: 2, temperatureC: 93 });
    const hotter = { ...RECIPE, temperatureC: 95, yieldG: 45, why: 'It was sour.' };
    const draft = { ...hotter, releaseId, batchId: `${releaseId}-1`, setupId };
    const { draftId } = send(db, 'acceptRecipe', draft);
    send(db, 'publish', { releaseId, draftId, ...WORDS, whatChanged: 'Hotter and longer.' });
    tastes(house, ids[0]!, { cups: 8, taste: 'fine' });
    const [sign] = best(house).cafes;
    expect(sign).toMatchObject({ cups: 16, temperatureC: 94 });
    expect(sign!.ratio).toBeCloseTo(Math.sqrt(2 * 2.5), 6);
  });

  it('reads a clock that starts at the first drip, and another basket, as the bench would run', () => {
    const plain = houseWithCafes({});
    tastes(plain, plain.ids[0]!, { cups: 8, taste: 'fine' });
    const other = houseWithCafes({ clock: 'firstDrip', diameterMm: 54 });
    tastes(other, other.ids[0]!, { cups: 8, taste: 'fine' });
    // Both pulled in the middle of their own window: the same place.
    const [here] = best(plain).cafes;
    const [there] = best(other).cafes;
    expect(there!.timeS / here!.timeS).toBeCloseTo(1, 1);
    expect(targetOf(other.db, other.ids[0]!).timeS).not.toEqual(
      targetOf(plain.db, plain.ids[0]!).timeS,
    );
  });

  it('leaves out a café that has left', () => {
    const house = houseWithCafes({});
    tastes(house, house.ids[0]!, { cups: 12, taste: 'bitter' });
    expect(best(house).cafes).toHaveLength(1);
    send(house.db, 'retirePartner', { partnerId: house.ids[0] });
    expect(best(house).cafes).toEqual([]);
  });

  it('leaves out a café whose machine can only brew another style', () => {
    const house = houseWithCafes({}, { canShape: true });
    const { db, releaseId, setupId } = house;
    const draft = { ...RECIPE, style: 'soakFirst', releaseId, batchId: `${releaseId}-1`, setupId };
    const { draftId } = send(db, 'acceptRecipe', draft);
    send(db, 'publish', { releaseId, draftId, ...WORDS, whatChanged: 'Soaked first.' });
    for (const id of house.ids) tastes(house, id, { cups: 12, taste: 'sour' });
    expect(best(house).cafes.map(({ name }) => name)).toEqual(['Café 2']);
  });
});

describe('fits', () => {
  const small = { diameterMm: 46, ratedG: 16 };

  it('of the next card go by what small baskets found; the sheet of today keeps the card it has', () => {
    const house = houseWithCafes(small, {});
    const { db, releaseId, draftId } = house;
    const own = () => triedFactors(db, findHouse(db)!);
    expect(own()).toMatchObject({ baskets: 0, heats: 0, timeShare: 0.125 });
    const before = targetOf(db, house.ids[0]!);
    tastes(house, house.ids[0]!, { cups: 25, taste: 'sour' });
    tastes(house, house.ids[1]!, { cups: 25, taste: 'fine' });
    expect(own()).toMatchObject({ baskets: 1, heats: 0 });
    expect(own().timeShare).toBeGreaterThan(0.14);
    expect(targetOf(db, house.ids[0]!)).toEqual(before);
    send(db, 'publish', {
      releaseId,
      draftId,
      ...WORDS,
      whatChanged: 'Small baskets take longer.',
    });
    const { fitting } = publicRecipe(db, releaseId)!.body;
    expect(fitting!.timeShare).toBeCloseTo(own().timeShare, 3);
    const after = targetOf(db, house.ids[0]!);
    expect(after.timeS[1]).toBeGreaterThanOrEqual(before.timeS[1]);
    expect(own().timeShare).toBeCloseTo(fitting!.timeShare, 3);
  });

  it('of a house whose cafés all stand on its own basket keep the rules, and its card says nothing of it', () => {
    const house = houseWithCafes({});
    tastes(house, house.ids[0]!, { cups: 25, taste: 'sour' });
    const { db, releaseId, draftId } = house;
    send(db, 'publish', { releaseId, draftId, ...WORDS, whatChanged: 'Once more.' });
    expect(publicRecipe(db, releaseId)!.body).not.toHaveProperty('fitting');
  });

  it('learn of heat from a machine that cannot be set', () => {
    const house = houseWithCafes({ fixedTemperatureC: 88 }, {});
    tastes(house, house.ids[0]!, { cups: 25, taste: 'bitter' });
    const { heats, lnRatioPerCooler } = triedFactors(house.db, findHouse(house.db)!);
    expect(heats).toBe(1);
    expect(lnRatioPerCooler).toBeLessThan(0.055);
  });
});
