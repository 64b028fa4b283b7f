/** Three cafés of one town with two coffees in a field in memory; nothing but noise unless something is planted. */
import { chanceFrom } from '@/core/random';
import type { CafeCheck } from '@/core/cafes/check';
import type { CafeFacts } from '@/core/cafes/signals';

export const TARGET = { doseG: 18, yieldG: 36, timeS: 28 };
export const COFFEES = ['blend', 'single'];

export interface Planted {
  readonly cafe?: number;
  readonly fromDay?: number;
  readonly ln?: number;
  readonly badBatchFromDay?: number;
  /** All coffees of all cafés run fast. */
  readonly dampDay?: number;
}

/** Three rounds a day at each of them. */
export function checks(days: number, planted: Planted = {}): Map<string, CafeCheck[]> {
  const chance = chanceFrom(11);
  return new Map(
    [0, 1, 2].map((cafe) => [
      String(cafe),
      Array.from({ length: days * 3 }, (_, round) => {
        const atDay = Math.floor(round / 3) + 0.3 + 0.15 * (round % 3);
        const visitLn = 0.02 * chance.normal();
        return COFFEES.map((coffee): CafeCheck => {
          const isStep = cafe === planted.cafe && atDay >= (planted.fromDay ?? Infinity);
          const isBad = coffee === 'blend' && atDay >= (planted.badBatchFromDay ?? Infinity);
          const ln =
            visitLn +
            0.05 * chance.normal() +
            (isStep ? (planted.ln ?? 0) : 0) +
            (isBad ? -0.1 : 0) +
            (Math.floor(atDay) === planted.dampDay ? -0.08 : 0);
          return {
            id: `${cafe} ${round} ${coffee}`,
            visit: `${cafe} ${round}`,
            atDay,
            coffee,
            batch: isBad ? 'second' : 'first',
            doseG: 18,
            yieldG: 36,
            timeS: 28 * Math.exp(ln),
            dial: 11,
            shots: 1,
            ageDays: 10,
            target: TARGET,
          };
        });
      }).flat(),
    ]),
  );
}

export const CAFES = ['0', '1', '2'].map((id) => ({ id, region: 'town', checksADay: 3 }));

export const factsOf = (all: Map<string, CafeCheck[]>, nowDay: number): CafeFacts[] =>
  CAFES.map(({ id, region }) => ({
    ...{ id, region, nowDay, firstDay: 0 },
    plan: { times: [0.3, 0.45, 0.6], closed: [] },
    checks: all.get(id)!.filter(({ atDay }) => atDay >= nowDay - 28 && atDay <= nowDay),
  }));

export const COFFEE_FACTS = [
  { coffee: 'blend', batches: ['first', 'second'] },
  { coffee: 'single', batches: ['first'] },
];
