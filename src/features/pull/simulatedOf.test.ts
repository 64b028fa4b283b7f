import { STYLE_STEPS } from '@/core/programme/styles';
import { RECIPE, send, shotInput } from '../../../tests/support/house';
import { houseWith, type ViewedHouse } from '../../../tests/support/view';
import { drawInputOf, madeHere } from './simulatedOf';

const ask = (house: ViewedHouse) => drawInputOf(house.view().bench!, house.pull());

const accept = ({ db, releaseId, setupId }: ViewedHouse, changes: Record<string, unknown>) =>
  void send(db, 'acceptRecipe', {
    ...RECIPE,
    releaseId,
    setupId,
    batchId: `${releaseId}-1`,
    ...changes,
  });

describe('the bench that stands in for a dial-in', () => {
  it('is laid around the recipe, its coffee and its setup', () => {
    const house = houseWith();
    const { recipe, coffee, grinder, startDial } = ask(house);
    expect(recipe).toMatchObject({ doseG: 18, yieldG: 36, temperatureC: 93, centreS: 28 });
    expect(coffee).toMatchObject({ roastLevel: 0, intensity: 0, restDays: 12 });
    expect(startDial).toBe(12);
    expect(grinder).toEqual(house.view().bench!.setup.grinder);
  });

  it('is the same one for the same names, another for another style', () => {
    const [one, other] = [houseWith(), houseWith({ timeS: 22 })];
    expect(ask(one).seed).toBe(ask(other).seed);
    accept(one, { style: 'declining' });
    expect(ask(one).seed).not.toBe(ask(other).seed);
  });

  it('counts the window from the pump where the house counts from the first drip', () => {
    const house = houseWith();
    accept(house, { clock: 'firstDrip', timeS: [20, 24] });
    // No shot has said when the first drip falls: the usual six seconds.
    expect(ask(house).recipe.centreS).toBe(28);
    const draftId = house.view().bench!.draft.id;
    send(house.db, 'logShot', shotInput(draftId, { clock: 'firstDrip', timeS: 22, firstDripS: 9 }));
    expect(ask(house).recipe.centreS).toBe(31);
  });
});

describe('what the stand-in machine makes', () => {
  it('is the recipe’s own steps where the machine can, else the style’s', () => {
    const house = houseWith();
    house.db.exec('UPDATE machine SET pressure_control = 1, flow_control = 1');
    expect(madeHere(house.view().bench!)).toEqual(STYLE_STEPS.classic);
    accept(house, { steps: STYLE_STEPS.soakFirst });
    expect(madeHere(house.view().bench!)).toEqual(STYLE_STEPS.soakFirst);
    expect(ask(house).recipe.programme).toEqual(STYLE_STEPS.soakFirst);
  });

  it('is no more than the machine it stands for could make', () => {
    const house = houseWith();
    accept(house, { steps: STYLE_STEPS.soakFirst });
    house.db.exec('UPDATE machine SET pressure_control = 0, flow_control = 0, preinfusion = 0');
    expect(madeHere(house.view().bench!)).toEqual([
      { drive: 'pressure', level: 9, seconds: 30, ramp: false },
    ]);
  });
});
