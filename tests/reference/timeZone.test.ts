/** Days and hours are the house's, wherever the server and its readers are. */
import { spawnSync } from 'node:child_process';
import { momentWords } from '@/core/dayWords';
import { houseInput } from '@/features/house/schema';
import { zoneOf } from '@/data/timeZone';

/** What a process of its own says once it lives in a zone: a test's own clock cannot be moved. */
function saidIn(timeZone: string): unknown {
  const program = `
    import { clock } from './src/data/clock.ts';
    import { liveIn } from './src/data/timeZone.ts';
    import { dayOf, momentOf, timeOf, today } from './src/data/today.ts';
    clock.now = () => new Date('2026-05-20T22:30:00Z');
    today();
    liveIn('${timeZone}');
    const late = '2026-05-20T14:59:00Z';
    console.log(JSON.stringify([today(), dayOf(late), timeOf(late), momentOf('2026-05-21', '06:30')]));`;
  const { stdout, stderr } = spawnSync(
    process.execPath,
    ['--import', 'tsx', '--input-type=module', '--eval', program],
    { encoding: 'utf8', env: { ...process.env, TZ: 'UTC' } },
  );
  expect(stderr).toBe('');
  return JSON.parse(stdout);
}

it('a day begins when it begins at the house', () => {
  expect(saidIn('Asia/Tokyo')).toEqual([
    '2026-05-21',
    '2026-05-20',
    '23:59:00',
    '2026-05-20T21:30:00.000Z',
  ]);
  expect(saidIn('America/Lima')).toEqual([
    '2026-05-20',
    '2026-05-20',
    '09:59:00',
    '2026-05-21T11:30:00.000Z',
  ]);
  // Without one, the machine's.
  expect(saidIn('')).toEqual(['2026-05-20', '2026-05-20', '14:59:00', '2026-05-21T06:30:00.000Z']);
});

it('a moment is said in the zone that is asked for, and summer time counts', () => {
  expect(momentWords('2026-05-20T12:00:00Z', 'Europe/Madrid')).toBe('20 May 2026, 14:00');
  expect(momentWords('2026-01-20T12:00:00Z', 'Europe/Madrid')).toBe('20 Jan 2026, 13:00');
  expect(momentWords('2026-05-20T12:00:00Z', 'America/Lima')).toBe('20 May 2026, 07:00');
});

it('a house without a zone has its machine’s; one with a name nobody knows is refused with words', () => {
  const machine = Intl.DateTimeFormat().resolvedOptions().timeZone;
  expect(zoneOf({ timeZone: '' })).toBe(machine);
  expect(zoneOf({ timeZone: 'Asia/Tokyo' })).toBe('Asia/Tokyo');
  expect(houseInput.shape.timeZone.safeParse('Europe/Madrid').success).toBe(true);
  const refused = houseInput.shape.timeZone.safeParse('Madrid time');
  expect(refused.error?.issues[0]?.message).toMatch(/not one that is known.*like Europe\/Madrid/);
});
