import { database } from '@/data/database';
import { CafesPage } from '@/features/cafes/CafesPage';
import { loadHouse } from '@/features/frame/load';
import { readCafes } from '@/views/cafes';

export const metadata = { title: 'Field' };

export default async function Field() {
  const { house } = await loadHouse();
  return <CafesPage field={readCafes(database(), house)} />;
}
