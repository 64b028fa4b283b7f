/**
 * Where one coffee tastes best, from few cups: liking as a quadratic around an unknown best point x*, whose
 * prior is the doubt of the release's own proposal. Given a curvature all is linear and conjugate; curvatures
 * are averaged by their evidence. Source: Bayesian linear regression (published, textbook) in the form of
 * model.md §4b; spreads and the direction of signs are house heuristics.
 * Units: coded steps (coding.ts), liking in points 0-10. Caveat: a quadratic is wrong far from its best point;
 * `misfit` widens what cups there say.
 */
import jStat from 'jstat';
import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { dot, symmetric, quadratic } from '../linear';
import { CUP_SD } from '../taste/cupNoise';
import { VARIABLES, type Coded } from './coding';
import { curvatureParticles, type Curvature } from './curvature';

/** One cup as one taster scored it. */
export interface Cup {
  readonly x: Coded;
  readonly taster: string;
  /** 0-10. */
  readonly liking: number;
  /** Under less over of the cup sheet; absent where it points nowhere. */
  readonly u?: number | undefined;
}

/** A side that others told of a place, without a score of their own: cafés. */
export interface ToldSign {
  readonly x: Coded;
  /** Under less over, their own zero taken out. */
  readonly u: number;
  readonly sd: number;
}

export interface SurfaceInput {
  readonly cups: readonly Cup[];
  readonly told?: readonly ToldSign[] | undefined;
  /** V₀: covariance of x* around the proposal, 3 × 3 coded. */
  readonly prior: Matrix;
  /** In place of the particles. */
  readonly curvatures?: readonly Curvature[] | undefined;
  /** Number of the release, for its particles. */
  readonly release?: number | undefined;
  readonly misfit?: boolean | undefined;
  readonly useSigns?: boolean | undefined;
  /** Where the signs of this house stand for a cup at its best; the usual place when absent. */
  readonly signOffset?: SignOffset | undefined;
}

/** Under less over that tasters give to a cup at its best, and how surely that is known. */
export interface SignOffset {
  readonly mean: number;
  readonly sd: number;
}

/** What one curvature makes of the cups. */
export interface Fit extends Curvature {
  /** Share of the evidence, with the prior weight. */
  readonly share: number;
  /** Liking at the proposal. */
  readonly liking: number;
  /** x̂ and V_s of x*. */
  readonly best: readonly number[];
  readonly covariance: Matrix;
  /** A⁻¹ of (f, x*, b_u), for planning; tasters' offsets are integrated out. */
  readonly joint: Matrix;
  readonly lnEvidence: number;
  /** χ² of the cups against this fit, on `Surface.responses` degrees. */
  readonly chi2: number;
  readonly offsets: readonly number[];
  readonly signOffset: number;
}

export interface Surface {
  readonly fits: readonly Fit[];
  /** Where the expected liking is highest. */
  readonly optimum: readonly number[];
  /** Moments of x*. */
  readonly mean: readonly number[];
  readonly covariance: Matrix;
  /** ΣwH. */
  readonly meanH: Matrix;
  readonly lnEvidence: number;
  readonly tasters: Readonly<Record<string, number>>;
  readonly signOffset: SignOffset;
  /** Liking at the optimum lies about so many points under the best this coffee can give. */
  readonly expectedLeft: number;
  /** Noise sd of a cup, widened where the cups contradict each other. */
  readonly noiseSd: number;
  readonly warnings: readonly SurfaceWarning[];
}

export type SurfaceWarning = 'contradictory' | 'edge';

/** Points of liking; house heuristics. */
export const PRIOR = {
  liking: { mean: 6.5, sd: 1.5 },
  tasterSd: 0.7,
  signOffsetSd: 0.8,
  cupSd: CUP_SD,
  signSd: 1.5,
} as const;

/** Before the house's own releases say better. */
export const USUAL_SIGNS: SignOffset = { mean: 0, sd: PRIOR.signOffsetSd };

/** A quadratic is off by about a third of the drop it claims. House heuristic. */
const MISFIT_SHARE = 0.35;
const REFITS = 2;

/** Coded steps from the proposal: the box of a trial. */
export const BOX = 2;

