import fc from 'fast-check';
import { faultOf } from '../../../tests/support/fault';
import { drinkRow, FILLS, SHOTS, USUAL_DRINKS } from './drinks';

const at = { yieldG: 36, cremaGPerMl: 0.75 };

describe('cups of a bar', () => {
  it('take grams of espresso, show a button’s volume, and are filled to the brim', () => {
    expect(USUAL_DRINKS.map((drink) => drinkRow(drink, at))).toMatchObject([
      { name: 'Espresso', espressoG: 36, buttonMl: 48, fillMl: 0 },
      { name: 'Cappuccino', espressoG: 36, buttonMl: 48, fillMl: 132 },
      { name: 'Long black', espressoG: 36, buttonMl: 48, fillMl: 152 },
    ]);
    expect(drinkRow({ ...USUAL_DRINKS[1]!, shots: 0.5 }, at)).toMatchObject({
      espressoG: 18,
      buttonMl: 24,
      fillMl: 156,
    });
  });

  it('never promise more than they hold', () => {
    const any = fc.record({
      name: fc.constant('Cup'),
      cupMl: fc.integer({ min: 20, max: 400 }),
      shots: fc.constantFrom(...SHOTS),
      fill: fc.constantFrom(...FILLS),
    });
    const yieldG = fc.double({ min: 10, max: 80, noNaN: true });
    fc.assert(
      fc.property(any, yieldG, (drink, grams) => {
        const asked = { yieldG: grams, cremaGPerMl: 0.75 };
        if (Math.round((drink.shots * grams) / 0.75) > drink.cupMl + 1) {
          const { faults } = faultOf(() => drinkRow(drink, asked));
          expect(faults[0]!.message).toMatch(/Choose a larger cup or fewer shots/);
          return;
        }
        if (Math.round((drink.shots * grams) / 0.75) >= drink.cupMl - 1) return;
        const { buttonMl, fillMl } = drinkRow(drink, asked);
        expect(buttonMl + fillMl).toBeLessThanOrEqual(drink.cupMl);
      }),
    );
  });
});
