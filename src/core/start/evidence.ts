/**
 * Which past releases a proposal rests on: weight w_i = xᵀA⁻¹x_i, and how far the proposal would move
 * without it, w_i(y_i − x_iᵀm)/(1 − h_ii). Source: leverage algebra of linear regression (published);
 * a release that counts only in part multiplies w and h by its weight.
 */
import type { OutputFit, PastRelease } from './fit';
import { dot, quadratic } from '../linear';

export interface RecipeEvidence {
  readonly id: string;
  /** Share of this release's own value in the proposal, on the model's scale. */
  readonly weight: number;
  /** Change of the proposal that this release causes, on the model's scale. */
  readonly effect: number;
}

/** Places of a row that are not nought: most factors are at rest in most coffees. */
const usedOf = (row: readonly number[]) => row.flatMap((value, j) => (value === 0 ? [] : [j]));

/** For each κ and past release, what dropping it does per unit of its weight in a proposal. */
interface Pulls {
  readonly used: readonly (readonly number[])[];
  /** (y_i − x_iᵀm) / (1 − h_ii) by κ and release. */
  readonly byKappa: readonly (readonly number[])[];
}

/** Nothing of this depends on the coffee that is asked about: it is worked out once for each fit. */
const known = new WeakMap<OutputFit, Pulls>();

function pullsOf(fit: OutputFit): Pulls {
  let pulls = known.get(fit);
  if (!pulls) {
    const { rows, outputs, weights, posteriors } = fit;
    pulls = {
      used: rows.map(usedOf),
      byKappa: posteriors.map(({ mean, inverse }) =>
        rows.map((row, i) => {
          const leverage = weights[i]! * quadratic(inverse, row);
          return (outputs[i]! - dot(row, mean)) / (1 - leverage);
        }),
      ),
    };
    known.set(fit, pulls);
  }
  return pulls;
}

/** Works out ahead what every later question of evidence of this fit needs. */
export function prepareEvidence(fit: OutputFit): void {
  pullsOf(fit);
}

/** Evidence of every past release for one output, the most influential first. */
export function evidenceOf(
  history: readonly PastRelease[],
  row: readonly number[],
  fit: OutputFit,
): RecipeEvidence[] {
  const { rows, weights, places, posteriors } = fit;
  const { used, byKappa } = pullsOf(fit);
  const asked = usedOf(row);
  const found = rows.map((_, i) => ({
    id: history[places[i]!]!.release.id ?? `release ${places[i]! + 1}`,
    weight: 0,
    effect: 0,
  }));
  posteriors.forEach(({ share, inverse }, kappa) => {
    const reach = row.map((_, j) => asked.reduce((sum, k) => sum + row[k]! * inverse.get(k, j), 0));
    rows.forEach((past, i) => {
      const w = weights[i]! * used[i]!.reduce((sum, j) => sum + past[j]! * reach[j]!, 0);
      found[i]!.weight += share * w;
      found[i]!.effect += share * w * byKappa[kappa]![i]!;
    });
  });
  return found.sort(
    (a, b) => Math.abs(b.effect) - Math.abs(a.effect) || Math.abs(b.weight) - Math.abs(a.weight),
  );
}
