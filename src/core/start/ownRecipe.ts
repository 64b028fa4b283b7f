/**
 * A new batch of a coffee that has a recipe: the proposal follows the coffee's own last recipe, corrected for
 * what changed (model.md §2). mean = xᵀm + ρ(y − x_oᵀm), its noise × (1 − ρ²). House heuristic.
 */
import { dot } from '../linear';
import {
  averageMean,
  mapOutputs,
  outputOf,
  rowOfPast,
  type HouseModel,
  type PastRelease,
} from './fit';
import type { OwnPart } from './posterior';
import type { Output } from './priors';

/** Share of a coffee's own deviation that its next batch has too; less in another style or on another setup. */
const SHARED = { same: 0.9, other: 0.7 } as const;

const NOTHING: OwnPart = { mean: 0, noiseLeft: 1 };

/** The newest recipe of the coffee asked about; null for a coffee without one. */
export function ownRecipeOf(
  { history }: HouseModel,
  releaseId: string | undefined,
): PastRelease | null {
  if (releaseId === undefined) return null;
  return (
    history.findLast(({ release, weight = 1 }) => release.id === releaseId && weight > 0) ?? null
  );
}

/** Share of its own deviation that a coffee keeps from that recipe to what is asked. */
export function ownRecipeShare(
  own: Pick<PastRelease, 'style' | 'setupId'>,
  asked: Pick<PastRelease, 'style' | 'setupId'>,
): number {
  const isSame = own.style === asked.style && own.setupId === asked.setupId;
  return isSame ? SHARED.same : SHARED.other;
}

/** What that recipe says of each output beyond the model. */
export function ownParts(
  { fits }: HouseModel,
  own: PastRelease | null,
  asked: Pick<PastRelease, 'style' | 'setupId'>,
): Readonly<Record<Output, OwnPart>> {
  if (own === null) return mapOutputs(() => NOTHING);
  const shared = ownRecipeShare(own, asked);
  const row = rowOfPast(own);
  return mapOutputs((output) => {
    const value = outputOf(own, output);
    if (value === null) return NOTHING;
    const deviation = value - dot(row, averageMean(fits[output]));
    return { mean: shared * deviation, noiseLeft: 1 - shared ** 2 };
  });
}
