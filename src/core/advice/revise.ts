/**
 * The time window that goes with a changed recipe, so that the bench is not judged by the old one.
 * More beverage at the same grind takes proportionally longer (model: d = 1); after a grind move made
 * by taste the time it gives is accepted. House heuristic; whole seconds.
 */
import type { Target } from '../schema/target';
import type { Expectation, Move } from './types';

export function revisedWindow(
  { timeS: [low, high] }: Pick<Target, 'timeS'>,
  move: Pick<Move, 'variable' | 'from' | 'to'>,
  expect: Expectation,
): [number, number] {
  const factor =
    move.variable === 'yieldG'
      ? move.to / move.from
      : move.variable === 'dial'
        ? expect.timeS / ((low + high) / 2)
        : 1;
  return [Math.round(low * factor), Math.round(high * factor)];
}
