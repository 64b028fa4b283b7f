import { database } from '@/data/database';
import { WeekPage } from '@/features/field/WeekPage';
import { loadHouse } from '@/features/frame/load';
import { readFieldWeek } from '@/views/fieldWeek';

export const metadata = { title: 'The week of the field' };

export default async function FieldWeek() {
  const { house } = await loadHouse();
  return <WeekPage week={readFieldWeek(database(), house)} />;
}
