/**
 * A blind flight: which cups stand on the table under which codes, in which order each taster takes them, and what
 * the answers say. Orders are balanced over places (Williams' designs, published; the six sets of a triangle), so
 * that no cup is always first; a place's order never changes when more places are added. Which coffee has which code
 * rests on the seed alone.
 */
import jStat from 'jstat';
import { assert } from '../errors';
import { chanceFrom } from '../random';
import type { FlightTest } from './flightTests';
import { pairedPreference, ranking, REPEAT, triangle, type PanelResult } from './panel';
import { fault, type Message } from '../message';

/** A cup on the table. */
export interface BlindCup {
  /** Three digits: what tasters see. */
  readonly code: string;
  /** Which of the compared things is in it, from 0. */
  readonly arm: number;
}

interface Planned {
  readonly test: FlightTest;
  readonly seed: number;
}

/** Cups of each compared thing: a triangle needs two of both; a hidden duplicate is a second cup of the first. */
const copiesOf = (test: FlightTest, arm: number, hasDuplicate: boolean) =>
  test === 'triangle' || (hasDuplicate && test !== 'paired' && arm === 0) ? 2 : 1;

/** The cups of a flight with their codes, in the order they are poured. */
export function cupsOfFlight({
  test,
  seed,
  arms,
  hasDuplicate,
}: Planned & { readonly arms: number; readonly hasDuplicate: boolean }): BlindCup[] {
  const chance = chanceFrom(seed);
  const codes = chance.shuffled(Array.from({ length: 900 }, (_, i) => String(100 + i)));
  const poured = Array.from({ length: arms }, (_, arm) =>
    Array.from({ length: copiesOf(test, arm, hasDuplicate) }, () => arm),
  ).flat();
  return poured.map((arm, i) => ({ code: codes[i]!, arm }));
}

/** The cups of a triangle by thing: each set has an odd one. */
const TRIANGLES = ['001', '010', '100', '110', '101', '011'];

/** The cups a place tastes, in its order. */
export function orderOfPlace(
  place: number,
  cups: readonly BlindCup[],
  { test, seed }: Planned,
): BlindCup[] {
  const rows = test === 'triangle' ? triangleRows(cups) : williamsRows(cups.length);
  const block = Math.floor(place / rows.length);
  // Each block of places has every order once, by chance which first.
  const row = chanceFrom(seed + 1 + block).shuffled(rows)[place % rows.length]!;
  const labels = chanceFrom(seed ^ 0x5eed).shuffled(cups);
  return row.map((at) => (test === 'triangle' ? cups[at]! : labels[at]!));
}

function triangleRows(cups: readonly BlindCup[]): number[][] {
  return TRIANGLES.map((set) => {
    const left = cups.map((_, i) => i);
    return [...set].map((arm) => {
      const at = left.findIndex((i) => cups[i]!.arm === Number(arm));
      return left.splice(at, 1)[0]!;
    });
  });
}

/** Williams' design of k cups: each cup stands at each place, and follows each other one, equally often. */
function williamsRows(k: number): number[][] {
  const first = Array.from({ length: k }, (_, i) => (i % 2 === 1 ? (i + 1) / 2 : (k - i / 2) % k));
  const rows = Array.from({ length: k }, (_, shift) => first.map((at) => (at + shift) % k));
  return k % 2 === 0 ? rows : [...rows, ...rows.map((row) => [...row].reverse())];
}

/** What a taster answered: the preferred or the odd code alone, or all codes, the best first. */
export interface BlindAnswer {
  readonly place: number;
  readonly codes: readonly string[];
}

/** What is wrong with an answer of a place; null when it can be taken. */
export function answerFault(
  { place, codes }: BlindAnswer,
  cups: readonly BlindCup[],
  planned: Planned,
): Message | null {
  const own = orderOfPlace(place, cups, planned).map(({ code }) => code);
  const stranger = codes.find((code) => !own.includes(code));
  if (stranger !== undefined)
    return fault('flight.otherCup', { code: stranger, own: own.join(', ') });
  if (planned.test === 'scored') return fault('flight.scored');
  if (planned.test !== 'ranking') return codes.length === 1 ? null : fault('flight.chooseOne');
  return codes.length === own.length && new Set(codes).size === own.length
    ? null
    : fault('flight.order', { count: own.length });
}

export interface FlightOutcome {
  readonly result: PanelResult;
  /** By compared thing: how many prefer it, or the sum of its ranks; of a triangle, right answers and wrong ones. */
  readonly counts: readonly number[];
  readonly answers: number;
}

