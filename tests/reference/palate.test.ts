/** What a day of tasting adds up to, by the day of the house, whoever kept the sheet. */
import { readPalates } from '@/views/palate';
import { readBest } from '@/views/best';
import { findHouse } from '@/data/house';
import { houseWith } from '../support/view';
import { send, TODAY } from '../support/house';

const sheet = (shotId: string, tastedAt: string) => ({
  shotId,
  tastedAt,
  moment: 'warm',
  serving: 'straight',
  scales: { liking: 7 },
  notesFound: [],
  remark: '',
});

it('counts a shot once however often one person scored it, and only cups of the day', () => {
  const { db, view } = houseWith({}, {});
  const [first, second] = view().bench!.shots.map(({ id }) => id) as [string, string];
  send(db, 'recordTasting', sheet(first, `${TODAY}T12:00:00.000Z`));
  send(db, 'recordTasting', { ...sheet(first, `${TODAY}T12:05:00.000Z`), moment: 'cool' });
  send(db, 'recordTasting', sheet(second, '2026-05-18T12:00:00.000Z'));
  const [taster, ...others] = readPalates(db, TODAY);
  expect(others).toEqual([]);
  expect(taster!.cups).toBe(1);
  expect(taster!.caffeineMg).toBeGreaterThan(100);
  expect(taster!.caffeineMg).toBeLessThan(150);
  expect(readPalates(db, '2026-05-18')[0]!.cups).toBe(1);
  expect(readPalates(db, '2026-05-17')).toEqual([]);
  // The best recipe counts every sheet, of whatever day.
  expect(readBest(db, findHouse(db)!, view())!.cups).toBe(3);
});
