import { database } from '@/data/database';
import { CafesStage } from '@/features/cafes/CafesStage';
import { loadRelease } from '@/features/frame/load';
import { readReleaseCafes } from '@/views/releaseCafes';

export const metadata = { title: 'Field' };

export default async function ReleaseFieldPage({ params }: { params: Promise<{ id: string }> }) {
  const { view, house } = await loadRelease((await params).id);
  const { id } = view.release;
  return <CafesStage releaseId={id} field={readReleaseCafes(database(), house, id)} />;
}
