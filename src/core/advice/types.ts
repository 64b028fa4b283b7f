/** The question put to the advisor and its answer. */
import type { Basket, Grinder, Machine } from '../schema/setup';
import type { Shot } from '../schema/shot';
import type { Target } from '../schema/target';
import type { GrinderMemory, GrindFeatures } from '../grinderMemory/memory';
import type { CodedMessage, Message } from '../message';
import type { DoseSchool, TasteLevers } from '../vocabulary';

/** How a house judges its dial-ins. */
export interface JudgingRules {
  /** Whether a dial-in may touch the dose. */
  readonly doseSchool: DoseSchool;
  /** How surely a setting must hold the window to be on target, 0-1. */
  readonly proofGoal: number;
  /** Liking from which a cup confirms, 0-10. */
  readonly leastLiking: number;
  /** What a cup that is not right changes first. */
  readonly levers: TasteLevers;
}

/** Trade practice for the dose; the figures are a house heuristic (model.md §3b). */
export const USUAL_JUDGING: JudgingRules = {
  doseSchool: 'locked',
  proofGoal: 0.85,
  leastLiking: 6,
  levers: 'bySize',
};

export interface NextInput extends Partial<JudgingRules> {
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
  /** What past dial-ins taught of this grinder, and what of this coffee it goes by. */
  readonly memory?: GrinderMemory | undefined;
  readonly coffee?: GrindFeatures | undefined;
  /** What is expected of this batch where its recipe came over from an older one. */
  readonly carry?: CarryExpectation | undefined;
}

/** A new batch on its coffee's last recipe, before its first shot (model.md §5b). */
export interface CarryExpectation {
  /** The dial it is said for, and the rest day. */
  readonly dial: number;
  readonly restDays: number;
  /** ln time there at the recipe's dose and yield, from the pump, with its sd. */
  readonly mean: number;
  readonly sd: number;
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
  'nearest',
  'onTarget',
  'approved',
] as const;
export type AdviceStatus = (typeof ADVICE_STATUSES)[number];

/** The setting holds the window, tasted or not. */
export const isOnTargetStatus = (status: AdviceStatus): boolean =>
  status === 'onTarget' || status === 'approved';

export type MovedVariable = 'dial' | 'doseG' | 'yieldG' | 'temperatureC';

export interface Move {
  readonly variable: MovedVariable;
  readonly from: number;
  readonly to: number;
  /** Dial moves are said with both word and number: "finer, 11 → 9". */
  readonly message: Message;
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

export interface Alternative {
  readonly move: Move | null;
  readonly message: Message;
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
  /** What the next shot is pulled to: the recipe's own, or as the move of the taste changes it. */
  readonly pulled: {
    readonly yieldG: number;
    readonly temperatureC: number | undefined;
    readonly timeS: readonly [number, number];
  };
  /** Of a shot pulled so. */
  readonly expect: Expectation;
  /** Grams to purge before the next shot; 0 when the setting stays. */
  readonly purgeG: number;
  /** Purge and dose of the next shot, g. */
  readonly costG: number;
  readonly reasons: readonly CodedMessage[];
  readonly alternatives: readonly Alternative[];
  /** A window that follows a liked cup, s; null where the window stands. */
  readonly window: readonly [number, number] | null;
  /** The yield of that cup, where it is another than the recipe's, g. */
  readonly keptYieldG: number | null;
  /** The dose is locked, and a trim would land clearly better. */
  readonly offersTrim: boolean;
  /** Of the setting the bench stands at; null before its first shot. */
  readonly proof: Proof | null;
  readonly marks: readonly ShotMark[];
  /** What this setup cannot do, whatever the shots say. */
  readonly warnings: readonly CodedMessage[];
}

/** A recipe that follows a liked cup: its window, and its yield where that was another one, g. */
export interface Kept {
  readonly timeS: readonly [number, number];
  readonly yieldG: number | null;
}

/** What the shots at a setting say of it, without the noise of a single shot. */
export interface Proof {
  /** Its mean time on the target's clock and the sd of that mean, s. */
  readonly meanS: number;
  readonly sdS: number;
  /** Probability that its mean time lies inside the window, 0-1. */
  readonly inWindow: number;
}

/** On which side of the window a shot is; unsure where its dose, yield or clock leaves that open. */
export type Side = 'fast' | 'inside' | 'slow' | 'unsure';

/** What the advisor makes of one shot. */
export interface ShotMark {
  /** Weight as evidence; null when its time was not usable. */
  readonly weight: number | null;
  readonly outlier: boolean;
  readonly unpurged: boolean;
  /** Ground from beans in another state than the shot before. */
  readonly otherBeans: boolean;
  readonly choked: boolean;
  readonly gushing: boolean;
  readonly inDose: boolean;
  readonly inYield: boolean;
  /** On the target's clock. */
  readonly timeOnTargetClockS: number;
  /** Converted between the clocks by a usual first drip, its own not being noted. */
  readonly isConverted: boolean;
  readonly inTime: boolean;
  readonly side: Side;
  /** Valid as evidence: measured, prepared and rested as it should be. */
  readonly valid: boolean;
  /** Valid and inside dose, yield and time. */
  readonly landed: boolean;
}
