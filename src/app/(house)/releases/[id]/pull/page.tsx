import { priceOf } from '@/core/money';
import { database } from '@/data/database';
import { readPull } from '@/views/pull';
import { prepareRecords } from '@/views/records';
import { loadRelease } from '@/features/frame/load';
import { OtherBatch } from '@/features/frame/OtherBatch';
import type { AskedBatch } from '@/views/lookedAt';
import { PullStage } from '@/features/pull/PullStage';

export const metadata = { title: 'Pull' };

interface Props {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<AskedBatch>;
}

export default async function PullPage({ params, searchParams }: Props) {
  const { view, house } = await loadRelease((await params).id, prepareRecords, await searchParams);
  const { bench, release } = view;
  const db = database();
  return (
    <>
      <OtherBatch view={view} />
      <PullStage
        key={bench?.draft.dialInId}
        bench={bench}
        pull={bench && readPull(db, house, view, bench)}
        releaseId={release.id}
        newBatch={view.newBatch}
        price={priceOf(house, release)}
      />
    </>
  );
}
