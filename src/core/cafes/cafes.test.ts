import fc from 'fast-check';
import { answerAtTheBar, NOTHING_KNOWN } from './atTheBar';
import { bestMove, chanceAfter } from './advice';
import { cafeBlock, rowWeight } from './block';
import { checkState, worstState } from './checkState';
import { times, transposedTimes, zeros, inverseOf, type Dense } from './dense';
import { placeDials } from './dials';
import { habitSignal, usualOff } from './habits';
import { dueChecks, localDay, readTimes, weekdayOf } from './schedule';
import { fitGlobals } from './shared';
import { missedShare, silenceOdds } from './silence';
import { spreadOfCafes } from './spread';
import { chanceBeyond } from './acrossCafes';
import type { CafeRow } from './rows';

const WINDOW: [number, number] = [-0.071, 0.071];

describe('silence', () => {
  it('gives the worked odds of checks missed in a row', () => {
    expect(silenceOdds(4, 0.2)).toBeCloseTo(2.6, 4);
    expect(silenceOdds(5, 0.2)).toBeCloseTo(13.0167, 4);
    const p = (odds: number) => odds / (1 + odds);
    expect(p(silenceOdds(4, 0.2))).toBeCloseTo(0.7222, 4);
    expect(p(silenceOdds(5, 0.2))).toBeCloseTo(0.9287, 4);
  });

  it('takes longer to call a café silent that often misses a check', () => {
    const careful = missedShare(Array.from({ length: 60 }, () => true));
    const careless = missedShare(Array.from({ length: 60 }, (_, i) => i % 2 === 0));
    expect(careful).toBeLessThan(0.06);
    expect(careless).toBeGreaterThan(0.4);
    expect(silenceOdds(3, careful)).toBeGreaterThan(silenceOdds(6, careless));
  });
});

describe('advice', () => {
  const question = {
    offLn: -0.09,
    sd: 0.025,
    slope: { mean: -0.095, sd: 0.015 },
    window: WINDOW,
  };

  it('gives the worked chances of staying and of one step finer', () => {
    expect(chanceAfter(0, question)).toBeCloseTo(0.2236, 4);
    expect(chanceAfter(-1, question)).toBeCloseTo(0.9836, 4);
    expect(bestMove(question)).toMatchObject({ steps: -1 });
  });

  it('never moves a café for less than five in a hundred, and never away from the window', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -0.4, max: 0.4, noNaN: true }),
        fc.double({ min: 0.005, max: 0.1, noNaN: true }),
        (offLn, sd) => {
          const asked = { ...question, offLn, sd };
          const move = bestMove(asked);
          if (move.steps === 0) return;
          expect(move.inWindow - move.asItIs).toBeGreaterThanOrEqual(0.05);
          // A finer step (lower dial) answers a fast shot, a coarser one a slow shot.
          expect(Math.sign(move.steps)).toBe(Math.sign(offLn));
        },
      ),
    );
  });
});

describe('advice for a dial that turns freely', () => {
  it('is by half steps, never worse than by whole ones, and whole where the dial has steps', () => {
    const slope = { mean: -0.1, sd: 0.015 };
    fc.assert(
      fc.property(fc.double({ min: -0.3, max: 0.3, noNaN: true }), (offLn) => {
        const asked = { offLn, sd: 0.02, slope, window: WINDOW };
        const stepped = bestMove(asked);
        const free = bestMove({ ...asked, slope: { ...slope, isStepless: true } });
        expect(Number.isInteger(stepped.steps)).toBe(true);
        expect(Number.isInteger(2 * free.steps)).toBe(true);
        expect(free.inWindow).toBeGreaterThanOrEqual(stepped.inWindow);
      }),
    );
    const between = { offLn: 0.15, sd: 0.02, slope, window: WINDOW };
    expect(bestMove({ ...between, slope: { ...slope, isStepless: true } }).steps).toBe(1.5);
  });
});

