import { database } from '@/data/database';
import { listPeople } from '@/data/people';
import { listSetups } from '@/data/setups';
import { today } from '@/data/today';
import { readToday } from '@/views/today';
import { loadHouse } from '@/features/frame/load';
import { ImportDocument } from '@/features/import/ImportDocument';
import { TodayPage } from '@/features/today/TodayPage';
import { todayRows } from '@/features/today/todayRows';

export default async function Today() {
  const { house, person } = await loadHouse();
  const db = database();
  const day = today();
  const standings = readToday(db, house, { today: day, units: person.units });
  return (
    <TodayPage
      today={day}
      rows={todayRows(standings, day)}
      firstSteps={{
        hasSetup: listSetups(db).length > 0,
        hasRelease: standings.length > 0,
        hasColleague: listPeople(db).length > 1,
      }}
      importer={<ImportDocument />}
    />
  );
}