/** Lowest and highest coded place of each variable. */
export type Limits = readonly (readonly [number, number])[];
export const WHOLE_BOX: Limits = Array.from({ length: VARIABLES }, () => [-BOX, BOX]);

/** Below this chance of such contradictory cups their noise is taken to be larger. */
const LEAST_P = 0.02;

/** Where under signs grow: longer, hotter, slower takes them away. House heuristic. */
export const SIGN_DIRECTION: readonly number[] = (() => {
  const d = [0.6, 0.45, 0.66];
  const length = Math.hypot(...d);
  return d.map((value) => value / length);
})();

/** Fits the surface of a release. Throws a RangeError on a prior or curvature that is not positive definite. */
export function fitSurface(input: SurfaceInput): Surface {
  const first = fitWith(input, PRIOR.cupSd);
  const responses = responsesOf(input, () => 1).length;
  const chi2 = first.fits.reduce((sum, fit) => sum + fit.share * fit.chi2, 0);
  if (responses === 0 || 1 - jStat.chisquare.cdf(chi2, responses) >= LEAST_P) return first;
  const again = fitWith(input, PRIOR.cupSd * Math.sqrt(chi2 / responses));
  return { ...again, warnings: ['contradictory', ...again.warnings] };
}

function fitWith(input: SurfaceInput, noiseSd: number): Surface {
  const curvatures = input.curvatures ?? curvatureParticles(input.release);
  const tasters = tastersOf(input.cups);
  const priorInverse = inverseOf(input.prior);
  let surface: Surface | null = null;
  for (let pass = 0; pass <= (input.misfit === false ? 0 : REFITS); pass++) {
    const around = surface;
    const responses = responsesOf(
      input,
      (cup) => noiseSd ** 2 + (around ? misfitVariance(around, cup, input.cups) : 0),
    );
    const fits = curvatures.map((curvature) =>
      fitOne(curvature, {
        tasters,
        priorInverse,
        responses,
        signs: input.signOffset ?? USUAL_SIGNS,
      }),
    );
    surface = averaged(fits, tasters, noiseSd);
  }
  return surface!;
}

/** v = K[.35·½(x − x_m)ᵀH̄(x − x_m)]²: shared by the K tasters of one cup, so each alone is worth less. */
export function misfitAt({ optimum, meanH }: Surface, x: readonly number[]): number {
  const away = x.map((value, j) => value - optimum[j]!);
  return (MISFIT_SHARE * 0.5 * quadratic(meanH, away)) ** 2;
}

function misfitVariance(surface: Surface, { x }: Cup, cups: readonly Cup[]): number {
  const together = new Set(
    cups.filter((other) => other.x.every((value, j) => value === x[j])).map(({ taster }) => taster),
  ).size;
  return together * misfitAt(surface, x);
}

interface Response {
  readonly x: Coded;
  /** Place of the taster among all, the house's sign, or a sign that was told. */
  readonly by: number | 'house' | 'others';
  /** Liking or sign as it was given. */
  readonly given: number;
  readonly variance: number;
}

function responsesOf(
  { cups, told = [], useSigns = true }: SurfaceInput,
  likingVariance: (cup: Cup) => number,
): Response[] {
  const tasters = tastersOf(cups);
  const own = cups.flatMap((cup): Response[] => {
    const { x, taster, liking, u } = cup;
    const scored = { x, by: tasters.indexOf(taster), given: liking };
    const pointed = { x, by: 'house' as const, given: u ?? 0, variance: PRIOR.signSd ** 2 };
    return [
      { ...scored, variance: likingVariance(cup) },
      ...(useSigns && u !== undefined ? [pointed] : []),
    ];
  });
  return [
    ...own,
    ...told.map(({ x, u, sd }) => ({ x, by: 'others' as const, given: u, variance: sd ** 2 })),
  ];
}

const tastersOf = (cups: readonly Cup[]) => [...new Set(cups.map(({ taster }) => taster))];

interface Given {
  readonly tasters: readonly string[];
  readonly priorInverse: Matrix;
  readonly responses: readonly Response[];
  readonly signs: SignOffset;
}

