/** Strength and extraction of every measured shot of a release, with what was liked. */
import { LIMITS } from '@/core/limits';
import { findHouse } from '@/data/house';
import { houseInput } from '@/features/house/schema';
import { houseSent, houseTextOf } from '@/features/house/houseText';
import { readPlane } from '@/views/plane';
import { send } from '../support/house';
import { houseWith } from '../support/view';

it('holds what was measured and whether it was liked, and leaves out a reading no cup can have', () => {
  const house = houseWith(
    { yieldG: 36, tdsPct: 9.6 },
    { yieldG: 40 },
    { yieldG: 38, tdsPct: 8.9, yieldMl: 48 },
  );
  const { db, releaseId, view } = house;
  const [first] = view().bench!.shots.map(({ id }) => id);
  for (const liking of [6, 8])
    send(db, 'recordTasting', {
      shotId: first!,
      moment: 'warm',
      serving: 'straight',
      scales: { liking },
      notesFound: [],
      remark: '',
    });
  const points = readPlane(db, releaseId);
  expect(points).toHaveLength(2);
  const measured = points.find(({ shotId }) => shotId === first)!;
  expect(measured).toMatchObject({ tdsPct: 9.6, liking: 7, isRough: false });
  expect(measured.extractionPct).toBeCloseTo((9.6 * 36) / 18, 9);
  expect(points.find(({ shotId }) => shotId !== first)).toMatchObject({ liking: null });
  expect(readPlane(db, 'none')).toEqual([]);
});

it('a region is four figures that go upwards, or none', () => {
  const { db } = houseWith();
  const text = houseTextOf(findHouse(db)!);
  const faultOf = (region: Partial<typeof text>) =>
    houseInput.safeParse(houseSent({ ...text, ...region })).error?.issues[0];
  const whole = {
    tdsFromPct: '8',
    tdsToPct: '10',
    extractionFromPct: '19',
    extractionToPct: '21.5',
  };
  expect(faultOf({})).toBeUndefined();
  expect(faultOf(whole)).toBeUndefined();
  expect(faultOf({ ...whole, tdsToPct: '' })).toMatchObject({
    path: ['tdsToPct'],
    message: expect.stringMatching(/all four/),
  });
  expect(faultOf({ ...whole, tdsToPct: '7' })).toMatchObject({ path: ['tdsToPct'] });
  expect(faultOf({ ...whole, extractionToPct: '19' })).toMatchObject({ path: ['extractionToPct'] });
  expect(
    faultOf({ ...whole, extractionToPct: String(LIMITS.extractionPct.max + 1) }),
  ).toMatchObject({
    path: ['extractionToPct'],
  });
});
