/**
 * A small experiment of two things in two or three settings each, pulled and tasted as one flight: what each setting
 * does to time and liking against the first one, with its noise. Times in s from the clock they were taken on.
 * Source: means of a crossed plan (published); the noise of a time and of a cup is a house heuristic (model.md §3, Trials).
 */
import { Z_80 } from '../grinder/dial';
import { NOISE_SD } from '../grinder/timeRows';
import type { Arm } from './arm';
import { differenceOf, type BlindCup, type BlindLiking, type Difference } from './flight';

/** One of the two things, with its settings. */
export interface Factor {
  readonly of: string;
  readonly levels: readonly {
    readonly is: string;
    /** Against the first setting; null for that itself, and where nothing was scored or timed. */
    readonly liking: Difference | null;
    readonly timeS: Difference | null;
  }[];
}

/** The two things of a flight whose cups are settings of both; null for any other flight. */
export function factorsOf(
  arms: readonly Arm[],
  {
    cups,
    likings,
    times,
  }: {
    readonly cups: readonly BlindCup[];
    readonly likings: readonly BlindLiking[];
    /** By thing compared; null where its shot has none. */
    readonly times: readonly (number | null)[];
  },
): readonly [Factor, Factor] | null {
  if (!arms.every(({ levels }) => levels !== undefined)) return null;
  const factor = (at: 0 | 1): Factor => {
    const settings = [...new Set(arms.map(({ levels }) => levels![at]!.is))];
    const armsAt = (is: string) =>
      arms.flatMap(({ levels }, i) => (levels![at]!.is === is ? [i] : []));
    const first = armsAt(settings[0]!);
    return {
      of: arms[0]!.levels![at]!.of,
      levels: settings.map((is, i) => ({
        is,
        liking: i === 0 ? null : likingBetween(first, armsAt(is), { cups, likings }),
        timeS: i === 0 ? null : timeBetween(first, armsAt(is), times),
      })),
    };
  };
  return [factor(0), factor(1)];
}

/** Within each taster, the mean of what they gave one setting less that of the other. */
function likingBetween(
  before: readonly number[],
  after: readonly number[],
  { cups, likings }: { cups: readonly BlindCup[]; likings: readonly BlindLiking[] },
): Difference | null {
  const tasters = [...new Set(likings.map(({ taster }) => taster))];
  const codesOf = (arms: readonly number[]) =>
    cups.flatMap(({ arm, code }) => (arms.includes(arm) ? [code] : []));
  const [codesBefore, codesAfter] = [codesOf(before), codesOf(after)];
  const meanOf = (taster: string, codes: readonly string[]) => {
    const given = likings.filter((one) => one.taster === taster && codes.includes(one.code));
    return given.length === 0
      ? null
      : given.reduce((sum, { liking }) => sum + liking, 0) / given.length;
  };
  return differenceOf(
    tasters.flatMap((taster) => {
      const [a, b] = [meanOf(taster, codesBefore), meanOf(taster, codesAfter)];
      return a === null || b === null ? [] : [b - a];
    }),
  );
}

function timeBetween(
  before: readonly number[],
  after: readonly number[],
  times: readonly (number | null)[],
): Difference | null {
  const known = (arms: readonly number[]) => arms.flatMap((arm) => times[arm] ?? []);
  const [a, b] = [known(before), known(after)];
  if (a.length === 0 || b.length === 0) return null;
  const meanOf = (values: readonly number[]) =>
    values.reduce((sum, value) => sum + value, 0) / values.length;
  const variance = [a, b].reduce(
    (sum, values) => sum + (NOISE_SD * meanOf(values)) ** 2 / values.length,
    0,
  );
  return { mean: meanOf(b) - meanOf(a), half80: Z_80 * Math.sqrt(variance) };
}
