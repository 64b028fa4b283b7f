import { database } from '@/data/database';
import { loadRelease } from '@/features/frame/load';
import { LogStage } from '@/features/log/LogStage';
import { readLog } from '@/views/log';

export const metadata = { title: 'Who did what' };

export default async function LogPage({ params }: { params: Promise<{ id: string }> }) {
  const { view } = await loadRelease((await params).id);
  return <LogStage events={readLog(database(), view.release.id)} />;
}
