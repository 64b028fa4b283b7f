import type { ReactNode } from 'react';
import { clock } from '@/data/clock';
import { database } from '@/data/database';
import { listRecentReleases } from '@/data/releases';
import { today } from '@/data/today';
import { zoneOf } from '@/data/timeZone';
import { prepareToday, readToday } from '@/views/today';
import { loadHouse } from '@/features/frame/load';
import { AwayBar } from '@/features/frame/AwayBar';
import { TopBar } from '@/features/frame/TopBar';
import { PersonProvider } from '@/ui/person';
import { PasswordAgainDialog } from '@/ui/PasswordAgainDialog';
import { UndoBar } from '@/ui/undo';
import { RefreshKeeper } from '@/ui/useRefresh';

export const dynamic = 'force-dynamic';

/** What can wait is not counted in the bar. */
const COUNTED_FROM = 2;

/** As many as one looks through at a glance. */
const RECENT_RELEASES = 8;

export default async function HouseLayout({ children }: { children: ReactNode }) {
  const { house, person } = await loadHouse(prepareToday);
  const { id, name, role, units } = person;
  const db = database();
  const asked = { today: today(), units };
  const due = readToday(db, house, asked)
    .flatMap((standing) => standing.due)
    .filter(({ urgency }) => urgency >= COUNTED_FROM).length;
  return (
    <PersonProvider person={{ id, name, role, units, timeZone: zoneOf(house) }}>
      <TopBar houseName={house.name} recent={listRecentReleases(db, RECENT_RELEASES)} due={due} />
      <AwayBar madeAt={clock.now().toISOString()} />
      {children}
      <RefreshKeeper />
      <UndoBar />
      <PasswordAgainDialog />
    </PersonProvider>
  );
}
