/** What goes with a recipe while it is worked on. */
import {
  DRINK_LABELS,
  DRINKS,
  TEMPERATURE_SCHOOL_LABELS,
  TEMPERATURE_SCHOOLS,
} from '../vocabulary';
import { day, flag, quantity, text, word, type Entered, type Values } from './field';

export const DRAFT = {
  temperatureSchool: word(TEMPERATURE_SCHOOLS, TEMPERATURE_SCHOOL_LABELS, {
    label: 'Temperature school',
  }),
  /** Judged by cups of its own kind alone. */
  drink: word(DRINKS, DRINK_LABELS, { label: 'For', unsaid: 'straight' }),
  startDial: quantity('dial', { label: 'Dial to start at', step: 1 }),
  /** False where a record of the house did not say it. */
  isDialKnown: flag({ label: 'Dial known', unsaid: true, column: 'dial_known' }),
  why: text('words', { label: 'Why', unsaid: '' }),
  /** Day since which a recipe of the house's own records was in force. */
  decidedOn: day({ label: 'Decided on', isOpen: true }),
} as const;

export type DraftValues = Values<typeof DRAFT>;
export type DraftEntered = Entered<typeof DRAFT>;
