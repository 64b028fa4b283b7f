import { database } from '@/data/database';
import { FieldStage } from '@/features/field/FieldStage';
import { loadHouse, loadRelease } from '@/features/frame/load';
import { readReleaseField } from '@/views/releaseField';

export const metadata = { title: 'Field' };

export default async function ReleaseFieldPage({ params }: { params: Promise<{ id: string }> }) {
  const view = await loadRelease((await params).id);
  const { house } = await loadHouse();
  const { id } = view.release;
  return <FieldStage releaseId={id} field={readReleaseField(database(), house, id)} />;
}
