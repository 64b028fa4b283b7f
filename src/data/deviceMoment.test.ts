import { faultOf } from '../../tests/support/fault';
import { openHouse, send, shotInput } from '../../tests/support/house';
import { clock } from './clock';
import { momentSaid } from './deviceMoment';

const NOW = '2026-05-20T12:00:00.000Z';
beforeEach(() => {
  clock.now = () => new Date(NOW);
});

it('what waited keeps its own moment, and a clock a little ahead is now', () => {
  const said = '2026-05-20T06:10:00.000Z';
  expect(momentSaid('cup', 'tastedAt', said)).toBe(said);
  expect(momentSaid('cup', 'tastedAt', '2026-05-20T12:04:00Z')).toBe(NOW);
  expect(momentSaid('shot', 'pulledAt', undefined)).toBe(NOW);
});

it('a moment that cannot be is refused with the remedy', () => {
  for (const said of ['2026-05-20T12:06:00Z', '2026-05-01T06:00:00Z'])
    expect(faultOf(() => momentSaid('cup', 'tastedAt', said)).faults).toEqual([
      {
        field: 'tastedAt',
        message: 'This cup says it is of another time than can be. Set the clock of this device.',
      },
    ]);
});

it('a cup that waited is dated when it was tasted', () => {
  const { db, draftId } = openHouse();
  const { shotId } = send(db, 'logShot', shotInput(draftId));
  const tastedAt = '2026-05-20T06:10:00.000Z';
  const cup = { moment: 'warm', serving: 'straight', notesFound: [], remark: '' };
  const scales = { liking: 7, strength: 0, signs: [] };
  send(db, 'recordTasting', { ...cup, scales, shotId, tastedAt });
  expect(db.prepare('SELECT tasted_at FROM tasting').pluck().get()).toBe(tastedAt);
});
