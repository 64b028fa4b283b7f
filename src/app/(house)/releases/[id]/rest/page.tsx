import { database } from '@/data/database';
import { loadHouse, loadRelease } from '@/features/frame/load';
import { RestStage } from '@/features/rest/RestStage';
import { prepareModel } from '@/views/houseModel';
import { readRest } from '@/views/rest';

export const metadata = { title: 'Rest' };

export default async function RestPage({ params }: { params: Promise<{ id: string }> }) {
  const view = await loadRelease((await params).id);
  const { house } = await loadHouse();
  const db = database();
  await prepareModel(db, house);
  const { grinder } = view.bench?.setup ?? {};
  return (
    <RestStage
      releaseId={view.release.id}
      roastDate={view.batch.roastDate}
      rest={readRest(db, house, view)}
      notation={grinder ? { notation: grinder.notation, divisions: grinder.divisions } : {}}
    />
  );
}
