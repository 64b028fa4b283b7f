/** `bench dialin`: shots and grams until two in a row land, for people, searches and the advisor. */
import type { Shot } from '@/core/schema/shot';
import type { Measure } from '../measure';
import { advisor, bisection, byHand, perfect, proportional, type Strategy } from './strategies';
import { simulatedBench, statisticalBench, TARGET, type Case, type TrueBench } from './truths';

export const MOST_SHOTS = 25;
const START_SD = 0.25;
const GOOD_START_SD = 0.1;

export interface Tried {
  /** Shots until the second of two landings in a row; one more than the most when never. */
  readonly shots: number;
  readonly grams: number;
  readonly resolved: boolean;
}

const lands = (shot: Shot) =>
  shot.timeS >= TARGET.timeS[0] &&
  shot.timeS <= TARGET.timeS[1] &&
  Math.abs(shot.yieldG - TARGET.yieldG) <= 1;

/** Dials in until confirmed or given up. */
export function dialIn(bench: TrueBench, strategy: Strategy): Tried {
  const shots: Shot[] = [];
  let grams = 0;
  while (shots.length < MOST_SHOTS) {
    const asked = strategy(bench, shots);
    const before = shots.at(-1);
    const shot: Shot = {
      ...bench.pull(asked),
      ...(asked.doseG !== TARGET.doseG && { aimDoseG: asked.doseG }),
    };
    shots.push(shot);
    grams += asked.doseG + asked.purgeG;
    const isSame = before?.dial === shot.dial && before.aimDoseG === shot.aimDoseG;
    if (before && isSame && lands(before) && lands(shot))
      return { shots: shots.length, grams, resolved: true };
  }
  return { shots: MOST_SHOTS + 1, grams, resolved: false };
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

export async function benchDialin(cases = 1000): Promise<Measure[]> {
  const measures: Measure[] = [];
  for (const { name: truth, make } of TRUTHS) {
    let hand: Record<string, number> = {};
    for (const way of WAYS) {
      const tried = tryWay(way, make, cases);
      const shots = tried.map((one) => one.shots);
      const grams = tried.map((one) => one.grams);
      const found: Record<string, number> = {
        'shots, median': quantile(shots, 0.5),
        'shots, 90th percentile': quantile(shots, 0.9),
        'grams, median': quantile(grams, 0.5),
        'grams, 90th percentile': quantile(grams, 0.9),
      };
      if (way.name === 'by hand') hand = found;
      const add = (metric: string, value: number, unit: string) =>
        measures.push({ part: 'dialin', case: `${truth}: ${way.name}`, metric, value, unit });
      for (const [metric, value] of Object.entries(found)) {
        add(metric, value, metric.startsWith('shots') ? 'shots' : 'g');
        if (way.name !== 'by hand')
          add(`${metric} against by hand`, (100 * value) / hand[metric]!, '%');
      }
      const lost = tried.filter(({ resolved }) => !resolved).length;
      add(`unresolved after ${MOST_SHOTS}`, (100 * lost) / cases, '%');
      await new Promise((resolve) => setImmediate(resolve));
    }
  }
  return measures;
}
