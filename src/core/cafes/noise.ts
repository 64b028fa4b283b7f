/** How much shots and visits scatter, learnt from what the fit leaves (empirical Bayes; worths are house heuristics). */
import type { CafeBlock } from './block';
import { CAFE_RULES } from './cafeRules';

export interface NoiseSums {
  readonly shots: number;
  readonly shotSquares: number;
  readonly visits: number;
  readonly visitSquares: number;
}

export const NO_NOISE: NoiseSums = { shots: 0, shotSquares: 0, visits: 0, visitSquares: 0 };

/** @param residuals y less what is fitted, without the effects of visits, row by row */
export function noiseSums(
  { weights, visitShare }: CafeBlock,
  residuals: readonly (readonly number[])[],
): NoiseSums {
  let [shots, shotSquares, visitSquares] = [0, 0, 0];
  for (let v = 0; v < weights.length; v++) {
    const visit = weights[v]!;
    const left = residuals[v]!;
    const share = visitShare[v]!;
    let sum = 0;
    for (let i = 0; i < visit.length; i++) sum += visit[i]!.w * left[i]!;
    const effect = share * sum;
    visitSquares += effect ** 2 + share;
    for (let i = 0; i < visit.length; i++) {
      const { good, variance, shotVariance } = visit[i]!;
      shots += good;
      shotSquares += (good * ((left[i]! - effect) ** 2 + share) * shotVariance) / variance;
    }
  }
  return { shots, shotSquares, visits: weights.length, visitSquares };
}

/** sd of one shot of a café, ln time. */
export function learntShotSd({ shots, shotSquares }: NoiseSums): number {
  const { sd, worth } = CAFE_RULES.noise;
  return Math.sqrt((worth * sd ** 2 + shotSquares) / (worth + shots));
}

/** sd of what the shots of one visit share, over all cafés. */
export function learntVisitSd(all: Iterable<NoiseSums>): number {
  const { sd, worth } = CAFE_RULES.visit;
  let squares: number = worth * sd ** 2;
  let visits: number = worth;
  for (const one of all) {
    squares += one.visitSquares;
    visits += one.visits;
  }
  return Math.sqrt(squares / visits);
}
