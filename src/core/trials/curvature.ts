/**
 * How sharply liking falls away from its best point is not known: it is drawn as particles, each a 3 × 3
 * curvature H (liking = f − ½(x − x*)ᵀH(x − x*)) and a strength a of taste signs. Source: house heuristic
 * (model.md §4b). Points of the R₇ sequence (published: generalised golden ratio), another set for each release.
 */
import jStat from 'jstat';
import { Matrix, determinant } from 'ml-matrix';
import { symmetric } from '../linear';

export interface Curvature {
  /** Positive definite. */
  readonly H: Matrix;
  /** How many sign points a coded step along the sign direction is worth. */
  readonly a: number;
  /** Prior weight. */
  readonly weight: number;
}

const PARTICLES = 160;
/** Points of liking per squared coded step, of ratio, temperature and time. */
const LIKELY_H = [0.7, 0.5, 0.6] as const;
const LN_H_SD = 0.495;
const CORRELATION = {
  mean: 0.1,
  sd: 0.25,
  most: 0.7,
  shrink: 0.85,
  leastDeterminant: 0.1,
} as const;
const LN_A_SD = 0.58;
/** Three curvatures, three correlations, one strength of signs. */
const DIMENSIONS = 7;
/** φ⁸ = φ + 1. */
const PHI = 1.085070245491450828336895864;

/** The particles of a release; `release` is its number, so that no two releases share their points. */
export function curvatureParticles(release = 0): Curvature[] {
  return Array.from({ length: PARTICLES }, (_, s) => {
    const z = Array.from({ length: DIMENSIONS }, (_unused, k) =>
      jStat.normal.inv((0.5 + (s + 1 + PARTICLES * release) * PHI ** -(k + 1)) % 1, 0, 1),
    );
    const h = LIKELY_H.map((likely, j) => likely * Math.exp(LN_H_SD * z[j]!));
    return {
      H: curvatureOf(h, z.slice(3, 6).map(correlation)),
      a: Math.exp(LN_A_SD * z[6]!),
      weight: 1 / PARTICLES,
    };
  });
}

function correlation(z: number): number {
  const { mean, sd, most } = CORRELATION;
  return Math.min(most, Math.max(-most, mean + sd * z));
}

/** H_jj = h_j, H_jk = r_jk√(h_j h_k); correlations shrink together until the matrix is safely positive. */
function curvatureOf(h: readonly number[], r: readonly number[]): Matrix {
  const { shrink, leastDeterminant } = CORRELATION;
  for (let by = 1; ; by *= shrink) {
    const [r12, r13, r23] = r.map((value) => by * value) as [number, number, number];
    const R = new Matrix([
      [1, r12, r13],
      [r12, 1, r23],
      [r13, r23, 1],
    ]);
    if (determinant(R) <= leastDeterminant) continue;
    const root = Matrix.diag(h.map(Math.sqrt));
    return symmetric(root.mmul(R).mmul(root));
  }
}
