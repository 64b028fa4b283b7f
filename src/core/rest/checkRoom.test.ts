import { checkRoom } from './checkRoom';
import type { PlannedCheck } from './checkPlan';

const AHEAD: readonly PlannedCheck[] = [
  { kind: 'middle', day: '2026-05-23' },
  { kind: 'bestEnds', day: '2026-05-29' },
  { kind: 'fades', day: '2026-06-12' },
];
const kinds = (checks: readonly PlannedCheck[]) => checks.map(({ kind }) => kind);

it('keeps what there is coffee for, the checks that tell most first', () => {
  const enough = checkRoom(AHEAD, { leftG: 200, gramsEach: 40 });
  expect(kinds(enough.kept)).toEqual(['middle', 'bestEnds', 'fades']);
  expect(enough).toMatchObject({ neededG: 120, shortG: 0, dropped: [] });
  const one = checkRoom(AHEAD, { leftG: 50, gramsEach: 40 });
  expect(kinds(one.kept)).toEqual(['fades']);
  expect(kinds(one.dropped)).toEqual(['middle', 'bestEnds']);
  expect(one.shortG).toBe(70);
});

it('drops nothing where nobody said how much was set aside, and all where nothing is left', () => {
  expect(checkRoom(AHEAD, { leftG: null, gramsEach: 40 })).toMatchObject({
    shortG: 0,
    dropped: [],
  });
  expect(checkRoom(AHEAD, { leftG: -3, gramsEach: 40 }).kept).toEqual([]);
});
