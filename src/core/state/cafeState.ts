/**
 * What is so of a café now, beside any change that was found: a café that has been off since its first check shows none.
 * Every page that says who is off reads this. Pure. House heuristics.
 */
import type { CheckState } from '../cafes/checkState';

/** A coffee as it runs at a café. */
export interface CoffeeThere {
  readonly coffee: string;
  /** Of the last weeks, oldest first. */
  readonly checks: readonly CheckState[];
  /** The next shot as it stands: off the middle of its own window, s, and the chance that it is in it; null without a check. */
  readonly next: { readonly offS: number; readonly inWindow: number } | null;
}

/** With fewer checks of a coffee nobody can tell. */
export const LEAST_CHECKS = 3;
/** Less than this chance of its window is off. */
const OFF_UNDER = 0.5;

export type CafeState =
  | { readonly kind: 'unsent' }
  | { readonly kind: 'onTarget' }
  /** Too new to judge: how many of its checks were on which side. */
  | {
      readonly kind: 'new';
      readonly coffee: string;
      readonly checks: number;
      readonly fast: number;
      readonly slow: number;
    }
  | {
      readonly kind: 'off';
      readonly coffee: string;
      readonly offS: number;
      readonly inWindow: number;
    };

/** By the coffee that is least likely in its window; one that is off goes before one too new to judge. */
export function cafeState(coffees: readonly CoffeeThere[]): CafeState {
  const sent = coffees.flatMap(({ coffee, checks, next }) =>
    next === null || checks.length === 0 ? [] : [{ coffee, checks, ...next }],
  );
  if (sent.length === 0) return { kind: 'unsent' };
  const off = sent
    .filter(({ inWindow }) => inWindow < OFF_UNDER)
    .sort((a, b) => a.inWindow - b.inWindow);
  const worst = off.find(({ checks }) => checks.length >= LEAST_CHECKS);
  if (worst) {
    const { coffee, offS, inWindow } = worst;
    return { kind: 'off', coffee, offS, inWindow };
  }
  const young = off[0] ?? sent.find(({ checks }) => checks.length < LEAST_CHECKS);
  if (!young || (off.length === 0 && sent.some(({ checks }) => checks.length >= LEAST_CHECKS)))
    return { kind: 'onTarget' };
  const count = (state: CheckState) => young.checks.filter((one) => one === state).length;
  return {
    kind: 'new',
    coffee: young.coffee,
    checks: young.checks.length,
    fast: count('fast'),
    slow: count('slow'),
  };
}
