import { easeOf } from '@/core/ease/ease';
import { loadRelease } from '@/features/frame/load';
import { ReadStage } from '@/features/read/ReadStage';

export default async function ReadPage({ params }: { params: Promise<{ id: string }> }) {
  const view = loadRelease((await params).id);
  return <ReadStage view={view} ease={easeOf(view.facts)} />;
}
