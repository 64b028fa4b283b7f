/**
 * The start model that learns from cups as well as recipes: ratio, temperature and time together. Each past
 * release is a site: what its cups (or its recipe alone) say of its best point, as a precision P and h = P·x in
 * coded units (trials/coding.ts), so that a release counts by how well its best point is known.
 * Source: Bayesian multivariate regression with a random effect for each release (published, textbook) in the
 * form of model.md §4b; the rules as prior, trust factors κ and degrees of freedom are house heuristics.
 * Valid for any number of sites; below five the rules are trusted as they stand (κ = 1).
 */
import { CholeskyDecomposition, inverse, Matrix, solve } from 'ml-matrix';
import { symmetric } from '../linear';
import { runToEnd } from '../runToEnd';
import { STEP, VARIABLES } from '../trials/coding';
import type { TasteEvidence } from '../trials/tasteEvidence';
import { TRUST, TRUST_FROM_N } from './posterior';
import { NOISE_SD, type Output, type PriorRule } from './priors';

/** In the order of coded variables. */
export const JOINT_OUTPUTS = [
  'lnRatio',
  'temperatureC',
  'lnTimeS',
] as const satisfies readonly Output[];
export type JointOutput = (typeof JOINT_OUTPUTS)[number];

export function byJointOutput<T>(make: (output: JointOutput) => T): Record<JointOutput, T> {
  return Object.fromEntries(JOINT_OUTPUTS.map((output) => [output, make(output)])) as Record<
    JointOutput,
    T
  >;
}

/** What a past release says, with its row of features. */
export interface ReleaseEvidence extends TasteEvidence {
  readonly row: readonly number[];
  /** How much it counts, 0-1; 1 when absent. */
  readonly weight?: number;
}

export interface JointInput {
  readonly sites: readonly ReleaseEvidence[];
  readonly rules: Readonly<Record<JointOutput, readonly PriorRule[]>>;
  /** Leaves the spread between releases at the rules' own. */
  readonly keepsSpread?: boolean;
}

/** Posterior for one trust factor. */
interface Trusted {
  readonly share: number;
  /** θ̂, the change of each coefficient from its rule, of the columns that count. */
  readonly change: readonly number[];
  /** A⁻¹. */
  readonly covariance: Matrix;
}

export interface JointModel {
  readonly fits: readonly Trusted[];
  /** Variance of releases around the rules, coded, of each variable. */
  readonly spread: readonly number[];
  /** Columns that any site uses. */
  readonly seen: readonly number[];
  readonly prior: Prior;
}

/** Rules in coded units: 3 × p. */
interface Prior {
  readonly mean: readonly (readonly number[])[];
  readonly sd: readonly (readonly number[])[];
}

/** The rules' noise counts as much as eight releases. House heuristic. */
const SPREAD_SHAPE = 4;
const EM_STEPS = 3;

/** Variance of a release around the rules, coded. */
const RULE_SPREAD = JOINT_OUTPUTS.map((output) => (NOISE_SD[output] / STEP[output]) ** 2);

/** A recipe without cups: as exact as two releases of one kind are alike. */
export function evidenceOfRecipe(coded: readonly number[]): TasteEvidence {
  const precision = RULE_SPREAD.map((variance) => 1 / variance);
  return { P: Matrix.diag(precision), h: precision.map((value, j) => value * coded[j]!) };
}

/** Learns at once. */
export const learnJoint = (input: JointInput): JointModel => runToEnd(learningJoint(input));

/** Learns in steps: a thousand sites take more than half a second. */
export function* learningJoint({
  sites,
  rules,
  keepsSpread = false,
}: JointInput): Generator<void, JointModel> {
  const prior = codedRules(rules);
  const used = sites.filter(({ weight = 1 }) => weight > 0);
  const columns = prior.mean[0]!.map((_, j) => j);
  const seen = columns.filter((j) => used.some(({ row }) => row[j] !== 0));
  const model = { prior, seen };
  let spread = RULE_SPREAD;
  for (let step = 0; step < (keepsSpread ? 0 : EM_STEPS); step++) {
    spread = nextSpread({ ...model, spread, fits: [trusted(model, used, spread, 1).fit] }, used);
    yield;
  }
  if (used.length < TRUST_FROM_N)
    return { ...model, spread, fits: [trusted(model, used, spread, 1).fit] };
  const all: (ReturnType<typeof trusted> & { readonly weight: number })[] = [];
  for (const { kappa, weight } of TRUST) {
    all.push({ ...trusted(model, used, spread, kappa), weight });
    yield;
  }
  const top = Math.max(...all.map(({ lnEvidence }) => lnEvidence));
  const raw = all.map(({ lnEvidence, weight }) => weight * Math.exp(lnEvidence - top));
  const total = raw.reduce((sum, value) => sum + value, 0);
  return { ...model, spread, fits: all.map(({ fit }, i) => ({ ...fit, share: raw[i]! / total })) };
}

