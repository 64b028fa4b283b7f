import { database } from '@/data/database';
import { today } from '@/data/today';
import { loadRelease } from '@/features/frame/load';
import { PublishStage } from '@/features/publish/PublishStage';
import { foundInField, type FoundInField } from '@/features/publish/foundInField';
import { publishStageOf } from '@/features/publish/stageOf';

interface Props {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<FoundInField & { identical?: string }>;
}

export const metadata = { title: 'Publish' };

export default async function PublishPage({ params, searchParams }: Props) {
  const { identical, ...found } = await searchParams;
  const { view, house } = await loadRelease((await params).id);
  const readBack = view.versions.find(({ number }) => String(number) === identical);
  const stage = publishStageOf(database(), house, view, {
    today: today(),
    readBack: readBack?.number ?? null,
  });
  return <PublishStage {...foundInField(stage, found)} key={String(found.why)} />;
}
