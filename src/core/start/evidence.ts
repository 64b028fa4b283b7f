/**
 * Which past releases a proposal rests on: weight w_i = xᵀA⁻¹x_i, and how far the proposal would move
 * without it, w_i(y_i − x_iᵀm)/(1 − h_ii). Source: leverage algebra of linear regression (published).
 */
import { Matrix } from 'ml-matrix';
import type { OutputFit, PastRelease } from './fit';
import { dot, quadratic } from '../linear';

export interface Evidence {
  readonly id: string;
  /** Share of this release's own ratio in the proposal, on the ln ratio scale. */
  readonly weight: number;
  /** Change of the proposed ln ratio that this release causes. */
  readonly effect: number;
}

/** Evidence of every past release for the ratio, the most influential first. */
export function evidenceOf(
  history: readonly PastRelease[],
  row: readonly number[],
  fit: OutputFit,
): Evidence[] {
  const { rows, outputs, posteriors } = fit;
  return rows
    .map((past, i) => {
      let weight = 0;
      let effect = 0;
      for (const own of posteriors) {
        const w = dot(row, own.inverse.mmul(columnOf(past)).to1DArray());
        const leverage = quadratic(own.inverse, past);
        weight += own.share * w;
        effect += (own.share * w * (outputs[i]! - dot(past, own.mean))) / (1 - leverage);
      }
      return { id: history[i]!.release.id ?? `release ${i + 1}`, weight, effect };
    })
    .sort(
      (a, b) => Math.abs(b.effect) - Math.abs(a.effect) || Math.abs(b.weight) - Math.abs(a.weight),
    );
}

function columnOf(values: readonly number[]): Matrix {
  return Matrix.columnVector([...values]);
}
