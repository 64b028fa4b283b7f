import { database } from '@/data/database';
import { listServable } from '@/data/publications';
import { NewCafePage } from '@/features/cafes/NewCafePage';
import { loadHouse } from '@/features/frame/load';

export const metadata = { title: 'Add a café' };

export default async function NewCafe() {
  await loadHouse();
  return <NewCafePage coffees={listServable(database())} />;
}
