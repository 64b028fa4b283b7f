/**
 * A made-up bench around a recipe: how the coffee departs from its kind and what the grinder's step does
 * are drawn, so that dialling in has something to find. Seeded; house heuristic throughout.
 */
import { finerSign, LN_TIME_PER_UM, slopePrior } from '../grinder/dial';
import { chanceFrom } from '../random';
import type { Programme } from '../programme/step';
import type { Progress } from '../progress';
import type { Grinder } from '../schema/setup';
import { BED } from './parameters';
import { simulateShot } from './simulate';
import type { Station } from './station';
import type { SimulatedBasket, SimulatedCoffee } from './types';

/** sd of what a lot differs from its kind, in ln. */
const LOT_SD = 0.1;
/** sd, in ln, of what the grinder's step really does about what the house believes. */
const STEP_SD = 0.3;

/** Also the station is a function of its input alone: nothing of it need be kept. */
export interface DrawInput {
  readonly coffee: SimulatedCoffee;
  readonly basket: SimulatedBasket;
  readonly grinder: Grinder;
  readonly recipe: {
    readonly doseG: number;
    readonly yieldG: number;
    readonly temperatureC: number;
    readonly programme: Programme;
    /** Middle of the time window, s from the pump. */
    readonly centreS: number;
  };
  readonly startDial: number;
  /** sd of the error of the start, in ln time. */
  readonly startSd: number;
  /** The error itself, where it is not to be drawn. */
  readonly startErrorLn?: number | undefined;
  readonly seed: number;
  /** Change of ln time per step finer; drawn about what is believed when absent. */
  readonly lnPerStep?: number;
}

export interface DrawnStation {
  readonly station: Station;
  /** The dial, between settings too, whose mean shot takes the centre of the window. */
  readonly idealDial: number;
}

export function drawStation(input: DrawInput): DrawnStation {
  const { grinder, recipe, startDial, startSd } = input;
  const chance = chanceFrom(input.seed);
  const coffee = {
    ...input.coffee,
    lnResistance: LOT_SD * chance.normal(),
    lnEase: LOT_SD * chance.normal(),
  };
  const believed = Math.abs(slopePrior(grinder).mean) * grinder.stepSize;
  const lnPerStep = input.lnPerStep ?? believed * Math.exp(STEP_SD * chance.normal());
  const drawn = startSd * chance.normal();
  const startError = input.startErrorLn ?? drawn;
  const idealUm = sizeFor(
    recipe.centreS,
    (grindUm) =>
      simulateShot({
        coffee,
        basket: input.basket,
        shot: { ...recipe, grindUm },
        seed: null,
        stepS: 0.1,
      }).timeS,
  );
  const umPerStep = lnPerStep / LN_TIME_PER_UM;
  const sign = finerSign(grinder);
  const idealDial = startDial - (sign * startError * grinder.stepSize) / lnPerStep;
  // At the ideal dial the grind is of the ideal size; the reference dial follows from that.
  const referenceDial =
    idealDial + (sign * grinder.stepSize * (idealUm - BED.referenceUm)) / umPerStep;
  return {
    idealDial,
    station: { coffee, basket: input.basket, grinder, umPerStep, referenceDial },
  };
}

const MOST_ITERATIONS = 12;
const CLOSE_ENOUGH = 0.004;

/** Grind size, µm, whose mean time is `centreS`: Newton steps with the usual slope, within bounds. */
export function sizeFor(
  centreS: number,
  timeAt: (grindUm: number) => number,
  onProgress?: Progress,
): number {
  let grindUm: number = BED.referenceUm;
  for (let i = 0; i < MOST_ITERATIONS; i++) {
    onProgress?.(i / MOST_ITERATIONS);
    const off = Math.log(timeAt(grindUm) / centreS);
    if (Math.abs(off) < CLOSE_ENOUGH) break;
    const step = Math.min(80, Math.max(-80, off / LN_TIME_PER_UM));
    grindUm = Math.min(800, Math.max(200, grindUm + step));
  }
  return grindUm;
}
