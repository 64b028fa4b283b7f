import { redirect } from 'next/navigation';
import { mayDo } from '@/core/roles';
import { today } from '@/data/today';
import { loadHouse } from '@/features/frame/load';
import { NewRelease } from '@/features/read/NewRelease';

export const metadata = { title: 'A new release' };

export default async function NewReleasePage() {
  const { person } = await loadHouse();
  if (!mayDo(person.role, 'lead')) redirect('/');
  return <NewRelease today={today()} />;
}
