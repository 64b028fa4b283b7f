/**
 * Normal-inverse-gamma regression: the trade's rules as prior, the house's releases as data.
 * Source: conjugate Bayesian linear regression (published, textbook); degrees of freedom and the
 * trust factors κ are house heuristics (model.md §2). Shapes: n rows of p features; a row of weight w
 * counts as w of a release (a power of its likelihood), one of weight 0 as none.
 * Caveat: below five releases the interval is only as honest as the rules.
 */
import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import jStat from 'jstat';
import { dot, quadratic } from '../linear';

/** Prior shape a₀: the rules' noise counts as much as eight releases. House heuristic. */
const PRIOR_SHAPE = 4;

/** Trust in the rules: every prior sd × κ, with these prior weights. House heuristic. */
export const TRUST = [
  { kappa: 0.5, weight: 0.15 },
  { kappa: 1, weight: 0.55 },
  { kappa: 2, weight: 0.2 },
  { kappa: 4, weight: 0.1 },
] as const;
export const TRUST_FROM_N = 5;

export interface RegressionInput {
  /** n × p. */
  readonly rows: readonly (readonly number[])[];
  readonly outputs: readonly number[];
  /** How much each row counts, 0-1; 1 for all when absent. */
  readonly weights?: readonly number[];
  readonly priorMean: readonly number[];
  readonly priorSd: readonly number[];
  readonly noiseSd: number;
}

export interface Posterior {
  readonly kappa: number;
  /** Share of this κ in the average; 1 when it is the only one. */
  readonly share: number;
  readonly mean: readonly number[];
  /** A⁻¹, p × p; the coefficient covariance is s²·A⁻¹. */
  readonly inverse: Matrix;
  readonly s2: number;
  readonly degrees: number;
  readonly logMarginal: number;
}

/** All that the rows say, summed once and used for every κ. */
interface Summary {
  /** Σ weights. */
  readonly n: number;
  /** Columns that any row uses; the others stay exactly at their prior. */
  readonly seen: readonly number[];
  /** XᵀWX and XᵀWr₀ in the seen columns, r₀ = y − Xm₀. */
  readonly gram: Matrix;
  readonly gradient: Matrix;
  /** r₀ᵀWr₀. */
  readonly squares: number;
}

function summarise({ rows, outputs, weights, priorMean }: RegressionInput): Summary {
  const p = priorMean.length;
  // Plain arrays: a thousand rows are summed for every question the house asks anew.
  const gram = new Float64Array(p * p);
  const gradient = new Float64Array(p);
  let n = 0;
  let squares = 0;
  rows.forEach((row, i) => {
    const weight = weights?.[i] ?? 1;
    if (weight === 0) return;
    const used = row.flatMap((value, j) => (value === 0 ? [] : [j]));
    const residual = used.reduce((left, j) => left - row[j]! * priorMean[j]!, outputs[i]!);
    n += weight;
    squares += weight * residual ** 2;
    for (const j of used) {
      const weighted = weight * row[j]!;
      gradient[j]! += weighted * residual;
      // The lower half alone; it is mirrored, so that rounding cannot make the matrix lopsided.
      for (const k of used) if (k <= j) gram[j * p + k]! += weighted * row[k]!;
    }
  });
  const seen = priorMean.flatMap((_, j) => (gram[j * p + j]! > 0 ? [j] : []));
  const half = (j: number, k: number) => gram[Math.max(j, k) * p + Math.min(j, k)]!;
  return {
    n,
    seen,
    gram: new Matrix(seen.map((j) => seen.map((k) => half(j, k)))),
    gradient: Matrix.columnVector(seen.map((j) => gradient[j]!)),
    squares,
  };
}

/** Posterior for one trust factor κ. */
export function posterior(input: RegressionInput, kappa = 1): Posterior {
  return posteriorOf(input, summarise(input), kappa);
}

