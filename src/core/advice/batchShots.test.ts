import { question, shot, target } from '../../../tests/support/coffee';
import { batchShots } from './batchShots';

const REFERENCE = { dial: 0, doseG: 18, yieldG: 36 };
const EFFECTS = { perDial: -0.1, dose: 1.4, yield: 1 };

it('a long recipe is no miss: its shots count, brought to the reference', () => {
  const long = target({ yieldG: 54, timeS: [38, 46] });
  const shots = [shot({ yieldG: 54, timeS: 42, restDays: 10 })];
  const [only] = batchShots({ ...question(shots), target: long }, REFERENCE, EFFECTS);
  expect(only!.restDays).toBe(10);
  expect(Math.exp(only!.lnTimeS)).toBeCloseTo(28, 1);
});

it('a shot is judged by the recipe it was pulled for, not by a later one', () => {
  const [before, after] = [target({ yieldG: 36 }), target({ yieldG: 42, timeS: [30, 36] })];
  const shots = [
    shot({ timeS: 28, restDays: 8 }),
    shot({ yieldG: 42, timeS: 32.7, restDays: 10 }),
    shot({ yieldG: 36, timeS: 28, restDays: 10 }),
  ];
  const asked = { ...question(shots), target: after };
  // The last was meant to be 42 g: it says nothing.
  const ages = batchShots(asked, REFERENCE, EFFECTS, (i) => (i === 0 ? before : after));
  expect(ages.map(({ restDays }) => restDays)).toEqual([8, 10]);
  for (const { lnTimeS } of ages) expect(Math.exp(lnTimeS)).toBeCloseTo(28, 0);
  expect(batchShots(asked, REFERENCE, EFFECTS)).toHaveLength(1);
});
