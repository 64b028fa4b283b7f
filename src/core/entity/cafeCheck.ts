/** One coffee checked at a café, as its people wrote it down. */
import { quantity, text, word, type Input, type Row } from './field';

export const CHECK_TASTES = ['fine', 'sour', 'bitter', 'weak', 'uneven'] as const;
export type CheckTaste = (typeof CHECK_TASTES)[number];

export const CHECK_TASTE_LABELS: Readonly<Record<CheckTaste, string>> = {
  fine: 'fine',
  sour: 'sour side',
  bitter: 'bitter side',
  weak: 'weak',
  uneven: 'uneven',
};

export const CAFE_CHECK = {
  doseG: quantity('doseG', { step: 0.1 }),
  yieldG: quantity('shotYieldG', { step: 0.5 }),
  timeS: quantity('timeS', { step: 0.5 }),
  dial: quantity('dial', { step: 1, optional: true }),
  /** Shots whose figures were averaged. */
  shots: quantity('shotsAveraged', { step: 1, isWhole: true, default: 1 }),
  taste: word(CHECK_TASTES, CHECK_TASTE_LABELS, {
    label: 'Taste',
    headers: ['taste'],
    optional: true,
  }),
  remark: text('words', { label: 'Remark', default: '' }),
} as const;

export type CafeCheckRow = Row<typeof CAFE_CHECK>;
export type CafeCheckInput = Input<typeof CAFE_CHECK>;
