/** Which batch of a release somebody looks at, and what there is to look at. Server only. */
import { STYLE_LABELS } from '@/core/vocabulary';
import type { Db } from '@/data/database';
import { listDialIns, listOpenDrafts } from '@/data/dialIns';
import { allSetups } from '@/data/setups';
import { countShots } from '@/data/shots';
import type { LookedAt, ReleaseView } from './release';

/** What an address says of it: a dial-in, or a batch that was not pulled yet. */
export interface AskedBatch {
  readonly dialIn?: string | string[] | undefined;
  readonly batch?: string | string[] | undefined;
}

/** Nothing where the address asks for what is on the bench, or for what the release does not have. */
export function lookedAt(
  db: Db,
  { release, batches, batch: onBench, bench }: ReleaseView,
  { dialIn, batch: batchId }: AskedBatch,
): LookedAt | undefined {
  const isOurs = (id: string) => batches.some((batch) => batch.id === id);
  if (dialIn === undefined) {
    if (typeof batchId !== 'string' || batchId === onBench.id || !isOurs(batchId)) return undefined;
    const draft = listOpenDrafts(db, release.id).find((one) => one.batchId === batchId) ?? null;
    return { batchId, draft };
  }
  const draft = listOpenDrafts(db, release.id).find(({ dialInId }) => dialInId === dialIn);
  return draft && draft.dialInId !== bench?.draft.dialInId && isOurs(draft.batchId)
    ? { batchId: draft.batchId, draft }
    : undefined;
}

/** A batch to look at, or one of its dial-ins where it has several. */
export interface BatchChoice {
  readonly batchId: string;
  /** What the address says of it. */
  readonly query: string;
  readonly roastDate: string;
  readonly label: string;
  /** Style and setup, where the batch has several dial-ins. */
  readonly dialInName: string;
  readonly shots: number;
  readonly isOnBench: boolean;
}

/** Every batch of a release with its dial-ins, the newest roast first. */
export function batchChoices(db: Db, { release, batches, batch, bench }: ReleaseView) {
  const dialIns = listDialIns(db, [release.id]);
  const setups = allSetups(db);
  const shotsOf = countShots(
    db,
    dialIns.map(({ id }) => id),
  );
  return batches.flatMap(({ id: batchId, roastDate, label }): BatchChoice[] => {
    const own = dialIns.filter((dialIn) => dialIn.batchId === batchId).reverse();
    if (own.length === 0)
      return [
        {
          batchId,
          query: `batch=${batchId}`,
          roastDate,
          label,
          dialInName: '',
          shots: 0,
          isOnBench: bench === null && batchId === batch.id,
        },
      ];
    return own.map(({ id, style, setupId }) => ({
      batchId,
      query: `dialIn=${id}`,
      roastDate,
      label,
      dialInName:
        own.length === 1
          ? ''
          : [STYLE_LABELS[style], setups.get(setupId)?.name].filter(Boolean).join(', '),
      shots: shotsOf.get(id) ?? 0,
      isOnBench: id === bench?.draft.dialInId,
    }));
  });
}
