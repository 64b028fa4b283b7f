import { notFound } from 'next/navigation';
import { mayDo } from '@/core/roles';
import { database } from '@/data/database';
import { listDoorLog } from '@/data/accessLog';
import { loadHouse } from '@/features/frame/load';
import { AccessLog } from '@/features/people/AccessLog';

export const metadata = { title: 'Who came in' };

const MOST = 300;

export default async function DoorLogPage() {
  const { person } = await loadHouse();
  if (!mayDo(person.role, 'lead')) notFound();
  const entries = listDoorLog(database(), MOST + 1);
  return <AccessLog entries={entries.slice(0, MOST)} isCut={entries.length > MOST} />;
}
