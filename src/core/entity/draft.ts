/** What goes with a recipe while it is worked on. */
import {
  DRINK_LABELS,
  DRINKS,
  TEMPERATURE_SCHOOL_LABELS,
  TEMPERATURE_SCHOOLS,
} from '../vocabulary';
import { day, flag, quantity, text, word, type Input, type Row } from './field';

export const DRAFT = {
  temperatureSchool: word(TEMPERATURE_SCHOOLS, TEMPERATURE_SCHOOL_LABELS, {
    label: 'Temperature school',
  }),
  /** Judged by cups of its own kind alone. */
  drink: word(DRINKS, DRINK_LABELS, { label: 'For', default: 'straight' }),
  startDial: quantity('dial', { label: 'Dial to start at', step: 1 }),
  /** False where a record of the house did not say it. */
  isDialKnown: flag({ label: 'Dial known', default: true, column: 'dial_known' }),
  why: text('words', { label: 'Why', default: '' }),
  /** Day since which a recipe of the house's own records was in force. */
  decidedOn: day({ label: 'Decided on', optional: true }),
} as const;

export type DraftRow = Row<typeof DRAFT>;
export type DraftInput = Input<typeof DRAFT>;
