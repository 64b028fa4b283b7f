import { loadHouse } from '@/features/frame/load';
import { PracticePage } from '@/features/practice/PracticePage';

export const metadata = { title: 'Practice' };

export default async function Practice() {
  await loadHouse();
  return <PracticePage />;
}
