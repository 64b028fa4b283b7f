import { database } from '@/data/database';
import { WeekPage } from '@/features/cafes/WeekPage';
import { loadHouse } from '@/features/frame/load';
import { readCafeWeek } from '@/views/cafeWeek';

export const metadata = { title: 'The week of the field' };

export default async function FieldWeek() {
  const { house } = await loadHouse();
  return <WeekPage week={readCafeWeek(database(), house)} />;
}
