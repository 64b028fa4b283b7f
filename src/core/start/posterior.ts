/**
 * Normal-inverse-gamma regression: the trade's rules as prior, the house's releases as data.
 * Source: conjugate Bayesian linear regression (published, textbook); degrees of freedom and the
 * trust factors κ are house heuristics (model.md §2). Shapes: n rows of p features.
 * Caveat: below five releases the interval is only as honest as the rules.
 */
import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import jStat from 'jstat';
import { dot, quadratic } from '../linear';

/** Prior shape a₀: the rules' noise counts as much as eight releases. House heuristic. */
const PRIOR_SHAPE = 4;

/** Trust in the rules: every prior sd × κ, with these prior weights. House heuristic. */
const TRUST = [
  { kappa: 0.5, weight: 0.15 },
  { kappa: 1, weight: 0.55 },
  { kappa: 2, weight: 0.2 },
  { kappa: 4, weight: 0.1 },
] as const;
const TRUST_FROM_N = 5;

export interface RegressionInput {
  /** n × p. */
  readonly rows: readonly (readonly number[])[];
  readonly outputs: readonly number[];
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

/** Posterior for one trust factor κ. */
export function posterior(input: RegressionInput, kappa = 1): Posterior {
  const { rows, outputs, priorMean, priorSd, noiseSd } = input;
  const n = rows.length;
  const precision = priorSd.map((sd) => (noiseSd / (sd * kappa)) ** 2);
  const residuals = rows.map((row, i) => outputs[i]! - dot(row, priorMean));
  const seen = seenColumns(rows);
  const { inverse, step, fitted, lnDetRatio } = update(rows, residuals, precision, seen);
  const mean = priorMean.map((m, j) => m + step[j]!);
  const b0 = PRIOR_SHAPE * noiseSd ** 2;
  const bn = b0 + 0.5 * (dot(residuals, residuals) - fitted);
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

/** Columns that any row uses; the others stay exactly at their prior. */
function seenColumns(rows: RegressionInput['rows']): number[] {
  const columns = rows[0]?.map((_, j) => j) ?? [];
  return columns.filter((j) => rows.some((row) => row[j] !== 0));
}

/** A⁻¹, A⁻¹Xᵀr₀, r₀ᵀXA⁻¹Xᵀr₀ and ln(|A|/|Λ|), solved in the seen columns alone. */
function update(
  rows: RegressionInput['rows'],
  residuals: readonly number[],
  precision: readonly number[],
  seen: readonly number[],
) {
  const inverse = Matrix.diag(precision.map((value) => 1 / value));
  const step = precision.map(() => 0);
  if (seen.length === 0) return { inverse, step, fitted: 0, lnDetRatio: 0 };
  const X = new Matrix(rows.map((row) => seen.map((j) => row[j]!)));
  const A = Matrix.diag(seen.map((j) => precision[j]!)).add(X.transpose().mmul(X));
  const gradient = X.transpose().mmul(Matrix.columnVector([...residuals]));
  const cholesky = new CholeskyDecomposition(A);
  const seenInverse = cholesky.solve(Matrix.eye(seen.length));
  const seenStep = seenInverse.mmul(gradient);
  seen.forEach((j, a) => {
    step[j] = seenStep.get(a, 0);
    seen.forEach((k, b) => inverse.set(j, k, seenInverse.get(a, b)));
  });
  const lnDetA = 2 * cholesky.lowerTriangularMatrix.diag().reduce((sum, d) => sum + Math.log(d), 0);
  const lnDetPrior = seen.reduce((sum, j) => sum + Math.log(precision[j]!), 0);
  return {
    inverse,
    step,
    fitted: gradient.transpose().mmul(seenStep).get(0, 0),
    lnDetRatio: lnDetA - lnDetPrior,
  };
}

/** κ = 1 below five releases; from five, every κ with its share by marginal likelihood. */
export function posteriors(input: RegressionInput): Posterior[] {
  if (input.rows.length < TRUST_FROM_N) return [posterior(input)];
  const fits = TRUST.map(({ kappa, weight }) => ({ fit: posterior(input, kappa), weight }));
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
): Prediction {
  const mean = fits.reduce((sum, fit) => sum + fit.share * dot(row, fit.mean), 0);
  const variance = fits.reduce((sum, fit) => {
    const own = fit.s2 * (1 + quadratic(fit.inverse, row)) + extraVariance(fit);
    return sum + fit.share * (own + (dot(row, fit.mean) - mean) ** 2);
  }, 0);
  const quantile = jStat.studentt.inv(0.9, fits[0]!.degrees);
  return { mean, halfWidth80: quantile * Math.sqrt(variance) };
}
