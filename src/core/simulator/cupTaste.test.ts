import fc from 'fast-check';
import { STYLE_STEPS } from '../programme/styles';
import { tasteDirection } from '../taste/direction';
import { tasteOfCup } from './cupTaste';
import { simulateShot } from './simulate';
import type { SimulatedShot } from './types';

function cupsOf({
  roastLevel = 0,
  ...shot
}: Partial<SimulatedShot> & { readonly roastLevel?: number } = {}) {
  const asked = {
    doseG: 18,
    grindUm: 400,
    temperatureC: 93,
    programme: STYLE_STEPS.classic,
    yieldG: 36,
    ...shot,
  };
  const { stages, channelled } = simulateShot({
    coffee: { roastLevel, intensity: 0, restDays: 14 },
    basket: { diameterMm: 58, ratedG: 18 },
    shot: asked,
    seed: null,
  });
  return stages.map((cup) =>
    tasteOfCup({ cup, roastLevel, temperatureC: asked.temperatureC, channelled }),
  );
}

describe('taste of a simulated cup', () => {
  it('goes from sour and thick over sweet to thin and drying through three ten-second cups', () => {
    const [first, second, last] = cupsOf({ cutsS: [10, 20] });
    expect(first!.sharpness).toBeGreaterThan(second!.sharpness + 2);
    expect(first!.body).toBeGreaterThan(second!.body);
    expect(second!.body).toBeGreaterThan(last!.body + 1);
    expect(second!.sweetness).toBeGreaterThan(first!.sweetness);
    expect(second!.sweetness).toBeGreaterThan(last!.sweetness);
    expect(last!.dryness).toBeGreaterThan(second!.dryness);
    expect(last!.sharpness).toBeLessThan(second!.sharpness);
  });

  it.each([
    ['the reference', {}, 0, 'right'],
    ['a short, fast shot', { grindUm: 480, yieldG: 22 }, 0, 'under'],
    ['a long one', { yieldG: 62 }, 0, 'over'],
    ['a bad preparation', { prep: 0.2 }, 0, 'uneven'],
    ['a light roast, pulled long', { yieldG: 43, grindUm: 370, temperatureC: 94 }, -1, 'right'],
  ] as const)('makes of %s what the trade would say', (_, shot, roastLevel, verdict) => {
    const [taste] = cupsOf({ ...shot, roastLevel });
    expect(tasteDirection({ ...taste!, strength: 0 }, roastLevel).verdict).toBe(verdict);
  });

  it('is brighter cooler and lighter, more bitter hotter and darker', () => {
    const taste = (shot: Parameters<typeof cupsOf>[0]) => cupsOf(shot)[0]!;
    expect(taste({ temperatureC: 88 }).sharpness).toBeGreaterThan(taste({}).sharpness);
    expect(taste({ temperatureC: 97 }).bitterness).toBeGreaterThan(taste({}).bitterness);
    expect(taste({ roastLevel: -1 }).acidity).toBeGreaterThan(taste({ roastLevel: 1 }).acidity);
    expect(taste({ roastLevel: 1 }).bitterness).toBeGreaterThan(taste({}).bitterness);
  });

  it('stays on its scales for any cup, water too', () => {
    const grams = fc.double({ min: 0, max: 5, noNaN: true });
    fc.assert(
      fc.property(
        fc.record({ acid: grams, middle: grams, bitter: grams }),
        fc.double({ min: 0, max: 30, noNaN: true }),
        fc.integer({ min: -2, max: 2 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (solutesG, tdsPct, roastLevel, channelled) => {
          const { strength, ...scales } = tasteOfCup({
            cup: { solutesG, tdsPct },
            roastLevel,
            temperatureC: 93,
            channelled,
          });
          expect(Math.abs(strength)).toBeLessThanOrEqual(2);
          for (const value of Object.values(scales)) {
            expect(value).toBeGreaterThanOrEqual(0);
            expect(value).toBeLessThanOrEqual(10);
          }
        },
      ),
    );
  });
});
