/**
 * What a blind flight says, by exact statistics: paired preference and triangle by the binomial, rankings by
 * Friedman's test. Source: published, textbook; α .05 is the usual convention. A flight that finds nothing is
 * never called "the same": a small one can only see large differences, and `powerOf` says how large beforehand.
 */
import jStat from 'jstat';
import { userFault } from '../errors';
import { fault, type Message } from '../message';
import { chanceFrom } from '../random';
import { CUP_SD } from '../taste/cupNoise';

export const ALPHA = 0.05;

/** Chance of a right answer by guessing. */
const BY_CHANCE = { paired: 1 / 2, triangle: 1 / 3 } as const;
export type CountTest = keyof typeof BY_CHANCE;

const said = (name: string, values: Message['values'] = {}): Message => ({
  id: `panel.${name}`,
  values,
});

export interface PanelResult {
  readonly pValue: number;
  /** Friedman's Q. */
  readonly statistic?: number;
  /** So many of n would have been enough. */
  readonly minimumCorrect?: number;
  readonly decision: 'difference' | 'noneFound';
  readonly message: Message;
}

/** P(X = k), X ~ Bin(n, p). */
function binomial(n: number, k: number, p: number): number {
  const lnWays = jStat.gammaln(n + 1) - jStat.gammaln(k + 1) - jStat.gammaln(n - k + 1);
  return Math.exp(lnWays + k * Math.log(p) + (n - k) * Math.log(1 - p));
}

function atLeast(n: number, k: number, p: number): number {
  let sum = 0;
  for (let i = n; i >= k; i--) sum += binomial(n, i, p);
  return Math.min(1, sum);
}

/** p of k of n: both ways for a preference, upwards for a triangle. */
function countP(test: CountTest, n: number, k: number): number {
  if (test === 'triangle') return atLeast(n, k, BY_CHANCE.triangle);
  return Math.min(1, 2 * atLeast(n, Math.max(k, n - k), BY_CHANCE.paired));
}

/** The least count that would be called a difference; null where no count of so few would be. */
export function minimumCorrect(test: CountTest, n: number): number | null {
  for (let k = Math.ceil(n * BY_CHANCE[test]); k <= n; k++)
    if (countP(test, n, k) <= ALPHA) return k;
  return null;
}

/**
 * Chance that n tasters find a difference which each of them answers right with probability `share`.
 * A preference is found either way.
 */
export function powerOf(test: CountTest, n: number, share: number): number {
  const least = minimumCorrect(test, n);
  if (least === null) return 0;
  const other = test === 'paired' ? atLeast(n, least, 1 - share) : 0;
  return atLeast(n, least, share) + other;
}

export function pairedPreference(
  n: number,
  preferA: number,
  names?: readonly string[],
): PanelResult {
  checkCount(n, preferA, 'preferA');
  const isA = preferA * 2 >= n;
  const more = Math.max(preferA, n - preferA);
  const name = names?.[isA ? 0 : 1] ?? said(isA ? 'first' : 'second');
  return counted('paired', n, preferA, said('prefer', { more, n, name }));
}

export function triangle(n: number, correct: number): PanelResult {
  checkCount(n, correct, 'correct');
  return counted('triangle', n, correct, said('odd', { correct, n }));
}

function counted(test: CountTest, n: number, k: number, found: Message): PanelResult {
  const pValue = countP(test, n, k);
  const least = minimumCorrect(test, n);
  const isFound = pValue <= ALPHA;
  const enough = least === null ? said('enough.none', { n }) : said('enough.least', { least, n });
  return {
    pValue,
    ...(least !== null && { minimumCorrect: least }),
    decision: isFound ? 'difference' : 'noneFound',
    message: isFound
      ? said('counted.found', { found, chance: chanceOf(pValue) })
      : said('counted.none', {
          found,
          enough,
          tasters: said('tasters', { n }),
          powerPct: 100 * powerOf(test, n, 0.75),
        }),
  };
}

const chanceOf = (p: number): Message =>
  p < 0.001 ? said('chance.tiny') : said('chance.in100', { pct: 100 * p });

function checkCount(n: number, k: number, key: string): void {
  if (k <= n) return;
  throw userFault('badInput', key, fault('panel.moreThanTasted', { k, n }));
}

/** Ways to reach each vector of rank sums are counted exactly up to so many. */
const MOST_SUMS = 60_000;

/**
 * Friedman's test of n tasters who each ranked k cups, 1 the best, without ties. Exact while the rank sums can be
 * counted, χ² with k − 1 degrees beyond.
 */
export function ranking(
  ranks: readonly (readonly number[])[],
  names: readonly string[] = [],
): PanelResult {
  const n = ranks.length;
  const k = ranks[0]?.length ?? 0;
  checkRanks(ranks, k);
  const sums = Array.from({ length: k }, (_, j) => ranks.reduce((sum, row) => sum + row[j]!, 0));
  const statistic = friedman(sums, n);
  const pValue = rankP(statistic, k, rankChances(n, k));
  const isFound = pValue <= ALPHA;
  const best = sums.indexOf(Math.min(...sums));
  const tasters = said('tasters', { n });
  const ranked = said('sums', { sums: sums.join(', '), tasters });
  return {
    pValue,
    statistic,
    decision: isFound ? 'difference' : 'noneFound',
    message: isFound
      ? said('ranked.found', {
          said: ranked,
          chance: chanceOf(pValue),
          name: names[best] ?? said('cup', { number: best + 1 }),
        })
      : said('ranked.none', { said: ranked, tasters }),
  };
}

