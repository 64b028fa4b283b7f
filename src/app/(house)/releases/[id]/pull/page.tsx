import { priceOf } from '@/core/money';
import { loadHouse, loadRelease } from '@/features/frame/load';
import { PullStage } from '@/features/pull/PullStage';

export default async function PullPage({ params }: { params: Promise<{ id: string }> }) {
  const { release, bench } = await loadRelease((await params).id);
  const { house } = await loadHouse();
  return <PullStage bench={bench} releaseId={release.id} price={priceOf(house)} />;
}
