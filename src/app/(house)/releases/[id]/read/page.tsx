import { easeOf } from '@/core/ease/ease';
import { database } from '@/data/database';
import { readHouseModel } from '@/views/houseModel';
import { nearestTo } from '@/views/pastWords';
import { loadRelease } from '@/features/frame/load';
import { ReadStage } from '@/features/read/ReadStage';

export const metadata = { title: 'Read' };

export default async function ReadPage({ params }: { params: Promise<{ id: string }> }) {
  const { view, house } = await loadRelease((await params).id);
  const hasBeanMap = house.roastMap.filter((level) => level.colourBean !== undefined).length >= 2;
  const style = view.bench?.draft.style ?? house.brewStyle;
  return (
    <ReadStage
      view={view}
      ease={easeOf(view.facts)}
      hasBeanMap={hasBeanMap}
      nearest={nearestTo(readHouseModel(database(), house), view.facts, style)}
    />
  );
}
