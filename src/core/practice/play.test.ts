import { LEVEL_FACTS, PRACTICE_DAYS, PRACTICE_LEVELS, type PracticeLevel } from './levels';
import { advisedMove, playPractice, practiceTruth, type PracticeMove } from './play';

/** Plays a round by the advice until it is over. */
function playByAdvice(level: PracticeLevel, seed: number) {
  const moves: PracticeMove[] = [];
  let state = playPractice({ level, seed, moves });
  while (state.outcome === 'open') {
    moves.push(advisedMove(state));
    state = playPractice({ level, seed, moves });
  }
  return { state, moves };
}

describe('practice', () => {
  it('takes at most five shots to on target on the first medium coffee, with the advice', () => {
    const { state } = playByAdvice('medium', 1);
    expect(state.outcome).toBe('onTarget');
    expect(state.shots.length).toBeLessThanOrEqual(5);
  });

  it('is mostly done in five on the medium level, whatever the coffee', () => {
    const seeds = Array.from({ length: 12 }, (_, i) => i + 1);
    const counts = seeds.map((seed) => playByAdvice('medium', seed).state.shots.length);
    expect(counts.filter((count) => count <= 5).length).toBeGreaterThanOrEqual(8);
  });

  it.each(PRACTICE_DAYS)('a day of %s can be brought to its end by the advice', (day) => {
    expect(playByAdvice(day, 1).state.outcome).toBe('onTarget');
  });

  it('names what is wrong with the day before the grind', () => {
    const after = (level: PracticeLevel, shots: number) => {
      const moves = Array.from({ length: shots }, () => ({ dial: 20, doseG: 18, purgeG: 0 }));
      const { advice } = playPractice({ level, seed: 1, moves });
      return advice.reasons.map(({ code }) => code).join(' ');
    };
    expect(after('choke', 1)).toContain('choked');
    expect(after('coldMetal', 2)).toContain('prep.coldMetal');
    const { shots } = playPractice({
      level: 'ageing',
      seed: 1,
      moves: Array.from({ length: 6 }, () => ({ dial: 20, doseG: 18, purgeG: 0 })),
    });
    expect(shots.map(({ restDays }) => restDays)).toEqual([7, 10, 13, 16, 19, 22]);
    expect(shots.at(-1)!.timeS).toBeLessThan(shots[0]!.timeS);
  });

  it('goes from easy to hard', () => {
    const shotsOf = (level: PracticeLevel) =>
      [1, 2, 3, 4]
        .map((seed) => playByAdvice(level, seed).state.shots.length)
        .reduce((a, b) => a + b);
    expect(shotsOf('stubborn')).toBeGreaterThan(shotsOf('forgiving'));
  });

  it('is the same round for the same moves, and ends when the bag is empty', () => {
    const moves = Array.from({ length: 11 }, () => ({ dial: 34, doseG: 18, purgeG: 0 }));
    const round = { level: 'demanding', seed: 3, moves } as const;
    const state = playPractice(round);
    expect(playPractice(round)).toEqual(state);
    expect(state.spentG).toBe(198);
    expect(state.outcome).toBe('spent');
  });

  it.each(PRACTICE_LEVELS)(
    'tells the truth of %s afterwards, from the same first shot',
    (level) => {
      const moves = [{ dial: 20, doseG: 18, purgeG: 0 }];
      const first = playPractice({ level, seed: 2, moves });
      const { idealDial, stepPct, advised } = practiceTruth({ level, seed: 2, moves });
      expect(advised.shots[0]).toEqual(first.shots[0]);
      expect(Math.abs(idealDial - 20)).toBeLessThan(15);
      expect(stepPct).toBeCloseTo(100 * (Math.exp(LEVEL_FACTS[level].lnPerStep) - 1), 9);
    },
  );
});
