/**
 * What the simulator makes of a programme: the mean shot at the grind that takes the middle of the time
 * window. A look ahead for whoever writes a programme; no figure of it is a measurement of the coffee.
 */
import type { Progress } from '../progress';
import { sizeFor, type DrawInput } from './drawStation';
import { simulateShot } from './simulate';
import type { ShotResult } from './types';

export interface Tried {
  readonly grindUm: number;
  readonly result: ShotResult;
  /** How far even the best grind found stays off the middle of the window: share of the time, signed. */
  readonly offBy: number;
}

export type TryInput = Pick<DrawInput, 'coffee' | 'basket' | 'recipe'>;

export function tryProgramme({ coffee, basket, recipe }: TryInput, onProgress?: Progress): Tried {
  const shotAt = (grindUm: number) =>
    simulateShot({ coffee, basket, shot: { ...recipe, grindUm }, seed: null, stepS: 0.1 });
  const grindUm = sizeFor(recipe.centreS, (um) => shotAt(um).timeS, onProgress);
  const result = shotAt(grindUm);
  return { grindUm, result, offBy: result.timeS / recipe.centreS - 1 };
}
