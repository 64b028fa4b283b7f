import { say } from '@/words/say';
import { inWords } from '@/words/faults';
import fc from 'fast-check';
import {
  answerFault,
  cupsOfFlight,
  duplicateDifferences,
  flightOutcome,
  likingOfArms,
  orderOfPlace,
  type BlindAnswer,
} from './flight';
import { ARMS, FLIGHT_TESTS, type FlightTest } from './flightTests';
import { pairedPreference, powerMessage, ranking, rankingPower, triangle } from './panel';

const seed = fc.integer({ min: 0, max: 2 ** 31 - 1 });
const planned = fc.record({
  test: fc.constantFrom(...FLIGHT_TESTS.filter((test) => test !== 'scored')),
  seed,
  hasDuplicate: fc.boolean(),
});
const armsOf = (test: FlightTest) => ARMS[test].least;
const NAMES = ['A', 'B', 'C'];

const flightOf = (given: { test: FlightTest; seed: number; hasDuplicate: boolean }) => {
  const arms = armsOf(given.test);
  return { ...given, names: NAMES.slice(0, arms), cups: cupsOfFlight({ ...given, arms }) };
};

it('every cup has a code of its own, of three digits', () => {
  fc.assert(
    fc.property(planned, (given) => {
      const codes = flightOf(given).cups.map(({ code }) => code);
      expect(new Set(codes).size).toBe(codes.length);
      for (const code of codes) expect(code).toMatch(/^[1-9]\d\d$/);
    }),
  );
});

it('orders are balanced: over a block of places each cup stands first equally often', () => {
  const firstsOf = (test: FlightTest, arms: number, places: number) => {
    const given = { test, seed: 7, hasDuplicate: false };
    const cups = cupsOfFlight({ ...given, arms });
    const firsts = new Map<string, number>();
    for (let place = 0; place < places; place++) {
      const { code } = orderOfPlace(place, cups, given)[0]!;
      firsts.set(code, (firsts.get(code) ?? 0) + 1);
    }
    return [...firsts.values()];
  };
  expect(firstsOf('paired', 2, 4)).toEqual([2, 2]);
  expect(firstsOf('ranking', 4, 8)).toEqual([2, 2, 2, 2]);
  expect(firstsOf('ranking', 3, 6)).toEqual([2, 2, 2]);
});

it('each taster of a triangle has one odd cup, and every set comes once in six', () => {
  const given = { test: 'triangle', seed: 3, hasDuplicate: false } as const;
  const cups = cupsOfFlight({ ...given, arms: 2 });
  const sets = Array.from({ length: 6 }, (_, place) =>
    orderOfPlace(place, cups, given)
      .map(({ arm }) => arm)
      .join(''),
  );
  expect(new Set(sets).size).toBe(6);
  for (const set of sets) expect(['001', '010', '100', '110', '101', '011']).toContain(set);
});

it('a place keeps its order when more places are added, whatever came of the others', () => {
  fc.assert(
    fc.property(planned, fc.integer({ min: 0, max: 29 }), (given, place) => {
      const { cups } = flightOf(given);
      const again = flightOf(given).cups;
      expect(orderOfPlace(place, cups, given)).toEqual(orderOfPlace(place, again, given));
    }),
  );
});

/** Answers at random, as people who cannot tell the cups apart give them. */
const answersOf = (
  given: { test: FlightTest; seed: number; hasDuplicate: boolean },
  order: readonly number[],
): BlindAnswer[] => {
  const { cups } = flightOf(given);
  return order.map((turn, place) => {
    const own = orderOfPlace(place, cups, given).map(({ code }) => code);
    const turned = own.map((_, i) => own[(i + turn) % own.length]!);
    return { place, codes: given.test === 'ranking' ? turned : [turned[0]!] };
  });
};

type Flight = ReturnType<typeof flightOf>;

/** Holds for any flight and whatever its tasters answer. */
const holdsForAll = (check: (flight: Flight, answers: readonly BlindAnswer[]) => void) =>
  fc.assert(
    fc.property(
      planned,
      fc.array(fc.nat({ max: 5 }), { minLength: 1, maxLength: 6 }),
      (given, turns) => check(flightOf(given), answersOf(given, turns)),
    ),
    { numRuns: 60 },
  );

it('relabelling tasters changes nothing', () => {
  holdsForAll((flight, answers) => {
    const shuffled = [...answers].reverse();
    expect(flightOutcome(shuffled, flight)).toEqual(flightOutcome(answers, flight));
    for (const answer of answers) expect(answerFault(answer, flight.cups, flight)).toBeNull();
  });
});

it('relabelling codes changes nothing', () => {
  holdsForAll((flight, answers) => {
    const other = (code: string) => `x${code}`;
    const renamed = flight.cups.map((cup) => ({ ...cup, code: other(cup.code) }));
    const same = answers.map(({ place, codes }) => ({ place, codes: codes.map(other) }));
    expect(flightOutcome(same, { ...flight, cups: renamed })).toEqual(
      flightOutcome(answers, flight),
    );
  });
});

