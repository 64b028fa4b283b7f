/**
 * Which past releases a proposal rests on: weight w_i = xᵀA⁻¹x_i, and how far the proposal would move
 * without it, w_i(y_i − x_iᵀm)/(1 − h_ii). Source: leverage algebra of linear regression (published);
 * a release that counts only in part multiplies w and h by its weight.
 */
import { Matrix } from 'ml-matrix';
import type { OutputFit, PastRelease } from './fit';
import { dot, quadratic } from '../linear';

export interface Evidence {
  readonly id: string;
  /** Share of this release's own value in the proposal, on the model's scale. */
  readonly weight: number;
  /** Change of the proposal that this release causes, on the model's scale. */
  readonly effect: number;
}

/** Evidence of every past release for one output, the most influential first. */
export function evidenceOf(
  history: readonly PastRelease[],
  row: readonly number[],
  { rows, outputs, weights, places, posteriors }: OutputFit,
): Evidence[] {
  const found = rows.map((_, i) => ({
    id: history[places[i]!]!.release.id ?? `release ${places[i]! + 1}`,
    weight: 0,
    effect: 0,
  }));
  for (const own of posteriors) {
    const reach = own.inverse.mmul(Matrix.columnVector([...row])).to1DArray();
    rows.forEach((past, i) => {
      const w = weights[i]! * dot(past, reach);
      const leverage = weights[i]! * quadratic(own.inverse, past);
      found[i]!.weight += own.share * w;
      found[i]!.effect += (own.share * w * (outputs[i]! - dot(past, own.mean))) / (1 - leverage);
    });
  }
  return found.sort(
    (a, b) => Math.abs(b.effect) - Math.abs(a.effect) || Math.abs(b.weight) - Math.abs(a.weight),
  );
}