function codedRules(rules: JointInput['rules']): Prior {
  const coded = (of: (rule: PriorRule) => number) =>
    JOINT_OUTPUTS.map((output) => rules[output].map((rule) => of(rule) / STEP[output]));
  return { mean: coded(({ mean }) => mean), sd: coded(({ sd }) => sd) };
}

/** M₀z. */
function ruleAt({ mean }: Prior, row: readonly number[]): number[] {
  return mean.map((of) => of.reduce((sum, value, j) => sum + value * row[j]!, 0));
}

/** A site seen from the rules, its release's own deviation integrated out. */
interface SeenSite {
  /** h_r. */
  readonly rest: Matrix;
  /** C = (S⁻¹ + P)⁻¹. */
  readonly C: Matrix;
  readonly W: Matrix;
  readonly Wy: readonly number[];
}

function seenFrom(
  prior: Prior,
  { P, h, row }: ReleaseEvidence,
  spread: readonly number[],
): SeenSite {
  const S = Matrix.diag(spread.map((variance) => 1 / variance));
  const C = symmetric(inverse(Matrix.add(S, P)));
  const rest = Matrix.columnVector([...h]).sub(P.mmul(Matrix.columnVector(ruleAt(prior, row))));
  const W = symmetric(Matrix.sub(S, S.mmul(C).mmul(S)));
  return { rest, C, W, Wy: S.mmul(C).mmul(rest).to1DArray() };
}

type Columns = Pick<JointModel, 'prior' | 'seen'>;

/** A = Λ₀(κ) + ΣW⊗zzᵀ, θ̂ = A⁻¹Σ(Wy)⊗z, and ½(ln|Λ₀| − ln|A| + ρᵀA⁻¹ρ). */
function trusted(
  { prior, seen }: Columns,
  sites: readonly ReleaseEvidence[],
  spread: readonly number[],
  kappa: number,
): { fit: Trusted; lnEvidence: number } {
  const width = seen.length;
  const size = VARIABLES * width;
  if (size === 0)
    return { fit: { share: 1, change: [], covariance: new Matrix(0, 0) }, lnEvidence: 0 };
  const A = Matrix.diag(
    prior.sd.flatMap((sd) => seen.map((column) => (1 / (kappa * sd[column]!)) ** 2)),
  );
  const lnDetPrior = A.diag().reduce((sum, value) => sum + Math.log(value), 0);
  const right = new Array<number>(size).fill(0);
  for (const site of sites) {
    const { W, Wy } = seenFrom(prior, site, spread);
    const weight = site.weight ?? 1;
    const z = seen.map((column) => site.row[column]!);
    const filled = z.flatMap((value, j) => (value === 0 ? [] : [j]));
    for (let a = 0; a < VARIABLES; a++)
      for (const j of filled) {
        const at = a * width + j;
        right[at]! += weight * Wy[a]! * z[j]!;
        for (let b = 0; b < VARIABLES; b++)
          for (const k of filled) {
            const to = b * width + k;
            A.set(at, to, A.get(at, to) + weight * W.get(a, b) * z[j]! * z[k]!);
          }
      }
  }
  const cholesky = new CholeskyDecomposition(symmetric(A));
  const covariance = symmetric(cholesky.solve(Matrix.eye(size)));
  const change = covariance.mmul(Matrix.columnVector(right)).to1DArray();
  const fitted = change.reduce((sum, value, i) => sum + value * right[i]!, 0);
  const lnDet = 2 * cholesky.lowerTriangularMatrix.diag().reduce((sum, d) => sum + Math.log(d), 0);
  return {
    fit: { share: 1, change, covariance },
    lnEvidence: 0.5 * (lnDetPrior - lnDet + fitted),
  };
}

/** θ̂z of one fit, for the columns that any site uses. */
function meanAt({ seen }: Columns, { change }: Trusted, row: readonly number[]): number[] {
  const width = seen.length;
  return [0, 1, 2].map((a) =>
    seen.reduce((sum, column, j) => sum + row[column]! * change[a * width + j]!, 0),
  );
}

/** XᵀA⁻¹Z of one fit for two rows. */
function blockAt(
  { seen }: Columns,
  { covariance }: Trusted,
  x: readonly number[],
  z: readonly number[],
): Matrix {
  const width = seen.length;
  const filled = (row: readonly number[]) =>
    seen.flatMap((column, j) => (row[column] === 0 ? [] : [[j, row[column]!] as const]));
  const [left, right] = [filled(x), filled(z)];
  const block = Matrix.zeros(VARIABLES, VARIABLES);
  for (let a = 0; a < VARIABLES; a++)
    for (let b = 0; b < VARIABLES; b++) {
      let sum = 0;
      for (const [j, xj] of left)
        for (const [k, zk] of right) sum += xj * zk * covariance.get(a * width + j, b * width + k);
      block.set(a, b, sum);
    }
  return block;
}