describe('a batch against the one before it', () => {
  it('gives the worked contrast of three cafés', () => {
    const keys = ['1', '2'].map((name) => ({ name, day: null, isBatch: true }));
    const noise = { shotSd: 0.06, visitSd: 0 };
    const cafes: [number[], number[]][] = [
      [
        [0, 0.02],
        [0.09, 0.11],
      ],
      [[-0.01, 0.01], [0.06]],
      [[0.03, -0.01], [0.1]],
    ];
    const blocks = cafes.map((batches) => {
      const visits = batches.flatMap((those, batch) =>
        those.map((y): CafeRow[] => [
          {
            check: { shots: 1 } as CafeRow['check'],
            coffeeAt: 0,
            y,
            columns: [0, 2 + batch],
            values: [1, 1],
            dialVarianceSteps2: 0,
          },
        ]),
      );
      const rows = { visits, localSize: 2, slopeAt: 1, coffees: ['A'], sharedKeys: keys };
      const weights = visits.map((visit) => visit.map((row) => rowWeight(row, null, noise, -0.1)));
      return cafeBlock(rows, weights, noise, { mean: -0.1, sd: 0.04 });
    });
    const columns = { keys, at: new Map(keys.map(({ name }, i) => [name, i])) };
    const { mean, covariance } = fitGlobals(columns, blocks);
    expect(mean[0]).toBeCloseTo(-0.0292, 4);
    expect(mean[1]).toBeCloseTo(0.0328, 4);
    const [a, b, c] = [covariance.values[0]!, covariance.values[1]!, covariance.values[3]!];
    const sd = Math.sqrt(a + c - 2 * b);
    expect(mean[1]! - mean[0]!).toBeCloseTo(0.0621, 4);
    expect(sd).toBeCloseTo(0.0343, 4);
    expect(chanceBeyond(mean[1]! - mean[0]!, sd, 0.04)).toBeCloseTo(0.7413, 4);
  });
});

describe('a dial that was not written down', () => {
  it('lies between two known ones, wanders after the last, and counts as the first before any', () => {
    const placed = placeDials([null, 10, null, 12, null, null], 10);
    expect(placed.map(({ dial }) => dial)).toEqual([10, 10, 11, 12, 12, 12]);
    expect(placed.map(({ varianceSteps2 }) => Number(varianceSteps2.toFixed(4)))).toEqual([
      0.64, 0, 1.05,
      // The first shot after a move of two steps holds some of the old grounds.
      0.16, 0.16, 0.32,
    ]);
    expect(placeDials([null, null], 7)).toEqual([
      { dial: 7, varianceSteps2: 0.64 },
      { dial: 7, varianceSteps2: 0.64 },
    ]);
  });
});

describe('habits', () => {
  const usual = Array.from({ length: 40 }, (_, i) => 0.2 * Math.sin(i));

  it('say a dose that moved for good, from where it did, and nothing of one slip', () => {
    expect(habitSignal(usual, 'dose')!.probability).toBeLessThan(0.2);
    expect(habitSignal([...usual, 0.7], 'dose')!.probability).toBeLessThan(0.5);
    const moved = habitSignal([...usual, ...[0.7, 0.6, 0.8, 0.6, 0.7, 0.5]], 'dose')!;
    expect(moved.probability).toBeGreaterThan(0.95);
    expect(moved.from).toBe(40);
    expect(moved.sizeG).toBeGreaterThan(0.4);
  });

  it('know the yield of the card before sooner than any other', () => {
    const offs = [...usual, -4.1, -3.8];
    const free = habitSignal(offs, 'yield')!.probability;
    const former = habitSignal(offs, 'yield', -4)!.probability;
    expect(former).toBeGreaterThan(free);
  });

  it('begin at the recipe', () => {
    expect(usualOff([], { sd: 0.32, ownSd: 0.3 })).toBe(0);
    expect(habitSignal([], 'dose')).toBeNull();
  });
});

describe('the plan of checks', () => {
  const plan = { times: [7 / 24, 10.5 / 24, 14 / 24], closed: [0] };
  const monday = 20_600 - weekdayOf(20_600) + 1;

  it('counts what was due and made, leaves out closed days and what may still come', () => {
    const made = [monday + 7.2 / 24, monday + 13.5 / 24];
    const due = dueChecks(plan, made, monday, monday + 15 / 24);
    expect(due.map(({ isMade }) => isMade)).toEqual([true, false, true]);
    expect(dueChecks(plan, [], monday, monday + 8 / 24)).toEqual([]);
    expect(dueChecks(plan, [], monday - 1, monday - 0.01)).toEqual([]);
  });

  it('counts by the clock on the wall there, also when it is set forward', () => {
    const before = localDay('2026-03-29T00:30:00Z', 'Europe/Lisbon');
    const after = localDay('2026-03-29T01:30:00Z', 'Europe/Lisbon');
    // An hour passes; the clock says two.
    expect((after - before) * 24).toBeCloseTo(2, 6);
    expect((localDay('2026-05-20T06:00:00Z', 'Asia/Tokyo') % 1) * 24).toBeCloseTo(15, 6);
  });

  it('reads times as people write them', () => {
    expect(readTimes('14:00, 7.30; 7:30')).toEqual([7.5 / 24, 14 / 24]);
    expect(readTimes('')).toEqual([]);
    expect(readTimes('noon')).toBeNull();
    expect(readTimes('25:00')).toBeNull();
  });
});

