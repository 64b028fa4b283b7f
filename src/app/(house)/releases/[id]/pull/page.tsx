import { priceOf } from '@/core/money';
import { database } from '@/data/database';
import { readPull } from '@/views/pull';
import { prepareRecords } from '@/views/records';
import { loadRelease } from '@/features/frame/load';
import { PullStage } from '@/features/pull/PullStage';

export const metadata = { title: 'Pull' };

export default async function PullPage({ params }: { params: Promise<{ id: string }> }) {
  const { view, house } = await loadRelease((await params).id, prepareRecords);
  const { bench, release } = view;
  const db = database();
  return (
    <PullStage
      bench={bench}
      pull={bench && readPull(db, house, view, bench)}
      releaseId={release.id}
      newBatch={view.newBatch}
      price={priceOf(house, release)}
    />
  );
}