/** q = (f, x*, b_u, offsets of tasters): in this order, so that what planning needs comes first. */
const SIGN_AT = 1 + VARIABLES;
const OFFSETS_FROM = SIGN_AT + 1;

function fitOne(curvature: Curvature, { tasters, priorInverse, responses, signs }: Given): Fit {
  const size = OFFSETS_FROM + tasters.length;
  const prior = new Matrix(size, size);
  prior.set(0, 0, PRIOR.liking.sd ** -2);
  prior.setSubMatrix(priorInverse, 1, 1);
  prior.set(SIGN_AT, SIGN_AT, signs.sd ** -2);
  for (let i = OFFSETS_FROM; i < size; i++) prior.set(i, i, PRIOR.tasterSd ** -2);
  const lnDetPrior = lnDeterminant(new CholeskyDecomposition(prior));
  // Plain rows while cups are counted in: this runs for each cup, curvature and pass.
  const sums = prior.to2DArray();
  const b = new Array<number>(size).fill(0);
  b[0] = PRIOR.liking.mean * PRIOR.liking.sd ** -2;
  b[SIGN_AT] = signs.mean * signs.sd ** -2;
  // q₀ᵀA₀q₀ and Σresp²/variance, whose difference from bᵀq is χ².
  let squares = PRIOR.liking.mean * b[0] + signs.mean * b[SIGN_AT];
  let lnScale = 0;
  const H = curvature.H.to2DArray();
  const row = new Array<number>(size).fill(0);
  for (const response of responses) {
    const { variance } = response;
    const weight = 1 / variance;
    const value = fillRow(row, response, H, curvature.a);
    squares += value ** 2 * weight;
    lnScale += Math.log(2 * Math.PI * variance);
    for (let i = 0; i < size; i++) {
      if (row[i] === 0) continue;
      b[i]! += row[i]! * value * weight;
      const sum = sums[i]!;
      for (let j = 0; j < size; j++) sum[j]! += row[i]! * row[j]! * weight;
    }
  }
  const A = new Matrix(sums);
  const cholesky = new CholeskyDecomposition(A);
  if (!cholesky.isPositiveDefinite())
    throw new RangeError('The prior or a curvature is not positive definite.');
  const inverse = symmetric(cholesky.solve(Matrix.eye(size)));
  const q = inverse.mmul(Matrix.columnVector(b)).to1DArray();
  const chi2 = squares - dot(b, q);
  return {
    ...curvature,
    share: 1,
    liking: q[0]!,
    best: q.slice(1, SIGN_AT),
    covariance: inverse.subMatrix(1, VARIABLES, 1, VARIABLES),
    joint: inverse.subMatrix(0, SIGN_AT, 0, SIGN_AT),
    lnEvidence: -0.5 * (lnDeterminant(cholesky) - lnDetPrior + lnScale + chi2),
    chi2,
    offsets: q.slice(OFFSETS_FROM),
    signOffset: q[SIGN_AT]!,
  };
}

/** Fills the row of q that a response is of; the value it should give. */
function fillRow(
  row: number[],
  { x, by, given }: Response,
  H: readonly (readonly number[])[],
  a: number,
): number {
  row.fill(0);
  if (typeof by === 'string') {
    for (let j = 0; j < VARIABLES; j++) row[1 + j] = a * SIGN_DIRECTION[j]!;
    if (by === 'house') row[SIGN_AT] = 1;
    return given + a * dot(SIGN_DIRECTION, x);
  }
  row[0] = 1;
  row[OFFSETS_FROM + by] = 1;
  let bent = 0;
  for (let j = 0; j < VARIABLES; j++) {
    const pull = dot(H[j]!, x);
    row[1 + j] = pull;
    bent += pull * x[j]!;
  }
  return given + 0.5 * bent;
}

