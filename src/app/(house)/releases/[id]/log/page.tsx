import { database } from '@/data/database';
import { listEvents } from '@/data/events';
import { loadRelease } from '@/features/frame/load';
import { LogStage } from '@/features/log/LogStage';

export const metadata = { title: 'Who did what' };

export default async function LogPage({ params }: { params: Promise<{ id: string }> }) {
  const { view } = await loadRelease((await params).id);
  const { release } = view;
  return <LogStage events={listEvents(database(), release.id)} />;
}
