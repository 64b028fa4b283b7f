import { database } from '@/data/database';
import { today } from '@/data/today';
import { loadRelease } from '@/features/frame/load';
import { StartStage } from '@/features/start/StartStage';
import { prepareModel } from '@/views/houseModel';
import { readStart } from '@/views/start';

interface Props {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export const metadata = { title: 'Start' };

export default async function StartPage({ params, searchParams }: Props) {
  const asked = await searchParams;
  const { view, house, person } = await loadRelease((await params).id, prepareModel);
  const reader = { today: today(), units: person.units };
  return <StartStage view={view} start={readStart(database(), house, view, asked, reader)} />;
}
