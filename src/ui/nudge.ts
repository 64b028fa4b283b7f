/** Figures moved by the arrow keys. No DOM. */
import { LIMITS, type LimitName } from '@/core/limits';
import { readNumber } from '@/core/readNumber';

/** A figure without floating-point dust. */
export const tidy = (value: number, digits: number) => String(Number(value.toFixed(digits)));

/** Kept figures carry more digits than are shown, so that a converted one comes back as typed. */
export const KEPT_DIGITS = 4;

/** A nudged value within the limits of its quantity; value and change are as kept. */
export function nudge(text: string, change: number, name: LimitName): string {
  const value = readNumber(text);
  const { min, max } = LIMITS[name];
  const from = typeof value === 'number' ? value : min;
  return tidy(Math.min(max, Math.max(min, from + change)), KEPT_DIGITS);
}
