import { mayDo } from '@/core/roles';
import { database } from '@/data/database';
import { listPeople } from '@/data/people';
import { countReleases, listReleaseNames } from '@/data/releases';
import { listSetups } from '@/data/setups';
import { today } from '@/data/today';
import { backupWarning } from '@/views/backups';
import { readCafeNews } from '@/views/cafeNews';
import { prepareToday, readToday } from '@/views/today';
import { loadHouse } from '@/features/frame/load';
import { ImportDocument } from '@/features/import/ImportDocument';
import { TodayPage } from '@/features/today/TodayPage';
import { MOST_PAST, todayRows } from '@/features/today/todayRows';

export const metadata = { title: 'Today' };

export default async function Today() {
  const day = today();
  const { house, person } = await loadHouse(prepareToday);
  const asked = { today: day, units: person.units };
  const db = database();
  const standings = readToday(db, house, asked);
  const count = countReleases(db);
  // The demo's house is made anew whenever somebody likes; an empty one has nothing to lose.
  const isTold = mayDo(person.role, 'lead') && count > 0 && process.env.KETTLEBRAND_DEMO !== '1';
  // Enough that the past ones among them fill their list.
  const names = MOST_PAST + standings.length;
  return (
    <TodayPage
      today={day}
      rows={todayRows(standings, day, { names: listReleaseNames(db, names), count })}
      firstSteps={{
        hasSetup: listSetups(db).length > 0,
        hasRelease: count > 0,
        hasColleague: listPeople(db).length > 1,
      }}
      importer={<ImportDocument />}
      fieldNews={readCafeNews(db, house)}
      backupWarning={isTold ? backupWarning(db, house.backupFolder) : null}
    />
  );
}
