/** What the field needs this morning, for Today: the titles alone. Server only. */
import type { Db } from '@/data/database';
import { openHelp } from '@/data/cafeChecks';
import { countPartners } from '@/data/partners';
import type { House } from '@/data/house';
import { cafeStandings, readCafesNow, signalViews } from './cafes';

/** Empty where nobody is off, or there is no café. */
export function readCafeNews(db: Db, house: House): readonly string[] {
  if (countPartners(db) === 0) return [];
  const reading = readCafesNow(db, house);
  const signals = signalViews(db, reading);
  return [
    ...openHelp(db).map(({ partnerId }) => `${reading.names.cafe(partnerId)} asks for help`),
    ...signals
      .filter(({ settled, kind }) => settled === null && kind !== 'weather')
      .map(({ title }) => title),
    ...cafeStandings(reading, signals)
      .filter(({ kind }) => kind === 'off')
      .map(({ words }) => words),
  ];
}
