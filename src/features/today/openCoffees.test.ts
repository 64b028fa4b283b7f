import { findHouse } from '@/data/house';
import { readToday } from '@/views/today';
import { BATCH, openHouse, send, TODAY } from '../../../tests/support/house';
import { openCoffees } from './openCoffees';

test('what is open is within its span, oldest first, with the setting of its own batch or a word that it is not', () => {
  const { db, releaseId } = openHouse();
  const day = (daysAgo: number) =>
    new Date(Date.parse(TODAY) - daysAgo * 86_400_000).toISOString().slice(0, 10);
  for (const daysAgo of [1, 13, 300])
    send(db, 'saveBatch', { releaseId, batch: { ...BATCH, roastDate: day(daysAgo) } });
  const open = openCoffees(readToday(db, findHouse(db)!, { today: TODAY }), TODAY);
  const dates = open.map(({ roastDate }) => roastDate);
  expect(dates).toContain(day(13));
  expect(dates).not.toContain(day(1));
  expect(dates).not.toContain(day(300));
  expect(dates).toEqual([...dates].sort());
  const other = open.find(({ roastDate }) => roastDate === day(13))!;
  expect(other.rest).toMatch(/^day 13, /);
  expect(other.setting?.isOfOtherBatch).toBe(true);
});
