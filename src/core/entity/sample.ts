/** A bag of a batch that was set aside. */
import { day, quantity, text, type Input, type Row } from './field';

export const SAMPLE = {
  label: text('note', { label: 'Bag' }),
  bagG: quantity('bagG', { step: 50 }),
  place: text('note', { label: 'Where it lies', default: '' }),
  frozenOn: day({ label: 'Frozen on', optional: true }),
  /** Counts as a day of rest. */
  thawedOn: day({ label: 'Thawed on', hint: 'Empty while it is frozen', optional: true }),
} as const;

export type SampleRow = Row<typeof SAMPLE>;
export type SampleInput = Input<typeof SAMPLE>;
