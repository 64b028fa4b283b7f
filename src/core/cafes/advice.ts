/**
 * What a café does next with its grinder, by the whole model instead of the last shot. All in ln time; a move is in
 * steps of the café's grinder, in half ones where its dial turns freely. Staying is preferred: a move must gain five
 * in a hundred (house heuristic).
 */
import { between } from '../advice/proofCost';

const MOST_STEPS = 3;
const LEAST_GAIN = 0.05;

/** What one step of a dial does, and whether it can be moved by less. */
export interface DialStep {
  readonly mean: number;
  readonly sd: number;
  readonly isStepless?: boolean | undefined;
}

export interface MoveQuestion {
  /** Where the next shot lies against the recipe's time. */
  readonly offLn: number;
  readonly sd: number;
  readonly slope: DialStep;
  /** The window around the recipe's time. */
  readonly window: readonly [number, number];
}

export interface CafeMove {
  /** Steps of the dial, as its numbers go. */
  readonly steps: number;
  readonly inWindow: number;
  /** Chance if nothing is moved. */
  readonly asItIs: number;
}

/** Chance that the mean of the next shots lies in the window after a move. */
export function chanceAfter(steps: number, { offLn, sd, slope, window }: MoveQuestion): number {
  const mean = offLn + steps * slope.mean;
  const spread = Math.hypot(sd, steps * slope.sd);
  const [low, high] = window;
  return between(mean, spread, low, high);
}

export function bestMove(question: MoveQuestion): CafeMove {
  const asItIs = chanceAfter(0, question);
  const finest = question.slope.isStepless ? 0.5 : 1;
  const most = MOST_STEPS / finest;
  const moves = Array.from({ length: 2 * most + 1 }, (_, i) => (i - most) * finest);
  const best = moves
    .map((steps) => ({ steps, inWindow: chanceAfter(steps, question) }))
    .reduce((best, one) => (one.inWindow > best.inWindow ? one : best));
  if (best.inWindow - asItIs < LEAST_GAIN) return { steps: 0, inWindow: asItIs, asItIs };
  return { ...best, asItIs };
}
