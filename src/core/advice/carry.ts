/**
 * Does the recipe of a release carry over to its new batch (model.md §5b)? The batch's level is off by δ in
 * ln time, expected from age, colour and the batches before; one shot at the best dial usually tells. House
 * heuristic, prototyped. Times in s from the clock of the window, moves in ln time. The mixture of odd shots
 * is needed: without it a settled verdict is wrong more often than it says.
 */
import { inverse, Matrix } from 'ml-matrix';
import { between } from './proofCost';
import { ODD_RATE, ODD_SD } from '../grinder/timePrior';
import { NOISE_SD } from '../grinder/timeRows';

/** ln times are counted from the trade's usual shot. */
export const REFERENCE_S = 28;
/** A move has this share of its meant effect, ± sd. */
const EFFECT = { mean: 1, sd: 0.12 } as const;
/** Combinations of odd shots less probable than this tell nothing. */
const LEAST_WEIGHT = 1e-4;
const GAIN_TO_MOVE = 0.03;
/** A batch this many sd from what was expected, by evens, is another coffee. */
const ANOTHER = { sds: 2.5, probability: 0.5, fromShots: 2 } as const;
/** Moves looked at where none are named: what a dial in usual steps could do. */
const USUAL_MOVES = Array.from({ length: 13 }, (_, i) => (i - 6) / 20);

export const CARRY_VERDICTS = ['carriesOver', 'oneMore', 'dialInAnew'] as const;
export type CarryVerdict = (typeof CARRY_VERDICTS)[number];

export interface CarryInput {
  /** Of ln(time / 28 s) with the dial unmoved. */
  readonly prior: { readonly mean: number; readonly sd: number };
  /** Time window, s. */
  readonly window: readonly [number, number];
  readonly noiseSd?: number | undefined;
  readonly shots: readonly { readonly moveLn: number; readonly timeS: number }[];
  /** Where the bench stands; at the last shot when absent. */
  readonly here?: number | undefined;
  /** Moves the grinder can make, in ln time; some usual ones when absent. */
  readonly moves?: readonly number[] | undefined;
  /** How surely the window must be held, 0-1. */
  readonly goal: number;
}

export interface Carried {
  /** Of ln(time / 28 s) with the dial unmoved, after the shots. */
  readonly mean: number;
  /** Probability that the window is held where the last shot was pulled, 0-1. */
  readonly inWindow: number;
  readonly best: { readonly moveLn: number; readonly inWindow: number };
  /** Mean and sd of ln(time / 28 s) at the best move, without the noise of a single shot. */
  readonly settled: { readonly mean: number; readonly sd: number };
  readonly verdict: CarryVerdict;
}

/** Judges a new batch by its first shots. */
export function carryOver(input: CarryInput): Carried {
  const { prior, window, shots, goal, moves = USUAL_MOVES } = input;
  const parts = posterior(input);
  const [low, high] = window.map((timeS) => Math.log(timeS / REFERENCE_S)) as [number, number];
  const holds = (moveLn: number) =>
    parts.reduce((sum, part) => {
      const { mean, variance } = at(part, moveLn);
      return sum + part.weight * between(mean, Math.sqrt(variance), low, high);
    }, 0);
  const here = input.here ?? shots.at(-1)?.moveLn ?? 0;
  const inWindow = holds(here);
  const top = [here, ...moves]
    .map((moveLn) => ({ moveLn, inWindow: holds(moveLn) }))
    .reduce((a, b) => (b.inWindow > a.inWindow + 1e-12 ? b : a));
  const best = top.inWindow - inWindow > GAIN_TO_MOVE ? top : { moveLn: here, inWindow };
  const far = ANOTHER.sds * prior.sd;
  const isAnother =
    shots.length >= ANOTHER.fromShots &&
    parts.reduce((sum, { weight, mean, covariance }) => {
      const sd = Math.sqrt(covariance.get(0, 0));
      return sum + weight * (1 - between(mean[0], sd, prior.mean - far, prior.mean + far));
    }, 0) >= ANOTHER.probability;
  return {
    mean: parts.reduce((sum, { weight, mean }) => sum + weight * mean[0], 0),
    inWindow,
    best,
    settled: settledAt(parts, best.moveLn),
    verdict: isAnother ? 'dialInAnew' : top.inWindow >= goal ? 'carriesOver' : 'oneMore',
  };
}

interface Part {
  readonly weight: number;
  /** δ and the share of its meant effect that a move has. */
  readonly mean: readonly [number, number];
  readonly covariance: Matrix;
}

/** Mean and variance of one part after a move. */
function at({ mean, covariance }: Part, moveLn: number) {
  return {
    mean: mean[0] + moveLn * mean[1],
    variance:
      covariance.get(0, 0) + 2 * moveLn * covariance.get(0, 1) + moveLn ** 2 * covariance.get(1, 1),
  };
}

function settledAt(parts: readonly Part[], moveLn: number): Carried['settled'] {
  const all = parts.map((part) => ({ weight: part.weight, ...at(part, moveLn) }));
  const mean = all.reduce((sum, part) => sum + part.weight * part.mean, 0);
  const variance = all.reduce(
    (sum, part) => sum + part.weight * (part.variance + (part.mean - mean) ** 2),
    0,
  );
  return { mean, sd: Math.sqrt(variance) };
}

/** Every combination of good and odd shots with its probability, exactly. */
function posterior({ prior, shots, noiseSd = NOISE_SD }: CarryInput): Part[] {
  let parts: Part[] = [
    {
      weight: 1,
      mean: [prior.mean, EFFECT.mean],
      covariance: Matrix.diag([prior.sd ** 2, EFFECT.sd ** 2]),
    },
  ];
  for (const { moveLn, timeS } of shots) {
    const y = Math.log(timeS / REFERENCE_S);
    const split = parts.flatMap((part) => [
      updated(part, moveLn, y, { variance: noiseSd ** 2, share: 1 - ODD_RATE }),
      updated(part, moveLn, y, { variance: noiseSd ** 2 + ODD_SD ** 2, share: ODD_RATE }),
    ]);
    const total = split.reduce((sum, { weight }) => sum + weight, 0);
    const kept = split.filter(({ weight }) => weight / total >= LEAST_WEIGHT);
    const left = kept.reduce((sum, { weight }) => sum + weight, 0);
    parts = kept.map((part) => ({ ...part, weight: part.weight / left }));
  }
  return parts;
}

function updated(
  { weight, mean, covariance }: Part,
  moveLn: number,
  y: number,
  { variance, share }: { variance: number; share: number },
): Part {
  const x = Matrix.columnVector([1, moveLn]);
  const predicted = x.transpose().mmul(covariance).mmul(x).get(0, 0) + variance;
  const miss = y - mean[0] - moveLn * mean[1];
  const precision = inverse(covariance).add(x.mmul(x.transpose()).div(variance));
  const after = inverse(precision);
  const gain = covariance.mmul(x).div(predicted);
  return {
    weight: (weight * share * Math.exp((-miss * miss) / 2 / predicted)) / Math.sqrt(predicted),
    mean: [mean[0] + gain.get(0, 0) * miss, mean[1] + gain.get(1, 0) * miss],
    covariance: after,
  };
}
