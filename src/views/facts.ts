/** The facts of a release as the models take them. */
import { altitudeOf } from '@/core/coffee/altitude';
import type { ReleaseFacts } from '@/core/coffee/features';
import type { RoastReading } from '@/core/coffee/roast';
import { batchRestDays } from '@/core/rest/batchRest';
import { blendedOf } from '@/core/schema/shares';
import type { StoredBatch, StoredRelease } from '@/data/releases';

/** The facts of a release, for one of its batches. */
export function factsOf(
  release: StoredRelease,
  batch: {
    readonly roast: RoastReading;
    readonly restDays: number | undefined;
    readonly sharesPct: string;
  },
): ReleaseFacts {
  return {
    id: release.id,
    roastLevel: batch.roast.level ?? undefined,
    roastSd: batch.roast.sd || undefined,
    restDays: batch.restDays,
    components: blendedOf(release.components, batch.sharesPct).map((component) => {
      const { sharePct, process, varietyClass, densityGPerL } = component;
      return { sharePct, process, varietyClass, densityGPerL, altitudeM: altitudeOf(component) };
    }),
  };
}

/** The same as the batch stands on a day. */
export function factsToday(
  release: StoredRelease,
  batch: StoredBatch & { readonly roast: RoastReading },
  today: string,
): ReleaseFacts {
  return factsOf(release, { ...batch, restDays: batchRestDays(batch, today) });
}
