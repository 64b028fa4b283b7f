/** A finished dial-in as evidence of its grinder. */
import { pumpSeconds } from '../extraction/clock';
import { slopePrior } from '../grinder/dial';
import type { GrindFeatures, PastDialIn } from '../grinderMemory/memory';
import { rowsOf } from '../grinder/timeRows';
import { featuresOf, type ReleaseFacts } from '../coffee/features';
import type { BrewStyle } from '../vocabulary';
import { memoryReference, timedShots } from './judge';
import type { NextInput } from './types';

/** What of a coffee moves its time at one setting. */
export function grindFeatures(release: ReleaseFacts, style?: BrewStyle): GrindFeatures {
  const { roastLevel, intensity } = featuresOf(release);
  return {
    light: Math.max(0, -(roastLevel ?? 0)),
    dark: Math.max(0, roastLevel ?? 0),
    intensity,
    style,
  };
}

/** Its shots as rows from what a memory counts from. */
export function pastDialIn(
  input: Pick<NextInput, 'target' | 'grinder' | 'basket' | 'shots'>,
  features: GrindFeatures,
  referenceDial: number,
): PastDialIn {
  const { shots, pumpWindowS } = timedShots(input);
  const { rows } = rowsOf({
    shots,
    reference: memoryReference(input.basket, referenceDial),
    retentionG: input.grinder.retentionG,
    slope: slopePrior(input.grinder).mean,
    expectedLnTimeS: Math.log(pumpSeconds((pumpWindowS[0] + pumpWindowS[1]) / 2)),
  });
  const people = rows.map(({ shotIndex }) => input.shots[shotIndex]!.pulledBy);
  return { features, rows, people };
}
