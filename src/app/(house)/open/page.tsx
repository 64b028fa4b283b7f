import { database } from '@/data/database';
import { today } from '@/data/today';
import { prepareToday, readToday } from '@/views/today';
import { loadHouse } from '@/features/frame/load';
import { OpenPage } from '@/features/today/OpenPage';
import { openCoffees } from '@/features/today/openCoffees';

export const metadata = { title: 'Open today' };

export default async function Open() {
  const { house, person } = await loadHouse(prepareToday);
  const asked = { today: today(), units: person.units };
  const db = database();
  return <OpenPage coffees={openCoffees(readToday(db, house, asked), asked.today)} />;
}
