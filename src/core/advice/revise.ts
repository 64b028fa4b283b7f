/**
 * The time window that goes with a changed recipe, so that the bench is not judged by the old one.
 * More beverage at the same grind takes proportionally longer (model: d = 1); after a grind move made
 * by taste the time it gives is accepted. House heuristic; whole seconds.
 */
import type { Target } from '../schema/target';
import type { Advice, Move } from './types';

function revisedWindow(
  { timeS: [low, high] }: Pick<Target, 'timeS'>,
  move: Pick<Move, 'variable' | 'from' | 'to'>,
  expectedS: number,
): [number, number] {
  const factor =
    move.variable === 'yieldG'
      ? move.to / move.from
      : move.variable === 'dial'
        ? expectedS / ((low + high) / 2)
        : 1;
  return [Math.round(low * factor), Math.round(high * factor)];
}

/**
 * What the next shot is pulled to after a move of the taste.
 * @param expectedS time of a shot of the target at the setting advised, s on its clock.
 */
export function pulledAfter(
  target: Pick<Target, 'yieldG' | 'temperatureC' | 'timeS'>,
  move: Pick<Move, 'variable' | 'from' | 'to'>,
  expectedS: number,
): Advice['pulled'] {
  return {
    yieldG: move.variable === 'yieldG' ? move.to : target.yieldG,
    temperatureC: move.variable === 'temperatureC' ? move.to : target.temperatureC,
    timeS: revisedWindow(target, move, expectedS),
  };
}