function averaged(all: readonly Fit[], tasters: readonly string[], noiseSd: number): Surface {
  const top = Math.max(...all.map(({ lnEvidence }) => lnEvidence));
  const raw = all.map(({ lnEvidence, weight }) => weight * Math.exp(lnEvidence - top));
  const total = raw.reduce((sum, value) => sum + value, 0);
  const prior = all.reduce((sum, { weight }) => sum + weight, 0);
  const fits = all.map((fit, s) => ({ ...fit, share: raw[s]! / total }));
  const meanH = Matrix.zeros(VARIABLES, VARIABLES);
  const pulled = Matrix.zeros(VARIABLES, 1);
  const mean = [0, 0, 0];
  for (const { share, H, best } of fits) {
    meanH.add(Matrix.mul(H, share));
    pulled.add(Matrix.mul(H.mmul(Matrix.columnVector([...best])), share));
    best.forEach((value, j) => (mean[j]! += share * value));
  }
  const optimum = inverseOf(meanH).mmul(pulled).to1DArray();
  const covariance = Matrix.zeros(VARIABLES, VARIABLES);
  for (const { share, best, covariance: own } of fits)
    covariance.add(Matrix.mul(Matrix.add(own, outer(best, mean)), share));
  const weighted = (of: (fit: Fit) => number) =>
    fits.reduce((sum, fit) => sum + fit.share * of(fit), 0);
  return {
    fits,
    optimum,
    mean,
    covariance,
    meanH,
    lnEvidence: top + Math.log(total / prior),
    tasters: Object.fromEntries(
      tasters.map((taster, i) => [taster, weighted(({ offsets }) => offsets[i]!)]),
    ),
    signOffset: signsOf(fits),
    // L = ½Σw·tr(H(V + δδᵀ)).
    expectedLeft: weighted(
      ({ H, best, covariance: own }) => 0.5 * traceOf(H, Matrix.add(own, outer(best, optimum))),
    ),
    noiseSd,
    warnings: optimum.some((value) => Math.abs(value) > BOX) ? ['edge'] : [],
  };
}

/** Mean and spread of b_u over the curvatures. */
function signsOf(fits: readonly Fit[]): SignOffset {
  const mean = fits.reduce((sum, { share, signOffset }) => sum + share * signOffset, 0);
  const variance = fits.reduce(
    (sum, { share, signOffset, joint }) =>
      sum + share * (joint.get(SIGN_AT, SIGN_AT) + (signOffset - mean) ** 2),
    0,
  );
  return { mean, sd: Math.sqrt(variance) };
}

/** (a − b)(a − b)ᵀ. */
function outer(a: readonly number[], b: readonly number[]): Matrix {
  const away = Matrix.columnVector(a.map((value, j) => value - b[j]!));
  return away.mmul(away.transpose());
}

/** tr(AB) of symmetric matrices. */
export function traceOf(A: Matrix, B: Matrix): number {
  return Matrix.mul(A, B).sum();
}

/** Of a positive definite matrix; rounding may have made it a little lopsided. */
export function inverseOf(M: Matrix): Matrix {
  const cholesky = new CholeskyDecomposition(symmetric(M));
  if (!cholesky.isPositiveDefinite())
    throw new RangeError('The prior or a curvature is not positive definite.');
  return symmetric(cholesky.solve(Matrix.eye(M.rows)));
}

function lnDeterminant(cholesky: CholeskyDecomposition): number {
  return 2 * cholesky.lowerTriangularMatrix.diag().reduce((sum, d) => sum + Math.log(d), 0);
}

/** A liking, and how surely it is known. */
export interface Likely {
  readonly mean: number;
  readonly sd: number;
}

/** Expected liking of a cup at a place, for a taster who uses the scale as all do together; its own noise left out. */
export function likingAt({ fits }: Surface, x: readonly number[]): Likely {
  const each = fits.map(({ share, H, liking, best, joint }) => {
    const pulls = H.mmul(Matrix.columnVector([...x])).to1DArray();
    const row = [1, ...pulls, 0];
    return {
      share,
      mean: liking + dot(pulls, best) - 0.5 * dot(pulls, x),
      variance: quadratic(joint, row),
    };
  });
  const mean = each.reduce((sum, one) => sum + one.share * one.mean, 0);
  const variance = each.reduce(
    (sum, one) => sum + one.share * (one.variance + (one.mean - mean) ** 2),
    0,
  );
  return { mean, sd: Math.sqrt(variance) };
}
