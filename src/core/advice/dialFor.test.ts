import { targetSchema } from '../schema/target';
import { dialFor } from './dialFor';

const grinder = { stepSize: 0.5, finerIs: 'lower', min: 0, max: 20, retentionG: 2 } as const;
const target = targetSchema.parse({ doseG: 18, yieldG: 36, timeS: [26, 30], clock: 'pump' });
const shots = [
  [12, 22],
  [10, 27.6],
  [10, 28.3],
  [9, 31],
].map(([dial, timeS]) => ({
  dial: dial!,
  doseG: 18,
  yieldG: 36,
  timeS: timeS!,
  clock: 'pump' as const,
  purged: true,
  seen: [],
}));
const ask = dialFor({ target, grinder, basket: { ratedG: 18 }, shots });
const RECIPE = { doseG: 18, yieldG: 36, timeS: 28 };

it('at the recipe’s own figures it is where the shots ran that time', () => {
  expect(ask(RECIPE)).toBeCloseTo(10, 0);
});

it('a slower cup needs a finer dial, a longer one in the same time a coarser dial', () => {
  expect(ask({ ...RECIPE, timeS: 34 })).toBeLessThan(ask(RECIPE));
  expect(ask({ ...RECIPE, timeS: 23 })).toBeGreaterThan(ask(RECIPE));
  // 44 g at a dial that gives 36 g in 28 s takes longer.
  expect(ask({ ...RECIPE, yieldG: 44 })).toBeLessThan(20);
  expect(ask({ ...RECIPE, yieldG: 44 })).toBeGreaterThan(ask(RECIPE));
});

it('names settings the grinder has, whatever is asked', () => {
  for (const timeS of [5, 17.3, 60, 170]) {
    const dial = ask({ ...RECIPE, timeS });
    expect(dial * 2).toBe(Math.round(dial * 2));
    expect(dial).toBeGreaterThanOrEqual(0);
    expect(dial).toBeLessThanOrEqual(20);
  }
});
