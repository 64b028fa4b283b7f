import { redirect } from 'next/navigation';
import { mayDo } from '@/core/roles';
import { loadHouse } from '@/features/frame/load';
import { ImportPage } from '@/features/import/ImportPage';

export const metadata = { title: 'Import' };

export default async function Import() {
  const { person } = await loadHouse();
  if (!mayDo(person.role, 'lead')) redirect('/');
  return <ImportPage />;
}
