/** A row of judgement: shots in; status, direction and the named reason out. */
import { say } from '@/words/say';
import { nextMove } from '@/core/advice/next';
import type { AdviceStatus, NextInput } from '@/core/advice/types';
import type { Shot } from '@/core/schema/shot';
import { targetSchema, type Target } from '@/core/schema/target';

type Way =
  'finer' | 'coarser' | 'more dose' | 'less dose' | 'longer' | 'shorter' | 'hotter' | 'stay';

export interface Row {
  readonly shots: readonly Partial<Shot>[];
  readonly target?: Partial<Target>;
  readonly also?: Partial<NextInput>;
  readonly status: AdviceStatus;
  readonly way?: Way;
  /** Codes among the reasons. */
  readonly why?: readonly string[];
  /** Of what is said, in words. */
  readonly says?: RegExp;
  /** Among the alternatives. */
  readonly or?: RegExp;
  readonly notOr?: RegExp;
  /** The window that follows the cup. */
  readonly window?: readonly [number, number] | undefined;
  /** The yield that follows the cup. */
  readonly keptYieldG?: number | null;
  readonly offersTrim?: boolean;
}

export const GRINDER = { stepSize: 1, finerIs: 'lower', min: 0, max: 40, retentionG: 2 } as const;
export const liked = { sharpness: 2, bitterness: 2, dryness: 1, sweetness: 7, liking: 8 };
export const sour = { sharpness: 8, bitterness: 1, sweetness: 3, body: 3, liking: 3 };
export const bitter = { sharpness: 1, bitterness: 8, dryness: 5, sweetness: 4, liking: 3 };
export const drip = { clock: 'firstDrip' } as const;
export const DRIP_WINDOW = { clock: 'firstDrip', timeS: [20, 24] as [number, number] } as const;
export const twenty = { doseG: 20, yieldG: 40 };

export function ask({ shots, target = {}, also = {} }: Omit<Row, 'status'>) {
  const full = targetSchema.parse({
    doseG: 18,
    yieldG: 36,
    timeS: [26, 30],
    clock: 'pump',
    temperatureC: 93,
    startDial: 10,
    ...target,
  });
  return nextMove({
    target: full,
    grinder: GRINDER,
    basket: { ratedG: full.doseG },
    shots: shots.map((changes) => ({
      dial: 10,
      doseG: full.doseG,
      yieldG: full.yieldG,
      timeS: 28,
      clock: 'pump',
      purged: changes.purgeG === undefined,
      seen: [],
      ...changes,
    })),
    ...also,
  });
}

function wayOf({ move }: ReturnType<typeof ask>): Way {
  if (move === null) return 'stay';
  const isMore = move.to > move.from;
  if (move.variable === 'dial') return move.message.values?.side as 'finer' | 'coarser';
  if (move.variable === 'doseG') return isMore ? 'more dose' : 'less dose';
  if (move.variable === 'yieldG') return isMore ? 'longer' : 'shorter';
  return isMore ? 'hotter' : 'stay';
}

/** Asks for a row's advice and checks all that the row says of it. */
export function check(row: Row): void {
  const advice = ask(row);
  expect(advice.status).toBe(row.status);
  if (row.way) expect(wayOf(advice)).toBe(row.way);
  const codes = advice.reasons.map(({ code }) => code);
  for (const code of row.why ?? []) expect(codes).toContain(code);
  const words = [
    ...(advice.move ? [say(advice.move.message)] : []),
    ...advice.reasons.map(({ message }) => say(message)),
  ].join(' ');
  if (row.says) expect(words).toMatch(row.says);
  const others = advice.alternatives.map(({ message }) => say(message));
  if (row.or) expect(others).toContainEqual(expect.stringMatching(row.or));
  for (const other of others) if (row.notOr) expect(other).not.toMatch(row.notOr);
  if ('window' in row) expect(advice.window).toEqual(row.window ?? null);
  if ('keptYieldG' in row) expect(advice.keptYieldG).toBe(row.keptYieldG);
  if (row.offersTrim) expect(advice.offersTrim).toBe(true);
}