describe('exact tests against counting every way', () => {
  it('paired and triangle', () => {
    for (let n = 1; n <= 9; n++)
      for (let k = 0; k <= n; k++) {
        let [paired, odd] = [0, 0];
        for (let way = 0; way < 2 ** n; way++) {
          const heads = [...way.toString(2)].filter((bit) => bit === '1').length;
          if (Math.abs(heads - n / 2) >= Math.abs(k - n / 2) - 1e-9) paired++;
        }
        for (let way = 0; way < 3 ** n; way++) {
          const right = [...way.toString(3)].filter((digit) => digit === '2').length;
          if (right >= k) odd++;
        }
        expect(pairedPreference(n, k).pValue).toBeCloseTo(paired / 2 ** n, 10);
        expect(triangle(n, k).pValue).toBeCloseTo(odd / 3 ** n, 10);
      }
  });

  it('ranking of three by three', () => {
    const orders = [
      [1, 2, 3],
      [1, 3, 2],
      [2, 1, 3],
      [2, 3, 1],
      [3, 1, 2],
      [3, 2, 1],
    ];
    const qOf = (rows: number[][]) => ranking(rows).statistic!;
    const all = orders.flatMap((a) => orders.flatMap((b) => orders.map((c) => qOf([a, b, c]))));
    for (const rows of [
      [0, 0, 0],
      [0, 0, 1],
      [0, 1, 2],
      [0, 3, 4],
    ].map((at) => at.map((i) => orders[i]!))) {
      const q = qOf(rows);
      const p = all.filter((other) => other >= q - 1e-9).length / all.length;
      expect(ranking(rows).pValue).toBeCloseTo(p, 10);
    }
  });
});

it('says what a flight can show before it is tasted', () => {
  expect(say(powerMessage('paired', 3, 2))).toBe(
    '3 tasters cannot show a difference, whatever they answer: it takes 6 or more.',
  );
  expect(say(powerMessage('paired', 6, 2))).toMatch(/it takes 6 of 6.*18 times in 100.*Only large/);
  expect(say(powerMessage('paired', 30, 2))).toMatch(/80 times in 100\.$/);
  expect(rankingPower(4, 3, 0)).toBeLessThanOrEqual(0.08);
  expect(rankingPower(12, 3, 1)).toBeGreaterThan(rankingPower(4, 3, 1));
});

it('answers that cannot be are refused with words', () => {
  const given = { test: 'ranking', seed: 1, hasDuplicate: false } as const;
  const cups = cupsOfFlight({ ...given, arms: 3 });
  const [a, b, c] = cups.map(({ code }) => code) as [string, string, string];
  const wordsOf = (found: ReturnType<typeof answerFault>) => found && inWords(found);
  const fault = (codes: string[], test: FlightTest = 'ranking') =>
    wordsOf(answerFault({ place: 0, codes }, cups, { ...given, test }));
  expect(fault([a, b, c])).toBeNull();
  expect(fault([a, b])).toMatch(/all 3 cups in order/);
  expect(fault([a, a, b])).toMatch(/all 3 cups/);
  expect(fault([a, b, '000'])).toMatch(/Cup 000 is not one of yours/);
  expect(fault([a, b], 'paired')).toBe('Choose one cup.');
  expect(fault([a], 'scored')).toMatch(/scored, each alone/);
});

it('likings are compared within each taster, with Student’s interval', () => {
  const cups = [
    { code: '111', arm: 0 },
    { code: '222', arm: 1 },
  ];
  const liking = (taster: string, code: string, value: number) => ({
    taster,
    code,
    moment: 'warm',
    liking: value,
  });
  const given = [
    liking('a', '111', 5),
    liking('a', '222', 7),
    liking('b', '111', 8),
    liking('b', '222', 9),
    liking('c', '222', 2),
  ];
  const [first, second] = likingOfArms(given, { cups, arms: 2 });
  expect(first).toEqual({ mean: 6.5, tasters: 2, difference: null });
  expect(second!.mean).toBe(6);
  expect(second!.difference!.mean).toBe(1.5);
  // s² = (3 · 1.28 + .5) / 4 = 1.085; t(.9, 4) = 1.5332.
  expect(second!.difference!.half80).toBeCloseTo(1.5332 * Math.sqrt(1.085 / 2), 3);
  const turned = likingOfArms([...given].reverse(), { cups, arms: 2 });
  expect(turned).toEqual([first, second]);
});

it('a hidden duplicate counts by the better of its cups, and tells how far a taster repeats themselves', () => {
  const given = { test: 'ranking', seed: 11, hasDuplicate: true } as const;
  const cups = cupsOfFlight({ ...given, arms: 3 });
  expect(cups.map(({ arm }) => arm)).toEqual([0, 0, 1, 2]);
  const [one, again, b, c] = cups.map(({ code }) => code) as [string, string, string, string];
  const outcome = flightOutcome([{ place: 0, codes: [b, one, c, again] }], {
    ...given,
    cups,
    names: NAMES,
  });
  expect(outcome!.counts).toEqual([2, 1, 3]);
  const marks = [
    { taster: 'a', code: one, moment: 'warm', liking: 7 },
    { taster: 'a', code: again, moment: 'warm', liking: 5 },
    { taster: 'a', code: again, moment: 'cool', liking: 1 },
  ];
  expect(duplicateDifferences(marks, cups)).toEqual(new Map([['a', [2]]]));
});
