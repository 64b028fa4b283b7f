/**
 * Past releases nearest to a coffee: how differently the rules might treat the two, in units of the
 * noise between two like releases, over ratio, temperature and grind. House heuristic:
 * d² = Σ over outputs and factors of (m₀² + s₀ⱼ²)·Δx² / noise².
 */
import { featuresOf, type ReleaseFacts } from '../coffee/features';
import type { BrewStyle } from '../vocabulary';
import { designRow } from './design';
import { rowOfPast, type PastRelease } from './fit';
import { NOISE_SD, priorFor, type Output } from './priors';

const COMPARED: readonly Output[] = ['lnRatio', 'temperatureC', 'grindSteps'];

export interface Similar {
  /** Its place in the history. */
  readonly place: number;
  /** 0 is the same coffee to the rules; about 1 is one noise apart. */
  readonly distance: number;
}

/** Squared distance per unit of each factor; the base cannot differ. */
const SCALES: readonly number[] = COMPARED.map((output) =>
  priorFor(output, 'both').map(
    ({ factor, mean, sd }) =>
      (factor === 'base' ? 0 : mean ** 2 + sd ** 2) / NOISE_SD[output] ** 2 / COMPARED.length,
  ),
).reduce((sum, scales) => sum.map((value, j) => value + scales[j]!));

/** Every past release, nearest first; of equals the later in the history first. */
export function similarTo(
  history: readonly PastRelease[],
  release: ReleaseFacts,
  style: BrewStyle,
): Similar[] {
  const row = designRow(featuresOf(release), style);
  return history
    .map((past, place) => {
      const other = rowOfPast(past);
      const squared = SCALES.reduce((sum, scale, j) => sum + scale * (row[j]! - other[j]!) ** 2, 0);
      return { place, distance: Math.sqrt(squared) };
    })
    .sort((a, b) => a.distance - b.distance || b.place - a.place);
}
