/** A bag of a batch that was set aside. */
import { day, quantity, text, type Entered, type Values } from './field';

export const SAMPLE = {
  label: text('note', { label: 'Bag' }),
  bagG: quantity('bagG', { step: 50 }),
  place: text('note', { label: 'Where it lies', unsaid: '' }),
  frozenOn: day({ label: 'Frozen on', isOpen: true }),
  /** Counts as a day of rest. */
  thawedOn: day({ label: 'Thawed on', hint: 'Empty while it is frozen', isOpen: true }),
} as const;

export type SampleValues = Values<typeof SAMPLE>;
export type SampleEntered = Entered<typeof SAMPLE>;
