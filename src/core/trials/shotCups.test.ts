import { USUAL_FIRST_DRIP_S } from '../extraction/clock';
import { cupsOfShots, type TastedShot } from './shotCups';

const RECIPE = { timeS: [26, 30], clock: 'pump' } as const;
const cup = (liking?: number, serving = 'straight', signs: object = {}) => ({
  serving,
  scales: { ...(liking !== undefined && { liking }), ...signs },
  tastedById: 'one',
});

function shot(changes: Partial<TastedShot> = {}): TastedShot {
  return {
    doseG: 18,
    yieldG: 36,
    timeS: 28,
    clock: 'pump',
    temperatureC: 93,
    seen: [],
    tastings: [cup(7)],
    ...changes,
  };
}
const cupsOf = (...shots: TastedShot[]) => cupsOfShots(shots, RECIPE, 0);

it('a cup stands where its shot really was, from the pump on either clock', () => {
  const [pump] = cupsOf(shot({ yieldG: 45 }));
  expect(pump).toMatchObject({ ratio: 2.5, temperatureC: 93, timeS: 28, liking: 7 });
  const noted = shot({ clock: 'firstDrip', timeS: 21, firstDripS: 6 });
  expect(cupsOf(noted)[0]!.timeS).toBe(27);
  const unknown = shot({ clock: 'firstDrip', timeS: 21 });
  expect(cupsOf(unknown)[0]!.timeS).toBe(21 + USUAL_FIRST_DRIP_S);
});

it('leaves out shots that choked or gushed, cups in milk, and sheets without a liking', () => {
  expect(cupsOf(shot({ seen: ['choke'] }), shot({ yieldG: 1 }), shot({ timeS: 9 }))).toEqual([]);
  expect(cupsOf(shot({ tastings: [cup(7, 'milk'), cup(undefined)] }))).toEqual([]);
});

it('a sheet points its way, or says nothing of one', () => {
  const sour = cup(4, 'straight', { sharpness: 8, bitterness: 1, sweetness: 3 });
  expect(cupsOf(shot({ tastings: [sour] }))[0]!.u).toBeGreaterThan(0);
  const bitter = cup(4, 'straight', { sharpness: 1, bitterness: 8, sweetness: 3 });
  expect(cupsOf(shot({ tastings: [bitter] }))[0]!.u).toBeLessThan(0);
  expect(cupsOf(shot())[0]!.u).toBeUndefined();
});