function posteriorOf(
  { priorMean, priorSd, noiseSd }: RegressionInput,
  { n, seen, gram, gradient, squares }: Summary,
  kappa: number,
): Posterior {
  const precision = priorSd.map((sd) => (noiseSd / (sd * kappa)) ** 2);
  const inverse = Matrix.diag(precision.map((value) => 1 / value));
  const mean = [...priorMean];
  let fitted = 0;
  let lnDetRatio = 0;
  if (seen.length > 0) {
    const A = Matrix.diag(seen.map((j) => precision[j]!)).add(gram);
    const cholesky = new CholeskyDecomposition(A);
    const seenInverse = cholesky.solve(Matrix.eye(seen.length));
    const step = seenInverse.mmul(gradient);
    seen.forEach((j, a) => {
      mean[j]! += step.get(a, 0);
      seen.forEach((k, b) => inverse.set(j, k, seenInverse.get(a, b)));
    });
    fitted = gradient.transpose().mmul(step).get(0, 0);
    const lower = cholesky.lowerTriangularMatrix.diag();
    lnDetRatio =
      2 * lower.reduce((sum, d) => sum + Math.log(d), 0) -
      seen.reduce((sum, j) => sum + Math.log(precision[j]!), 0);
  }
  const b0 = PRIOR_SHAPE * noiseSd ** 2;
  const bn = b0 + 0.5 * (squares - fitted);
  const an = PRIOR_SHAPE + n / 2;
  const logMarginal =
    -(n / 2) * Math.log(2 * Math.PI) -
    0.5 * lnDetRatio +
    PRIOR_SHAPE * Math.log(b0) -
    an * Math.log(bn) +
    jStat.gammaln(an) -
    jStat.gammaln(PRIOR_SHAPE);
  return { kappa, share: 1, mean, inverse, s2: bn / an, degrees: 2 * an, logMarginal };
}

/** κ = 1 below five releases; from five, every κ with its share by marginal likelihood. */
export function posteriors(input: RegressionInput): Posterior[] {
  const summary = summarise(input);
  const count = input.rows.filter((_, i) => (input.weights?.[i] ?? 1) > 0).length;
  if (count < TRUST_FROM_N) return [posteriorOf(input, summary, 1)];
  const fits = TRUST.map(({ kappa, weight }) => ({
    fit: posteriorOf(input, summary, kappa),
    weight,
  }));
  const top = Math.max(...fits.map(({ fit }) => fit.logMarginal));
  const raw = fits.map(({ fit, weight }) => weight * Math.exp(fit.logMarginal - top));
  const total = raw.reduce((sum, value) => sum + value, 0);
  return fits.map(({ fit }, i) => ({ ...fit, share: raw[i]! / total }));
}

export interface Prediction {
  readonly mean: number;
  readonly halfWidth80: number;
}

/**
 * Prediction for a row: xᵀm ± t(.9, 2aₙ)·s·√(1 + xᵀA⁻¹x), for several κ the mixture's mean and the
 * interval of its variance (heuristic: the mixture is treated as one t with the same degrees).
 * `extraVariance` is what the features do not know, e.g. an unlisted process.
 */
export function predict(
  fits: readonly Posterior[],
  row: readonly number[],
  extraVariance: (fit: Posterior) => number = () => 0,
  own: OwnPart = { mean: 0, noiseLeft: 1 },
): Prediction {
  const { mean, halfWidth80 } = averaged(
    fits,
    row,
    (fit) => own.noiseLeft * fit.s2 + extraVariance(fit),
  );
  return { mean: mean + own.mean, halfWidth80 };
}

/** What is known of a coffee's own deviation from the rest: its mean, and the share of the noise that is left. */
export interface OwnPart {
  readonly mean: number;
  readonly noiseLeft: number;
}

/**
 * A coefficient, or a sum of coefficients given as a row of factors, with the interval of what is
 * known of it: xᵀm ± t·s·√(xᵀA⁻¹x), without the noise of a single release.
 */
export function estimate(fits: readonly Posterior[], row: readonly number[]): Prediction {
  return averaged(fits, row, () => 0);
}

function averaged(
  fits: readonly Posterior[],
  row: readonly number[],
  ownVariance: (fit: Posterior) => number,
): Prediction {
  const mean = fits.reduce((sum, fit) => sum + fit.share * dot(row, fit.mean), 0);
  const variance = fits.reduce((sum, fit) => {
    const own = fit.s2 * quadratic(fit.inverse, row) + ownVariance(fit);
    return sum + fit.share * (own + (dot(row, fit.mean) - mean) ** 2);
  }, 0);
  const quantile = jStat.studentt.inv(0.9, fits[0]!.degrees);
  return { mean, halfWidth80: quantile * Math.sqrt(variance) };
}
