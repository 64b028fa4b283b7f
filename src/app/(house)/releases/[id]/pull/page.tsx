import { loadRelease } from '@/features/frame/load';
import { PullStage } from '@/features/pull/PullStage';

export default async function PullPage({ params }: { params: Promise<{ id: string }> }) {
  const { release, bench } = loadRelease((await params).id);
  return <PullStage bench={bench} releaseId={release.id} />;
}
