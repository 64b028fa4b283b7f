/**
 * A simulated bench: one grinder that keeps grounds, one basket, one coffee. What stood in the grinder
 * follows it from shot to shot. For practice, devices and the benchmark; never for a lead's own data.
 */
import { finerSign } from '../grinder/dial';
import { chamberAfter, effectiveDial } from '../grinder/retention';
import type { Grinder } from '../schema/setup';
import { BED } from './parameters';
import { simulateShot } from './simulate';
import type { ShotResult, SimulatedBasket, SimulatedCoffee, SimulatedShot } from './types';

export interface Station {
  readonly coffee: SimulatedCoffee;
  readonly basket: SimulatedBasket;
  readonly grinder: Pick<Grinder, 'stepSize' | 'finerIs' | 'retentionG'>;
  /** Burr travel of one step, and the dial at which the grind is the reference size. */
  readonly umPerStep: number;
  readonly referenceDial: number;
}

/** A shot as a person sets it: by the dial and the purge, not by the grind that comes of them. */
export interface Pull extends Omit<SimulatedShot, 'grindUm'> {
  readonly dial: number;
  readonly purgeG: number;
}

/** Grinds simulated are held where the bed's forms are believed, µm. */
const LEAST_UM = 150;
const MOST_UM = 900;

/** Mean grind size at a dial, µm. */
export function grindUmAt({ grinder, umPerStep, referenceDial }: Station, dial: number): number {
  const steps = ((dial - referenceDial) / grinder.stepSize) * -finerSign(grinder);
  return Math.min(MOST_UM, Math.max(LEAST_UM, BED.referenceUm + steps * umPerStep));
}

/**
 * Pulls a shot with what stood in the grinder (`chamberDial`, null before the first shot) and says
 * what stands there after it.
 */
export function pullAt(
  station: Station,
  chamberDial: number | null,
  pull: Pull,
  seed: number | null,
  stepS?: number,
): { readonly result: ShotResult; readonly chamberDial: number } {
  const passage = {
    retentionG: station.grinder.retentionG,
    doseG: pull.doseG,
    purgeG: pull.purgeG,
  };
  const stood = chamberDial ?? pull.dial;
  const { dial, purgeG: _, ...shot } = pull;
  const result = simulateShot({
    coffee: station.coffee,
    basket: station.basket,
    shot: { ...shot, grindUm: grindUmAt(station, effectiveDial(dial, stood, passage)) },
    seed,
    ...(stepS !== undefined && { stepS }),
  });
  return { result, chamberDial: chamberAfter(dial, stood, passage) };
}
