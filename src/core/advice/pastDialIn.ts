/** A finished dial-in as evidence of its grinder. */
import { pumpSeconds } from '../extraction/clock';
import { slopePrior } from '../grinder/dial';
import type { GrindFeatures, PastDialIn } from '../grinder/memory';
import { rowsOf } from '../grinder/timeRows';
import { featuresOf, type ReleaseFacts } from '../coffee/features';
import { timedShots } from './judge';
import type { NextInput } from './types';

/** What of a coffee moves its time at one setting. */
export function grindFeatures(release: ReleaseFacts): GrindFeatures {
  const { roastLevel, intensity } = featuresOf(release);
  return { light: Math.max(0, -(roastLevel ?? 0)), dark: Math.max(0, roastLevel ?? 0), intensity };
}

/** Its shots as rows from the memory's reference dial, by the dial-in's own dose, yield and first day. */
export function pastDialIn(
  input: Pick<NextInput, 'target' | 'grinder' | 'shots'>,
  features: GrindFeatures,
  referenceDial: number,
): PastDialIn {
  const { shots, reference, pumpWindowS } = timedShots(input);
  const { rows } = rowsOf({
    shots,
    reference: { ...reference, dial: referenceDial },
    retentionG: input.grinder.retentionG,
    slope: slopePrior(input.grinder).mean,
    expectedLnTimeS: Math.log(pumpSeconds((pumpWindowS[0] + pumpWindowS[1]) / 2)),
  });
  return { features, rows };
}
