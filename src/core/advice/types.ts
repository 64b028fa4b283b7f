/** The question put to the advisor and its answer. */
import type { Basket, Grinder, Machine } from '../schema/setup';
import type { Shot } from '../schema/shot';
import type { Target } from '../schema/target';
import type { Units } from '../units';

export interface NextInput {
  readonly target: Target;
  readonly grinder: Grinder;
  readonly basket: Basket;
  readonly machine?: Machine | undefined;
  /** Every shot of this dial-in, in the order they were pulled. */
  readonly shots: readonly Shot[];
  /**
   * Index of the first shot pulled for this target; earlier ones were pulled for another revision:
   * they teach the grinder, and neither count as repeats nor are judged. 0 when absent.
   */
  readonly targetFrom?: number | undefined;
  /** The house leaves the dose alone: no trim, whatever the step. */
  readonly holdDose?: boolean | undefined;
  /** Units the words are said in; grams and °C when absent. */
  readonly units?: Units | undefined;
}

/** Where a bench is set: what the next shot is meant to have. */
export interface Setting {
  readonly dial: number;
  /** Grams to dose: the recipe's, or as trimmed. */
  readonly doseG: number;
}

export const ADVICE_STATUSES = [
  'measure',
  'prep',
  'grind',
  'dose',
  'taste',
  'repeat',
  'confirmed',
] as const;
export type AdviceStatus = (typeof ADVICE_STATUSES)[number];

export type MovedVariable = 'dial' | 'doseG' | 'yieldG' | 'temperatureC';

export interface Move {
  readonly variable: MovedVariable;
  readonly from: number;
  readonly to: number;
  /** The move in words, dial moves with both word and number: "finer, 11 → 9". */
  readonly words: string;
  /** The dose that goes with a dial move whose step is too coarse; said as one move. */
  readonly doseTrim?: { readonly from: number; readonly to: number };
}

export interface Expectation {
  /** Expected time on the target's clock, with its 80 % interval. */
  readonly timeS: number;
  readonly interval80: readonly [number, number];
  readonly clock: Target['clock'];
  /** Probability of landing in the time window, 0-1. */
  readonly landing: number;
}

export interface Reason {
  readonly code: string;
  readonly text: string;
}

export interface Alternative {
  readonly move: Move | null;
  readonly words: string;
  readonly expect: Expectation;
  /** Purge and dose of the next shot, g. */
  readonly costG: number;
}

export interface Advice {
  readonly status: AdviceStatus;
  readonly move: Move | null;
  /** What stays as it is. */
  readonly hold: readonly MovedVariable[];
  /** Where the next shot stands: the setting the move leads to. */
  readonly setting: Setting;
  readonly expect: Expectation;
  /** Grams to purge before the next shot; 0 when the setting stays. */
  readonly purgeG: number;
  /** Purge and dose of the next shot, g. */
  readonly costG: number;
  readonly reasons: readonly Reason[];
  readonly alternatives: readonly Alternative[];
  readonly marks: readonly ShotMark[];
  /** What this setup cannot do, whatever the shots say. */
  readonly warnings: readonly Reason[];
}

/** What the advisor makes of one shot. */
export interface ShotMark {
  /** Student-t weight as evidence; null when its time was not usable. */
  readonly weight: number | null;
  readonly odd: boolean;
  readonly unpurged: boolean;
  /** Ground from beans in another state than the rest of the dial-in. */
  readonly otherBeans: boolean;
  readonly choked: boolean;
  readonly gushing: boolean;
  readonly inDose: boolean;
  readonly inYield: boolean;
  /** On the target's clock; null when it cannot be converted. */
  readonly timeOnTargetClockS: number | null;
  readonly inTime: boolean;
  /** Valid as evidence: measured, prepared and rested as it should be. */
  readonly valid: boolean;
  /** Valid and inside dose, yield and time. */
  readonly landed: boolean;
}
