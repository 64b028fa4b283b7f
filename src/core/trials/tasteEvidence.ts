/** What the cups of a release teach the start model of its best point (model.md §4b). */
import { EigenvalueDecomposition, Matrix } from 'ml-matrix';
import { symmetric } from '../linear';
import { inverseOf, type Surface } from './surface';

/** What a release's cups teach of its best point, without what its own proposal had said. */
export interface TasteEvidence {
  /** Precision, 3 × 3 coded; 0 in directions the cups say nothing of. */
  readonly P: Matrix;
  /** In absolute coded units. */
  readonly h: readonly number[];
}

/**
 * P = V⁻¹ − V₀⁻¹ with negative eigenvalues cut off, h = (P + V₀⁻¹)μ − V₀⁻¹m: proposals do not confirm themselves.
 * @param centre the proposal in absolute coded units, m of V₀.
 */
export function tasteEvidenceOf(
  surface: Surface,
  prior: Matrix,
  centre: readonly number[],
): TasteEvidence {
  const priorInverse = inverseOf(prior);
  const P = withoutNegative(Matrix.sub(inverseOf(surface.covariance), priorInverse));
  const best = Matrix.columnVector(surface.mean.map((value, j) => value + centre[j]!));
  const h = Matrix.add(P, priorInverse)
    .mmul(best)
    .sub(priorInverse.mmul(Matrix.columnVector([...centre])));
  return { P, h: h.to1DArray() };
}

function withoutNegative(M: Matrix): Matrix {
  const { realEigenvalues, eigenvectorMatrix } = new EigenvalueDecomposition(symmetric(M), {
    assumeSymmetric: true,
  });
  const kept = Matrix.diag(realEigenvalues.map((value) => Math.max(0, value)));
  return eigenvectorMatrix.mmul(kept).mmul(eigenvectorMatrix.transpose());
}