function checkRanks(ranks: readonly (readonly number[])[], k: number): void {
  const odd = ranks.findIndex((row) => {
    const sorted = [...row].sort((a, b) => a - b);
    return row.length !== k || sorted.some((rank, j) => rank !== j + 1);
  });
  if (k >= 3 && odd < 0) return;
  const wrong = k < 3 ? fault('panel.tooFew') : fault('panel.notRanked', { taster: odd + 1, k });
  throw userFault('badInput', 'ranks', wrong);
}

/** Q = 12/(nk(k + 1))·ΣR² − 3n(k + 1). */
function friedman(sums: readonly number[], n: number): number {
  const k = sums.length;
  const squares = sums.reduce((sum, value) => sum + value ** 2, 0);
  return (12 / (n * k * (k + 1))) * squares - 3 * n * (k + 1);
}

interface RankChance {
  readonly statistic: number;
  readonly share: number;
}

/** P(Q ≥ q): exact where the chances could be counted, else by χ². */
function rankP(statistic: number, k: number, chances: readonly RankChance[] | null): number {
  if (!chances) return 1 - jStat.chisquare.cdf(statistic, k - 1);
  const p = chances.reduce(
    (sum, chance) => sum + (chance.statistic >= statistic - 1e-9 ? chance.share : 0),
    0,
  );
  return Math.min(1, p);
}

/** How often each Q comes when every taster ranks at random: all vectors of rank sums with their number of ways. */
function rankChances(n: number, k: number): readonly RankChance[] | null {
  const orders = ordersOf(k);
  if (orders === null) return null;
  let ways = new Map<string, { sums: readonly number[]; share: number }>([
    ['', { sums: Array<number>(k).fill(0), share: 1 }],
  ]);
  for (let taster = 0; taster < n; taster++) {
    const next: typeof ways = new Map();
    for (const { sums, share } of ways.values())
      for (const order of orders) {
        // Which cup has which sum does not matter to Q.
        const after = sums.map((sum, j) => sum + order[j]!).sort((a, b) => a - b);
        const key = after.join(' ');
        const known = next.get(key)?.share ?? 0;
        next.set(key, { sums: after, share: known + share / orders.length });
      }
    if (next.size * orders.length > MOST_SUMS) return null;
    ways = next;
  }
  return [...ways.values()].map(({ sums, share }) => ({ statistic: friedman(sums, n), share }));
}

/** Panels that are made up to see how often they find what is there. */
const MADE_UP = 400;

/** Chance that n tasters who rank k cups find one that is liked `points` more than all others; by made-up panels. */
export function rankingPower(n: number, k: number, points: number): number {
  const chances = rankChances(n, k);
  const chance = chanceFrom(n * 100 + k);
  let found = 0;
  for (let panel = 0; panel < MADE_UP; panel++) {
    const sums = Array<number>(k).fill(0);
    for (let taster = 0; taster < n; taster++) {
      const liked = sums.map((_, j) => (j === 0 ? points : 0) + CUP_SD * chance.normal());
      for (let j = 0; j < k; j++) sums[j]! += liked.filter((other) => other >= liked[j]!).length;
    }
    if (rankP(friedman(sums, n), k, chances) <= ALPHA) found++;
  }
  return found / MADE_UP;
}

/** What a flight of so many tasters can show, said before anybody tastes. */
export function powerMessage(test: CountTest | 'ranking', n: number, arms: number): Message {
  const tasters = said('tasters', { n });
  const seen = (power: number) => {
    if (power >= 0.8) return '';
    return said(power >= 0.4 ? 'seen.some' : 'seen.large');
  };
  const found = (power: number) => ({ tasters, powerPct: 100 * power, seen: seen(power) });
  if (test === 'ranking') return said('power.ranking', found(rankingPower(n, arms, 1)));
  const least = minimumCorrect(test, n);
  if (least === null) {
    let enough = n;
    while (minimumCorrect(test, enough) === null) enough++;
    return said('power.none', { tasters, enough });
  }
  return said('power.count', { ...found(powerOf(test, n, 0.75)), least, n });
}

/** All orders of 1…k; null where there are too many to count through. */
function ordersOf(k: number): number[][] | null {
  if (k > 6) return null;
  let orders: number[][] = [[]];
  for (let rank = 1; rank <= k; rank++)
    orders = orders.flatMap((order) =>
      Array.from({ length: rank }, (_, at) => [...order.slice(0, at), rank, ...order.slice(at)]),
    );
  return orders;
}

/** Noise of a taster before any duplicate was tasted, and how much it counts. House heuristic. */
export const REPEAT = { priorVariance: CUP_SD ** 2, priorCount: 3 } as const;

/**
 * A taster's repeatability as the sd of a cup, points, from differences d between two cups of one shot:
 * s² = (3·.64 + Σd²/4)/(3 + n/2) (house heuristic, model.md Panel).
 */
export function repeatabilitySd(differences: readonly number[]): number {
  const { priorVariance, priorCount } = REPEAT;
  const squares = differences.reduce((sum, d) => sum + d ** 2, 0);
  return Math.sqrt(
    (priorCount * priorVariance + squares / 4) / (priorCount + differences.length / 2),
  );
}