/** What the answers say of the compared things under these names; null before the first answer. */
export function flightOutcome(
  answers: readonly BlindAnswer[],
  {
    cups,
    names,
    ...planned
  }: Planned & { readonly cups: readonly BlindCup[]; readonly names: readonly string[] },
): FlightOutcome | null {
  if (answers.length === 0 || planned.test === 'scored') return null;
  const n = answers.length;
  const armOf = (code: string) => {
    const cup = cups.find((one) => one.code === code);
    assert(cup !== undefined, 'an answer names a cup of its flight');
    return cup.arm;
  };
  if (planned.test === 'ranking') {
    const ranks = answers.map(({ codes }) => ranksByArm(codes.map(armOf), names.length));
    const counts = names.map((_, arm) => ranks.reduce((sum, row) => sum + row[arm]!, 0));
    return { result: ranking(ranks, names), counts, answers: n };
  }
  if (planned.test === 'paired') {
    const counts = names.map((_, arm) => answers.filter((a) => armOf(a.codes[0]!) === arm).length);
    return { result: pairedPreference(n, counts[0]!, names), counts, answers: n };
  }
  const right = answers.filter(({ place, codes }) => {
    const arms = orderOfPlace(place, cups, planned).map(({ arm }) => arm);
    return arms.filter((arm) => arm === armOf(codes[0]!)).length === 1;
  }).length;
  return { result: triangle(n, right), counts: [right, n - right], answers: n };
}

/** Rank of each compared thing, 1 the best: a hidden duplicate counts by the better of its two cups. */
function ranksByArm(bestFirst: readonly number[], arms: number): number[] {
  const order = [...new Set(bestFirst)];
  return Array.from({ length: arms }, (_, arm) => order.indexOf(arm) + 1);
}

/** A liking that was given blind, 0-10. */
export interface BlindLiking {
  readonly taster: string;
  readonly code: string;
  readonly moment: string;
  readonly liking: number;
}

export interface ArmLiking {
  /** Mean over tasters of the mean of their marks; null where nobody scored it. */
  readonly mean: number | null;
  readonly tasters: number;
  /**
   * Against the first thing, by those who scored both: mean and half of the 80 % interval. A small panel that happens
   * to agree is not believed to be that sure: the usual noise of a cup counts as three tasters (house heuristic).
   */
  readonly difference: Difference | null;
}

/** Mean and half of the 80 % interval. */
export interface Difference {
  readonly mean: number;
  readonly half80: number;
}

/** Liking of each compared thing, points, and how far it differs from the first. */
export function likingOfArms(
  likings: readonly BlindLiking[],
  { cups, arms }: { readonly cups: readonly BlindCup[]; readonly arms: number },
): ArmLiking[] {
  const byTaster = new Map<string, number[][]>();
  for (const { taster, code, liking } of likings) {
    const arm = cups.find((cup) => cup.code === code)?.arm;
    if (arm === undefined) continue;
    const own = byTaster.get(taster) ?? Array.from({ length: arms }, () => []);
    own[arm]!.push(liking);
    byTaster.set(taster, own);
  }
  const means = [...byTaster.values()].map((own) => own.map(meanOf));
  return Array.from({ length: arms }, (_, arm) => {
    const given = means.flatMap((own) => own[arm] ?? []);
    const apart = means.flatMap((own) =>
      own[arm] == null || own[0] == null ? [] : [own[arm] - own[0]],
    );
    return {
      mean: meanOf(given),
      tasters: given.length,
      difference: arm === 0 ? null : differenceOf(apart),
    };
  });
}

const meanOf = (values: readonly number[]): number | null =>
  values.length === 0 ? null : values.reduce((sum, value) => sum + value, 0) / values.length;

/** Mean of differences given by different tasters; null without any. */
export function differenceOf(values: readonly number[]): Difference | null {
  const mean = meanOf(values);
  if (mean === null) return null;
  const n = values.length;
  const squares = values.reduce((sum, value) => sum + (value - mean) ** 2, 0);
  const { priorVariance, priorCount } = REPEAT;
  // Two cups of one taster differ by the noise of both.
  const degrees = priorCount + n - 1;
  const variance = (priorCount * 2 * priorVariance + squares) / degrees;
  return { mean, half80: jStat.studentt.inv(0.9, degrees) * Math.sqrt(variance / n) };
}

/** By taster, what they gave one of two cups of the same thing less what they gave the other, at the same moment. */
export function duplicateDifferences(
  likings: readonly BlindLiking[],
  cups: readonly BlindCup[],
): ReadonlyMap<string, readonly number[]> {
  const found = new Map<string, number[]>();
  const pairs = cups.flatMap((a, i) =>
    cups.slice(i + 1).flatMap((b) => (a.arm === b.arm ? [[a.code, b.code] as const] : [])),
  );
  for (const one of likings)
    for (const [a, b] of pairs) {
      if (one.code !== a) continue;
      const other = likings.find(
        ({ taster, code, moment }) => taster === one.taster && code === b && moment === one.moment,
      );
      if (!other) continue;
      found.set(one.taster, [...(found.get(one.taster) ?? []), one.liking - other.liking]);
    }
  return found;
}
