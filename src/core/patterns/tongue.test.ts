import { chanceFrom } from '../random';
import { STEP } from '../trials/coding';
import { tongueEffects, type PlacedCup } from './tongue';

const TRUTH = [0.6, -0.4, 0.2, -0.3];

/** Cups of coffees that differ much, by tasters that differ much, in a house where the levers do what they do. */
function cupsOf(seed: number, noise: number): PlacedCup[] {
  const chance = chanceFrom(seed);
  return Array.from({ length: 12 }, (_, coffee) => {
    const fine = 3 * chance.normal();
    return ['a', 'b'].flatMap((taster, t) =>
      Array.from({ length: 6 }, () => {
        const x = TRUTH.map(() => chance.normal());
        const effect = x.reduce((sum, value, j) => sum + value * TRUTH[j]!, 0);
        return {
          releaseId: `coffee ${coffee}`,
          taster,
          ratio: 2 * Math.exp(STEP.lnRatio * x[0]!),
          temperatureC: 93 + STEP.temperatureC * x[1]!,
          timeS: 28 * Math.exp(STEP.lnTimeS * x[2]!),
          restDays: 14 + 7 * x[3]!,
          scores: { liking: 6 + fine + 2 * t + effect + noise * chance.normal() },
        };
      }),
    );
  }).flat();
}

it('finds what each lever does, whatever coffees and tasters differ in', () => {
  const { byLever, cups, releaseIds } = tongueEffects(cupsOf(3, 0.8), 'liking')!;
  expect(cups).toBe(144);
  expect(releaseIds).toHaveLength(12);
  const found = [byLever.ratio, byLever.temperatureC, byLever.timeS, byLever.restDays];
  found.forEach((effect, j) => {
    expect(Math.abs(effect!.mean - TRUTH[j]!)).toBeLessThan(3 * effect!.half80);
    expect(effect!.half80).toBeLessThan(0.2);
  });
});

it('its bands hold about eight times in ten', () => {
  let held = 0;
  const houses = 60;
  for (let seed = 0; seed < houses; seed++) {
    const { byLever } = tongueEffects(cupsOf(100 + seed, 0.8), 'liking')!;
    const { mean, half80 } = byLever.ratio!;
    if (Math.abs(mean - TRUTH[0]!) <= half80) held++;
  }
  expect(held / houses).toBeGreaterThan(0.66);
  expect(held / houses).toBeLessThan(0.94);
});

it('the order of cups and the names of tasters change nothing', () => {
  const cups = cupsOf(5, 0.8);
  const other = [...cups].reverse().map((cup) => ({ ...cup, taster: `other ${cup.taster}` }));
  const [forth, back] = [tongueEffects(cups, 'liking')!, tongueEffects(other, 'liking')!];
  expect(back.byLever.ratio!.mean).toBeCloseTo(forth.byLever.ratio!.mean, 10);
});

it('says nothing of a lever nobody varied, nor of single cups', () => {
  const cups = cupsOf(7, 0.8).map((cup) => ({ ...cup, temperatureC: 93 }));
  expect(tongueEffects(cups, 'liking')!.byLever.temperatureC).toBeNull();
  const single = cups.filter(
    (cup, i) => cups.findIndex((one) => one.releaseId === cup.releaseId) === i,
  );
  expect(tongueEffects(single, 'liking')).toBeNull();
  expect(tongueEffects(cups, 'sweetness')).toBeNull();
});
