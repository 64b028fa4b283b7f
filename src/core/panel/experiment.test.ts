import type { Arm } from './arm';
import { factorsOf } from './experiment';

const armOf = (beans: string, grounds: string): Arm => ({
  label: `${beans} beans, ${grounds} grounds`,
  serving: 'straight',
  levels: [
    { of: 'Beans', is: beans },
    { of: 'Grounds', is: grounds },
  ],
});
const ARMS = [
  armOf('room', 'room'),
  armOf('room', 'warm'),
  armOf('warm', 'room'),
  armOf('warm', 'warm'),
];
const CUPS = ['111', '222', '333', '444'].map((code, arm) => ({ code, arm }));
const liking = (taster: string, arm: number, value: number) => ({
  taster,
  code: CUPS[arm]!.code,
  moment: 'warm',
  liking: value,
});

it('tells each setting against the first, over the settings of the other', () => {
  const likings = [
    ...[6, 7, 4, 5].map((value, arm) => liking('a', arm, value)),
    ...[8, 9, 6, 7].map((value, arm) => liking('b', arm, value)),
  ];
  const [beans, grounds] = factorsOf(ARMS, { cups: CUPS, likings, times: [28, 27, 24, 23] })!;
  expect(beans!.of).toBe('Beans');
  expect(beans!.levels.map(({ is }) => is)).toEqual(['room', 'warm']);
  expect(beans!.levels[0]).toEqual({ is: 'room', liking: null, timeS: null });
  expect(beans!.levels[1]!.liking!.mean).toBe(-2);
  expect(grounds!.levels[1]!.liking!.mean).toBe(1);
  expect(beans!.levels[1]!.timeS!.mean).toBe(-4);
  // 1.2816 · .045 · √(27.5² / 2 + 23.5² / 2).
  expect(beans!.levels[1]!.timeS!.half80).toBeCloseTo(
    1.2815515655 * 0.045 * Math.sqrt((27.5 ** 2 + 23.5 ** 2) / 2),
    9,
  );
  // Two people who agree are not certain.
  expect(beans!.levels[1]!.liking!.half80).toBeGreaterThan(1);
});

it('a setting nobody scored or timed has no figure, and other flights have no settings', () => {
  const [beans] = factorsOf(ARMS, {
    cups: CUPS,
    likings: [liking('a', 0, 6), liking('a', 1, 6)],
    times: [28, 27, null, null],
  })!;
  expect(beans!.levels[1]).toEqual({ is: 'warm', liking: null, timeS: null });
  const plain = ARMS.map(({ levels: _, ...arm }) => arm);
  expect(factorsOf(plain, { cups: CUPS, likings: [], times: [] })).toBeNull();
});
