/**
 * A cup from elsewhere as something to aim at: how well it was liked, each taster's own use of the scale taken out as
 * far as it is known. Source: a mean with its error (published, textbook); noise of a cup and spread of tasters are
 * house heuristics. Units: points of liking, 0-10.
 */
import { CUP_SD } from '../taste/cupNoise';
import { PRIOR, type Likely } from './surface';

/** One taster's liking of it. */
export interface AimLiking {
  readonly taster: string;
  readonly liking: number;
}

/**
 * @param offsets points a taster scores above the others, of those who scored cups of this coffee.
 * @returns null where nobody scored it.
 */
export function aimOf(
  likings: readonly AimLiking[],
  offsets: Readonly<Record<string, number>>,
): Likely | null {
  if (likings.length === 0) return null;
  let precision = 0;
  let weighted = 0;
  for (const { taster, liking } of likings) {
    const offset = offsets[taster];
    // Of somebody who scored no other cup it is not known how they use the scale.
    const share = 1 / (CUP_SD ** 2 + (offset === undefined ? PRIOR.tasterSd ** 2 : 0));
    precision += share;
    weighted += share * (liking - (offset ?? 0));
  }
  return { mean: weighted / precision, sd: Math.sqrt(1 / precision) };
}
