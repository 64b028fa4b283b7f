/**
 * A check as the field model reads it: one coffee at one café, with what is compared.
 * Times count from the pump; `atDay` is in days with a fraction, counted from any fixed day.
 */
import { ageOf } from '../rest/ageing';
import { CAFE_RULES } from './cafeRules';

export interface CafeTarget {
  readonly doseG: number;
  readonly yieldG: number;
  /** Middle of the window. */
  readonly timeS: number;
}

export interface CafeCheck {
  readonly id: string;
  /** Checks of one café with one visit were made in one go and share what that hour was like. */
  readonly visit: string;
  readonly atDay: number;
  readonly coffee: string;
  /** Null: nobody knows which; such checks count as one batch of the coffee. */
  readonly batch: string | null;
  readonly doseG: number;
  readonly yieldG: number;
  readonly timeS: number;
  /** In steps of the café's grinder, finer or coarser as its profile says; null: not written down. */
  readonly dial: number | null;
  /** Shots that were averaged. */
  readonly shots: number;
  /** Rest days; null: unknown. */
  readonly ageDays: number | null;
  readonly target: CafeTarget;
}

/** Age relative to the one the card means, in days as they count by the ageing curve (ψ); unknown is the card's. */
export function ageOffset({ ageDays }: Pick<CafeCheck, 'ageDays'>): number {
  return ageDays === null ? 0 : ageOf(ageDays) - ageOf(CAFE_RULES.cardAgeDays);
}

/** ln of the time that one recipe should take at the dose and yield of another (house heuristic). */
export function lnTimeAt(target: CafeTarget, at: { doseG: number; yieldG: number }): number {
  return (
    Math.log(target.timeS) +
    CAFE_RULES.doseExponent * Math.log(at.doseG / target.doseG) +
    CAFE_RULES.yieldExponent * Math.log(at.yieldG / target.yieldG)
  );
}

/**
 * What a check says of the grind: ln time against the reference, with dose, yield and the house's ageing taken out.
 * The reference is the recipe the café first had, so that a revised recipe is no step of the café.
 */
export function responseOf(check: CafeCheck, reference: CafeTarget): number {
  return (
    Math.log(check.timeS) - lnTimeAt(reference, check) - CAFE_RULES.agePerDay * ageOffset(check)
  );
}

/** Which batch a check counts for. */
export function batchKey({ coffee, batch }: Pick<CafeCheck, 'coffee' | 'batch'>): string {
  return `${coffee}\n${batch ?? ''}`;
}

/** A window around its middle, ln. */
export function lnWindow([low, high]: readonly [number, number]): readonly [number, number] {
  const middle = (low + high) / 2;
  return [Math.log(low / middle), Math.log(high / middle)];
}