describe('the spread of cafés', () => {
  it('is the usual one before anybody weighed, and theirs once many did', () => {
    expect(spreadOfCafes([], 'dose')).toMatchObject({ withinSdG: 0.3, cafes: 0 });
    const wide = Array.from({ length: 12 }, (_, cafe) =>
      Array.from({ length: 60 }, (_, i) => 0.6 * Math.sin(7 * i + cafe) + 0.5 * Math.cos(cafe)),
    );
    const spread = spreadOfCafes(wide, 'dose');
    expect(spread.withinSdG).toBeGreaterThan(0.38);
    expect(spread.betweenSdG).toBeGreaterThan(0.25);
  });

  it('drops slips of the pen', () => {
    const honest = Array.from({ length: 30 }, (_, i) => 0.1 * Math.sin(i));
    expect(spreadOfCafes([[...honest, 18]], 'dose').withinSdG).toBeCloseTo(
      spreadOfCafes([honest], 'dose').withinSdG,
      6,
    );
  });
});

describe('the next move at the bar', () => {
  const target = { doseG: 18, yieldG: 36, timeS: 28 };
  const windowS = [26, 30] as const;
  const ask = (timeS: number, changes = {}, known = {}) =>
    answerAtTheBar(
      { doseG: 18, yieldG: 36, timeS, dial: 11, ...changes },
      { ...NOTHING_KNOWN, dial: 11, ...known },
      target,
      windowS,
    );

  it('puts weights before the grind, and venting before all', () => {
    expect(ask(27)).toMatchObject({ first: 'stay', missS: 0 });
    expect(ask(22, { doseG: 17.2 })).toMatchObject({ first: 'dose' });
    expect(ask(22, { yieldG: 40 })).toMatchObject({ first: 'yield' });
    expect(ask(38, { yieldG: 9 })).toMatchObject({ first: 'choked' });
    expect(ask(27, { taste: 'sour' })).toMatchObject({ first: 'taste' });
  });

  it('answers a fast shot with a lower dial where finer is lower', () => {
    const fast = ask(22);
    expect(fast).toMatchObject({ first: 'grind', missS: -4 });
    expect(fast.move.steps).toBeLessThan(0);
  });

  it('does not chase one odd shot of a café that is known to lie inside', () => {
    const known = { levelLn: 0, sd: 0.02 };
    expect(ask(20, {}, known)).toMatchObject({ first: 'odd', move: { steps: 0 } });
    expect(ask(25.8, {}, known)).toMatchObject({ first: 'stay' });
  });

  it('never answers fast by coarser, nor slow by finer', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 8, max: 60, noNaN: true }),
        fc.double({ min: -0.3, max: 0.3, noNaN: true }),
        fc.double({ min: 0.01, max: 0.3, noNaN: true }),
        (timeS, levelLn, sd) => {
          const { missS, move, first } = ask(timeS, {}, { levelLn, sd });
          if (first === 'choked' || missS === 0) return;
          expect(move.steps * Math.sign(missS)).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });
});

describe('what was off in a check', () => {
  const check = {
    doseG: 18,
    yieldG: 36,
    timeS: 28,
    target: { doseG: 18, yieldG: 36, timeS: [26, 30] as const },
  };

  it('is the worst thing, by a word', () => {
    expect(checkState(check)).toBe('inside');
    expect(checkState({ ...check, timeS: 25.9 })).toBe('fast');
    expect(checkState({ ...check, timeS: 31, yieldG: 12 })).toBe('choked');
    expect(checkState({ ...check, doseG: 18.4 })).toBe('dose');
    expect(checkState({ ...check, yieldG: 38 })).toBe('yield');
    expect(checkState({ ...check, taste: 'weak' })).toBe('taste');
    expect(worstState(['inside', 'taste', 'slow'])).toBe('slow');
    expect(worstState([])).toBe('inside');
  });
});

describe('small dense matrices', () => {
  it('agree with the definitions', () => {
    const A: Dense = { rows: 2, columns: 2, values: Float64Array.from([4, 1, 1, 3]) };
    expect([...times(A, inverseOf(A)).values].map((x) => Number(x.toFixed(12)))).toEqual([
      1, 0, 0, 1,
    ]);
    const B = zeros(2, 3);
    B.values.set([1, 2, 3, 4, 5, 6]);
    expect([...transposedTimes(A, B).values]).toEqual([8, 13, 18, 13, 17, 21]);
  });
});
