import fc from 'fast-check';
import { STYLES, CLOCKS } from '../vocabulary';
import { AUDIENCES, fitFor, placeOf } from './audience';
import { basketLaw, timeStretch } from '../extraction/basketLaw';
import { RULE_FACTORS } from './factors';
import { fitRecipe, type FitInput, type FitPlace } from './fit';

const recipe: FitInput['recipe'] = {
  doseG: 18,
  yieldG: 36,
  temperatureC: 93,
  timeS: [26.5, 29.5],
  clock: 'pump',
};
const HOUSE = { diameterMm: 58, ratedG: 18 };
const OPEN: FitPlace = {
  ...HOUSE,
  canShape: true,
  hasScale: true,
  isPressurised: false,
  clock: 'pump',
};

const fit = (to: Partial<FitPlace>, asked: Partial<FitInput> = {}) =>
  fitRecipe({
    recipe,
    style: 'classic',
    from: HOUSE,
    cremaGPerMl: 0.75,
    ...asked,
    to: { ...OPEN, ...to },
  });
const codesOf = (found: ReturnType<typeof fit>) => found.notes.map(({ code }) => code);

describe('the same recipe elsewhere', () => {
  it('is itself on the same setup', () => {
    const found = fit({});
    expect(found.recipe).toEqual({ ...recipe, ratio: 2, timeS: [27, 30] });
    expect(codesOf(found)).toEqual(['same']);
  });

  it('follows the law of the bed on other baskets: 54 mm and a 46 mm lever', () => {
    expect(basketLaw(HOUSE, { diameterMm: 54, ratedG: 18 })).toBeCloseTo(1.331, 3);
    expect(basketLaw(HOUSE, { diameterMm: 46, ratedG: 16 })).toBeCloseTo(1.997, 3);
    expect(timeStretch(HOUSE, { diameterMm: 54, ratedG: 18 })).toBeCloseTo(1.0364, 4);
    const home = fit({ diameterMm: 54 });
    expect(home.centreS).toBeCloseTo(29.02, 2);
    expect(home.recipe).toMatchObject({ doseG: 18, yieldG: 36, timeS: [23, 35] });
    expect(home.coarserSteps).toBeCloseTo(2.5, 1);
    const lever = fit({ diameterMm: 46, ratedG: 16, soaksByHand: true });
    expect(lever.centreS).toBeCloseTo(30.53 + 10, 2);
    expect(lever.recipe).toMatchObject({ doseG: 16, yieldG: 32 });
    expect(codesOf(lever)).toEqual(['basket', 'coarser', 'soak']);
  });

  it('answers a machine that cannot be set by the ratio, as far as a ratio goes', () => {
    const cooler = fit({ fixedTemperatureC: 90 });
    expect(cooler.recipe!.temperatureC).toBe(90);
    expect(cooler.recipe!.ratio).toBeCloseTo(2 * Math.exp(0.165), 1);
    expect(fit({ fixedTemperatureC: 96 }).recipe!.ratio).toBeCloseTo(2 * Math.exp(-0.12), 1);
    expect(codesOf(fit({ fixedTemperatureC: 93.5 }))).toEqual(['same']);
    expect(codesOf(fit({ fixedTemperatureC: 84 }))).toEqual(['ratioForHeat', 'heatOutOfReach']);
    const taught = fit(
      { fixedTemperatureC: 90 },
      { factors: { ...RULE_FACTORS, lnRatioPerCooler: 0.01 } },
    );
    expect(taught.recipe!.ratio).toBeCloseTo(2 * Math.exp(0.03), 1);
  });

  it('refuses a pressurised basket, and says what a plain machine loses', () => {
    expect(fit({ isPressurised: true })).toMatchObject({
      recipe: null,
      notes: [{ code: 'pressurised' }],
    });
    const plain = fit(
      { canShape: false },
      { style: 'longQuick', recipe: { ...recipe, yieldG: 52, timeS: [18, 22] } },
    );
    expect(plain.style).toBe('classic');
    expect(plain.recipe!.ratio).toBeCloseTo(52 / 18 / 1.45, 1);
    expect(plain.centreS).toBeCloseTo(28, 6);
    expect(plain.coarserSteps).toBe(-4);
    expect(codesOf(plain)).toContain('style');
  });

  it('counts on another clock, and by volume without a scale', () => {
    expect(fit({ clock: 'firstDrip' })).toMatchObject({
      centreS: 21,
      recipe: { timeS: [20, 23], clock: 'firstDrip' },
    });
    const rough = fit({ hasScale: false });
    expect(rough.recipe!.yieldMl).toBe(48);
    expect(codesOf(rough)).toEqual(['noScale']);
  });

  it('gives every audience a whole recipe or an honest refusal', () => {
    const any = fc.record({
      doseG: fc.double({ min: 12, max: 22, noNaN: true }),
      ratio: fc.double({ min: 1, max: 3.5, noNaN: true }),
      temperatureC: fc.double({ min: 82, max: 96, noNaN: true }),
      centre: fc.double({ min: 18, max: 60, noNaN: true }),
      clock: fc.constantFrom(...CLOCKS),
      style: fc.constantFrom(...STYLES),
      audience: fc.constantFrom(...AUDIENCES),
    });
    fc.assert(
      fc.property(any, ({ doseG, ratio, temperatureC, centre, clock, style, audience }) => {
        const { recipe: there, notes } = fitFor(audience, {
          recipe: {
            doseG,
            yieldG: doseG * ratio,
            temperatureC,
            timeS: [centre - 2, centre + 2],
            clock,
          },
          style,
          from: { diameterMm: 58, ratedG: 18 },
        });
        expect(notes.length).toBeGreaterThan(0);
        expect(there === null).toBe(audience === 'pressurised');
        if (!there) return;
        expect(there.timeS[0]).toBeLessThan(there.timeS[1]);
        const place = placeOf(audience, 18, clock);
        const isOwnBasket = place.diameterMm === 58 && place.ratedG === 18;
        const likeHere = (place.ratedG * doseG) / 18;
        const most = isOwnBasket ? likeHere : Math.min(likeHere, place.ratedG + 0.5);
        expect(Math.abs(there.doseG - most)).toBeLessThanOrEqual(0.051);
        expect(there.ratio).toBeCloseTo(there.yieldG / there.doseG, 9);
      }),
    );
  });
});