const changeAt = (columns: Columns, fit: Trusted, row: readonly number[]) => ({
  mean: meanAt(columns, fit, row),
  spread: blockAt(columns, fit, row, row),
});

/**
 * The same without one site that the fit was learnt with: C' = C + KDKᵀ, K = CZ, D = (W⁻¹ − ZᵀK)⁻¹, θ' = C'(b − Z·Wy)
 * (Woodbury, published). W need not have an inverse: D = (I − W·ZᵀK)⁻¹W.
 */
function changeWithout(
  model: JointModel,
  fit: Trusted,
  row: readonly number[],
  site: ReleaseEvidence,
): ReturnType<typeof changeAt> {
  const { mean, spread } = changeAt(model, fit, row);
  const { W, Wy } = seenFrom(model.prior, site, model.spread);
  const weight = site.weight ?? 1;
  W.mul(weight);
  const wy = Matrix.columnVector(Wy.map((value) => weight * value));
  const across = blockAt(model, fit, row, site.row);
  const own = changeAt(model, fit, site.row);
  const D = symmetric(solve(Matrix.sub(Matrix.eye(VARIABLES), W.mmul(own.spread)), W));
  const back = D.mmul(Matrix.sub(Matrix.columnVector(own.mean), own.spread.mmul(wy))).sub(wy);
  const shift = across.mmul(back).to1DArray();
  return {
    mean: mean.map((value, j) => value + shift[j]!),
    spread: Matrix.add(spread, across.mmul(D).mmul(across.transpose())),
  };
}

/** One EM step: s_j² = (4s₀² + ½ΣE e_j²)/(4 + n/2). */
function nextSpread(model: JointModel, sites: readonly ReleaseEvidence[]): number[] {
  const squares = [0, 0, 0];
  let count = 0;
  for (const site of sites) {
    const { rest, C } = seenFrom(model.prior, site, model.spread);
    const { mean, spread } = changeAt(model, model.fits[0]!, site.row);
    const deviation = C.mmul(Matrix.sub(rest, site.P.mmul(Matrix.columnVector(mean))));
    const pulled = C.mmul(site.P);
    const doubt = pulled.mmul(spread).mmul(pulled.transpose());
    const weight = site.weight ?? 1;
    count += weight;
    squares.forEach((_, j) => {
      const square = C.get(j, j) + deviation.get(j, 0) ** 2 + doubt.get(j, j);
      squares[j]! += weight * square;
    });
  }
  return squares.map(
    (sum, j) => (SPREAD_SHAPE * RULE_SPREAD[j]! + 0.5 * sum) / (SPREAD_SHAPE + count / 2),
  );
}

export interface JointPrediction {
  /** Absolute coded units. */
  readonly mean: readonly number[];
  /** Of a new release's best point, 3 × 3 coded: V₀ of its surface. */
  readonly covariance: Matrix;
}

/**
 * Where the best point of a coffee with these features is expected, and how surely.
 * @param without a site the model was learnt with, left out: a coffee is no proof of itself. Trust factors and the
 *   spread between releases stay as they were learnt with it.
 */
export function predictJoint(
  model: JointModel,
  row: readonly number[],
  without?: ReleaseEvidence,
): JointPrediction {
  const parts = model.fits.map((fit) => ({
    share: fit.share,
    ...(without ? changeWithout(model, fit, row, without) : changeAt(model, fit, row)),
  }));
  const changed = [0, 1, 2].map((j) =>
    parts.reduce((sum, { share, mean }) => sum + share * mean[j]!, 0),
  );
  const covariance = Matrix.diag([...model.spread]);
  // What no site has shown is as doubtful as its rule.
  const isSeen = new Set(model.seen);
  model.prior.sd.forEach((sd, a) => {
    const unseen = sd.reduce((sum, s, j) => sum + (isSeen.has(j) ? 0 : (s * row[j]!) ** 2), 0);
    covariance.set(a, a, covariance.get(a, a) + unseen);
  });
  for (const { share, mean, spread } of parts) {
    const off = Matrix.columnVector(mean.map((value, j) => value - changed[j]!));
    covariance.add(Matrix.add(spread, off.mmul(off.transpose())).mul(share));
  }
  const rule = ruleAt(model.prior, row);
  return { mean: rule.map((value, j) => value + changed[j]!), covariance };
}
