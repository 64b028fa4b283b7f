/**
 * `bench dialin`: shots and grams until a setting is taken to be on target, by people, searches and the advisor,
 * and how often it is not what it was taken for.
 */
import type { Shot } from '@/core/schema/shot';
import type { Measure } from '../measure';
import {
  advisor,
  bisection,
  byHand,
  perfect,
  proportional,
  type Ended,
  type Strategy,
} from './strategies';
import { simulatedBench, statisticalBench, TARGET, type Case, type TrueBench } from './truths';

export const MOST_SHOTS = 25;
const START_SD = 0.25;
const GOOD_START_SD = 0.1;

export interface Tried {
  /** Shots until the strategy ended; one more than the most when it never did. */
  readonly shots: number;
  readonly grams: number;
  readonly end: Ended | 'never';
  /** Taken to be on target, though the setting's own mean lies outside the window. */
  readonly isFalse: boolean;
  /** How sure it said it was, 0-1. */
  readonly said?: number | undefined;
  /** Whether each shot fell inside what was expected of it, eight in ten. */
  readonly expected: readonly boolean[];
}

/** Dials in until the strategy takes a setting to be on target, or the nearest, or is given up. */
export function dialIn(
  bench: TrueBench,
  strategy: Strategy,
  /** Filled with what was pulled. */
  shots: Shot[] = [],
): Tried {
  let grams = 0;
  const expected: boolean[] = [];
  for (;;) {
    const asked = strategy(bench, shots);
    if ('end' in asked) {
      const last = shots.at(-1)!;
      const meanS = bench.meanS({ dial: last.dial, doseG: last.aimDoseG ?? TARGET.doseG });
      const isInside = meanS >= TARGET.timeS[0] && meanS <= TARGET.timeS[1];
      return {
        shots: shots.length,
        grams,
        ...asked,
        isFalse: asked.end === 'onTarget' && !isInside,
        expected,
      };
    }
    if (shots.length === MOST_SHOTS)
      return { shots: MOST_SHOTS + 1, grams, end: 'never', isFalse: false, expected };
    const shot = bench.pull(asked);
    if (asked.interval80) {
      const [low, high] = asked.interval80;
      expected.push(shot.timeS >= low && shot.timeS <= high);
    }
    shots.push({
      ...shot,
      ...(asked.doseG !== TARGET.doseG && { aimDoseG: asked.doseG }),
    });
    grams += asked.doseG + asked.purgeG;
  }
}

interface Way {
  readonly name: string;
  readonly strategy: Strategy;
  readonly startSd?: number;
}

export const WAYS: readonly Way[] = [
  { name: 'by hand', strategy: byHand },
  { name: 'bisection', strategy: bisection },
  { name: 'proportional', strategy: proportional },
  { name: 'advisor, plain', strategy: advisor({ retention: false, trim: false }) },
  { name: 'advisor, retention', strategy: advisor({ retention: true, trim: false }) },
  { name: 'advisor, trim', strategy: advisor({ retention: false, trim: true }) },
  { name: 'advisor', strategy: advisor({ retention: true, trim: true }) },
  {
    name: 'advisor, known grinder and good start',
    strategy: advisor({ retention: true, trim: true, known: true }),
    startSd: GOOD_START_SD,
  },
  { name: 'perfect knowledge', strategy: perfect },
];

const TRUTHS: readonly { name: string; make: (drawn: Case) => TrueBench }[] = [
  { name: 'statistical', make: statisticalBench },
  { name: 'simulator', make: simulatedBench },
];

/** The same coffees and grinders for every way. */
export function tryWay(
  { strategy, startSd = START_SD }: Way,
  make: (drawn: Case) => TrueBench,
  cases: number,
): Tried[] {
  return Array.from({ length: cases }, (_, i) =>
    dialIn(make({ seed: 1000 + i, startSd }), strategy),
  );
}

function quantile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;
}

/** Shots and grams at the median and in the worst tenth. */
function spentOf(tried: readonly Tried[]): Readonly<Record<string, number>> {
  const shots = tried.map((one) => one.shots);
  const grams = tried.map((one) => one.grams);
  return {
    'shots, median': quantile(shots, 0.5),
    'shots, 90th percentile': quantile(shots, 0.9),
    'grams, median': quantile(grams, 0.5),
    'grams, 90th percentile': quantile(grams, 0.9),
  };
}

/** What a way of dialling in spent, against another way where one is given, and how it ended. */
export function measuresOf(
  name: string,
  tried: readonly Tried[],
  against?: readonly Tried[],
): Measure[] {
  const measures: Measure[] = [];
  const add = (metric: string, value: number, unit: string) =>
    measures.push({ part: 'dialin', case: name, metric, value, unit });
  const other = against && spentOf(against);
  for (const [metric, value] of Object.entries(spentOf(tried))) {
    add(metric, value, metric.startsWith('shots') ? 'shots' : 'g');
    if (other) add(`${metric} against by hand`, (100 * value) / other[metric]!, '%');
  }
  const share = (is: (one: Tried) => boolean, among = tried) =>
    (100 * among.filter(is).length) / Math.max(1, among.length);
  const onTarget = tried.filter(({ end }) => end === 'onTarget');
  const isNever = ({ end }: Tried) => end === 'never';
  add(`never within ${MOST_SHOTS}`, share(isNever), '%');
  const isNearest = ({ end }: Tried) => end === 'nearest';
  add('nearest', share(isNearest), '%');
  const isFalse = (one: Tried) => one.isFalse;
  add('false among those on target', share(isFalse, onTarget), '%');
  const said = onTarget.flatMap((one) => one.said ?? []);
  if (said.length > 0) {
    const mean = said.reduce((sum, one) => sum + one, 0) / said.length;
    add('said to hold the window', 100 * mean, '%');
    add('held the window', 100 - share(isFalse, onTarget), '%');
  }
  const expected = tried.flatMap((one) => one.expected);
  if (expected.length > 0)
    add(
      'shots inside their 80 % band',
      (100 * expected.filter(Boolean).length) / expected.length,
      '%',
    );
  return measures;
}

export async function benchDialin(cases = 1000): Promise<Measure[]> {
  const measures: Measure[] = [];
  for (const { name: truth, make } of TRUTHS) {
    let hand: readonly Tried[] | undefined;
    for (const way of WAYS) {
      const tried = tryWay(way, make, cases);
      measures.push(...measuresOf(`${truth}: ${way.name}`, tried, hand));
      hand ??= tried;
      await new Promise((resolve) => setImmediate(resolve));
    }
  }
  return measures;
}
