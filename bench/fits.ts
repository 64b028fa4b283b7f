/**
 * Does a fitted recipe taste like the house's own? 300 simulated coffees, each dialled in to its recipe on the house's
 * basket; then the fitted recipe on another basket, or on a machine that stands 3 °C off, with the grind that gives
 * its time: by how much the extraction differs. The simulator is the truth; no shot has noise.
 */
import { fitRecipe, type FitInput, type FitPlace } from '@/core/fits/fit';
import { chanceFrom } from '@/core/random';
import { STYLE_STEPS } from '@/core/programme/styles';
import { simulateShot } from '@/core/simulator/simulate';
import type { SimulatedBasket, SimulatedCoffee } from '@/core/simulator/types';
import type { Measure } from './measure';

const COFFEES = 300;
const HOUSE: SimulatedBasket = { diameterMm: 58, ratedG: 18 };
const BASKETS: readonly SimulatedBasket[] = [
  { diameterMm: 54, ratedG: 18 },
  { diameterMm: 51, ratedG: 16 },
  { diameterMm: 49, ratedG: 14 },
  { diameterMm: 46, ratedG: 16 },
];
const OFF_C = 3;
const ROASTS = [-1.5, -1, -0.5, 0, 0.5, 1];
const INTENSITIES = [0, 0.5, 1, 1.75];

interface Drawn {
  readonly coffee: SimulatedCoffee;
  readonly recipe: FitInput['recipe'];
}

/** A coffee and the recipe a house found for it, spread as houses are (model.md §2). */
function drawn(seed: number): Drawn {
  const chance = chanceFrom(seed);
  const one = <T>(list: readonly T[]) => list[Math.floor(chance.uniform() * list.length)]!;
  const roastLevel = one(ROASTS);
  const [light, dark] = [Math.max(0, -roastLevel), Math.max(0, roastLevel)];
  const coffee = {
    roastLevel,
    intensity: one(INTENSITIES),
    restDays: 10 + Math.floor(chance.uniform() * 15),
    lnResistance: 0.1 * chance.normal(),
    lnEase: 0.1 * chance.normal(),
  };
  const centre = 28 * Math.exp(0.08 * chance.normal());
  return {
    coffee,
    recipe: {
      doseG: HOUSE.ratedG,
      yieldG: HOUSE.ratedG * 2 * Math.exp(0.2 * light - 0.3 * dark + 0.1 * chance.normal()),
      temperatureC: 92 + 2 * light - 2 * dark + chance.normal(),
      timeS: [centre - 1.5, centre + 1.5],
      clock: 'pump',
    },
  };
}

interface Cup {
  readonly doseG: number;
  readonly yieldG: number;
  readonly temperatureC: number;
}

function pulled(coffee: SimulatedCoffee, basket: SimulatedBasket, cup: Cup, grindUm: number) {
  const shot = { ...cup, grindUm, programme: STYLE_STEPS.classic };
  return simulateShot({ coffee, basket, shot, seed: null });
}

const MOST_STEPS = 12;
const CLOSE_LN = 0.004;
/** ln time per ln size, to begin with. */
const USUAL_SLOPE = -3;

/** Extraction at the grind that gives this time: a secant in ln time against ln size. */
function extractionAt(
  coffee: SimulatedCoffee,
  basket: SimulatedBasket,
  cup: Cup,
  timeS: number,
): number {
  let at = { lnUm: Math.log(380), shot: pulled(coffee, basket, cup, 380) };
  let slope = USUAL_SLOPE;
  for (let step = 0; step < MOST_STEPS; step++) {
    const miss = Math.log(at.shot.timeS / timeS);
    if (Math.abs(miss) < CLOSE_LN) return at.shot.extractionPct;
    const lnUm = at.lnUm - Math.max(-0.4, Math.min(0.4, miss / slope));
    const shot = pulled(coffee, basket, cup, Math.exp(lnUm));
    const learnt = Math.log(shot.timeS / at.shot.timeS) / (lnUm - at.lnUm);
    if (learnt < -0.5) slope = learnt;
    at = { lnUm, shot };
  }
  throw new Error(`No grind takes ${timeS} s: ${at.shot.timeS} s at ${Math.exp(at.lnUm)} µm`);
}

/** By how many points the fitted cup is extracted more than the house's own. */
function difference({ coffee, recipe }: Drawn, to: Partial<FitPlace> & SimulatedBasket): number {
  const centre = (recipe.timeS[0] + recipe.timeS[1]) / 2;
  const own = extractionAt(coffee, HOUSE, recipe, centre);
  const { recipe: there, centreS } = fitRecipe({
    recipe,
    style: 'classic',
    from: HOUSE,
    to: { canShape: true, hasScale: true, isPressurised: false, clock: 'pump', ...to },
    cremaGPerMl: 0.75,
  });
  return extractionAt(coffee, to, there!, centreS) - own;
}

/** Measures every basket and both temperatures on the same coffees. */
export function benchFits(coffees: number = COFFEES): Measure[] {
  const all = Array.from({ length: coffees }, (_, i) => drawn(7 * i + 1));
  const cases: readonly (readonly [string, (one: Drawn) => Partial<FitPlace> & SimulatedBasket])[] =
    [
      ...BASKETS.map((basket) => [nameOf(basket), () => basket] as const),
      ...([-OFF_C, OFF_C] as const).map(
        (offC) =>
          [
            `58 mm, stands ${Math.abs(offC)} °C ${offC < 0 ? 'cooler' : 'hotter'}`,
            ({ recipe }: Drawn) => ({ ...HOUSE, fixedTemperatureC: recipe.temperatureC + offC }),
          ] as const,
      ),
    ];
  return cases.flatMap(([name, placeOf]) =>
    measuresOf(
      name,
      all.map((one) => difference(one, placeOf(one))),
    ),
  );
}

const nameOf = ({ diameterMm, ratedG }: SimulatedBasket) => `${diameterMm} mm, ${ratedG} g`;

function measuresOf(name: string, differences: readonly number[]): Measure[] {
  const sizes = differences.map(Math.abs).sort((a, b) => a - b);
  const one = (metric: string, value: number): Measure => ({
    part: 'fits',
    case: name,
    metric,
    value,
    unit: 'points of extraction',
  });
  return [
    one('mean', differences.reduce((sum, value) => sum + value, 0) / differences.length),
    one('off by, median', sizes[Math.floor(sizes.length / 2)]!),
    one('off by, 99 of 100', sizes[Math.floor(sizes.length * 0.99)]!),
    one('off by, worst', sizes.at(-1)!),
  ];
}
