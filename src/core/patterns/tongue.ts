/**
 * What moves the tongue in a house: how far liking, sweetness, sharpness and bitterness change with ratio, temperature,
 * time and rest. Cups are compared within one taster of one coffee alone, so that neither a generous taster nor a fine
 * coffee counts as an effect. Source: linear regression with fixed effects and a ridge prior (published); the prior and
 * the usual noise of a cup are house heuristics. Effects in points for one step: the ratio 15 % longer, 1.5 °C hotter,
 * 15 % slower, one week more rest.
 */
import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { Z_80 } from '../grinder/dial';
import { CUP_SD } from '../taste/cupNoise';
import { STEP, type TrialPoint } from '../trials/coding';
import { groupBy } from '../groupBy';

export const TONGUE = ['liking', 'sweetness', 'sharpness', 'bitterness'] as const;
export type TongueScale = (typeof TONGUE)[number];

export const LEVERS = ['ratio', 'temperatureC', 'timeS', 'restDays'] as const;
export type Lever = (typeof LEVERS)[number];

/** A cup somebody scored, with the shot it came from. */
export interface PlacedCup extends TrialPoint {
  readonly releaseId: string;
  readonly taster: string;
  readonly restDays: number;
  readonly scores: Partial<Readonly<Record<TongueScale, number>>>;
}

export interface TongueEffect {
  /** Points for one step of the lever. */
  readonly mean: number;
  readonly half80: number;
}

export interface TongueEffects {
  /** Null for a lever that no taster tasted at two settings of one coffee. */
  readonly byLever: Readonly<Record<Lever, TongueEffect | null>>;
  readonly cups: number;
  /** Coffees it was tasted in, those that tell most first. */
  readonly releaseIds: readonly string[];
}

const DAYS_A_STEP = 7;
/** An effect is hardly ever more than some points for a step. House heuristic. */
const PRIOR_SD = 1;
/** Noise of a cup, points, worth so many cups (model.md Trials, Panel). */
const NOISE = { variance: CUP_SD ** 2, count: 3 } as const;
/** Less spread than this of a lever is none. */
const LEAST_SPREAD = 0.05;

/** Effects on one scale; null where no two cups can be compared. */
export function tongueEffects(
  cups: readonly PlacedCup[],
  scale: TongueScale,
): TongueEffects | null {
  const scored = cups.flatMap((cup) => {
    const score = cup.scores[scale];
    return score === undefined ? [] : [{ ...cup, score, x: stepsOf(cup) }];
  });
  const groups = [...groupBy(scored, ({ releaseId, taster }) => `${releaseId} ${taster}`).values()];
  const compared = groups.filter((group) => group.length > 1);
  const rows = compared.flatMap((group) => {
    const middle = LEVERS.map((_, j) => mean(group.map(({ x }) => x[j]!)));
    const score = mean(group.map((cup) => cup.score));
    return group.map((cup) => ({
      releaseId: cup.releaseId,
      x: cup.x.map((value, j) => value - middle[j]!),
      y: cup.score - score,
    }));
  });
  if (rows.length === 0) return null;
  const spread = LEVERS.map((_, j) => rows.reduce((sum, { x }) => sum + x[j]! ** 2, 0));
  const X = new Matrix(rows.map(({ x }) => [...x]));
  const y = Matrix.columnVector(rows.map((row) => row.y));
  const XtX = X.transpose().mmul(X);
  const Xty = X.transpose().mmul(y);
  let variance: number = NOISE.variance;
  let found = solved(XtX, Xty, variance);
  const residual = Matrix.sub(y, X.mmul(found.mean)).to1DArray();
  const squares = residual.reduce((sum, value) => sum + value ** 2, 0);
  const degrees = Math.max(0, rows.length - compared.length);
  variance = (NOISE.count * NOISE.variance + squares) / (NOISE.count + degrees);
  found = solved(XtX, Xty, variance);
  const byLever = Object.fromEntries(
    LEVERS.map((lever, j) => [
      lever,
      spread[j]! < LEAST_SPREAD
        ? null
        : {
            mean: found.mean.get(j, 0),
            half80: Z_80 * Math.sqrt(found.covariance.get(j, j)),
          },
    ]),
  ) as Record<Lever, TongueEffect | null>;
  const telling = groupBy(rows, ({ releaseId }) => releaseId);
  const toldBy = (own: typeof rows) =>
    own.reduce((sum, { x }) => sum + x.reduce((all, value) => all + value ** 2, 0), 0);
  return {
    byLever,
    cups: rows.length,
    releaseIds: [...telling]
      .map(([releaseId, own]) => ({ releaseId, told: toldBy(own) }))
      .sort((a, b) => b.told - a.told)
      .map(({ releaseId }) => releaseId),
  };
}

const stepsOf = ({ ratio, temperatureC, timeS, restDays }: PlacedCup): number[] => [
  Math.log(ratio) / STEP.lnRatio,
  temperatureC / STEP.temperatureC,
  Math.log(timeS) / STEP.lnTimeS,
  restDays / DAYS_A_STEP,
];

const mean = (values: readonly number[]) =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

function solved(XtX: Matrix, Xty: Matrix, variance: number) {
  const A = Matrix.mul(XtX, 1 / variance).add(Matrix.eye(LEVERS.length).mul(1 / PRIOR_SD ** 2));
  const covariance = new CholeskyDecomposition(A).solve(Matrix.eye(LEVERS.length));
  return { covariance, mean: covariance.mmul(Matrix.mul(Xty, 1 / variance)) };
}
