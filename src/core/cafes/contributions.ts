/**
 * What moved a coffee at a café: the newest row less the mean of the rows before a change, or of those of 6 to 21 days
 * ago where none is named, by kinds of column. Before an alarm is open these shares would claim too much (simulated: they say .85-.92
 * where .31-.63 is right), so the words then give probabilities instead.
 */
import { CAFE_RULES } from './cafeRules';
import { ageOffset } from './check';
import { fitted } from './cafeFit';
import type { CafesModel } from './model';
import { lastRow } from './nextAtCafe';
import type { CafeRow } from './rows';
import { rowVariance } from './uncertainty';

export const CAUSES = ['cafe', 'dial', 'batch', 'age', 'weather'] as const;
export type Cause = (typeof CAUSES)[number];

export interface Contribution {
  readonly cause: Cause;
  /** In ln time. */
  readonly size: number;
  readonly sd: number;
}

const BEFORE_DAYS = { from: 21, to: 6 } as const;

/**
 * Empty where the café has sent nothing to compare with.
 * @param fromDay where the change began: the part of the café is then the step itself, as its signal says it.
 */
export function contributionsOf(
  model: CafesModel,
  cafeId: string,
  coffee: string,
  fromDay?: number,
): Contribution[] {
  const found = lastRow(model, cafeId, coffee);
  if (found === null) return [];
  const { cafe, row, last } = found;
  const then = cafe.rows.visits
    .flat()
    .filter(
      ({ check }) =>
        check.coffee === coffee &&
        (fromDay === undefined
          ? check.atDay >= last.atDay - BEFORE_DAYS.from &&
            check.atDay <= last.atDay - BEFORE_DAYS.to
          : check.atDay < fromDay),
    );
  if (then.length === 0) return [];
  const { localSize, slopeAt, sharedKeys } = cafe.rows;
  const causeOf = (column: number): Cause | null => {
    if (column < slopeAt) return null;
    if (column === slopeAt) return 'dial';
    if (column < localSize) return 'cafe';
    const key = sharedKeys[column - localSize]!;
    if (key.day !== null) return 'weather';
    return key.isBatch ? 'batch' : 'age';
  };
  const change = changeOf(row, then);
  return CAUSES.map((cause) => {
    const kept = [...change].filter(([column]) => causeOf(column) === cause);
    const part = { columns: kept.map(([at]) => at), values: kept.map(([, x]) => x) };
    const aged = cause === 'age' ? CAFE_RULES.agePerDay * ageChange(row, then) : 0;
    return {
      cause,
      size: fitted(part, cafe.fit.effects) + aged,
      // What did not change leaves a rounding of either sign.
      sd: Math.sqrt(Math.max(0, rowVariance(part, cafe.block, cafe.covariance))),
    };
  });
}

function changeOf(row: CafeRow, then: readonly CafeRow[]): Map<number, number> {
  const change = new Map<number, number>();
  const add = ({ columns, values }: CafeRow, share: number) =>
    columns.forEach((at, k) => change.set(at, (change.get(at) ?? 0) + share * values[k]!));
  add(row, 1);
  for (const one of then) add(one, -1 / then.length);
  return change;
}

function ageChange(row: CafeRow, then: readonly CafeRow[]): number {
  const mean = then.reduce((sum, { check }) => sum + ageOffset(check), 0) / then.length;
  return ageOffset(row.check) - mean;
}
