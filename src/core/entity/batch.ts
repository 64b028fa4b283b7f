/** One roast of a release. Rest days belong to it. */
import { CRUSH_LABELS, CRUSHES } from '../coffee/roast';
import { ROAST_WORDS } from '../vocabulary';
import { day, quantity, text, word, type Input, type Row } from './field';

export const BATCH = {
  roastDate: day({
    label: 'Roast date',
    isPublished: true,
    headers: ['roast date', 'roasted', 'roasted on', 'date'],
  }),
  roastLevel: quantity('roastLevel', {
    label: 'Roast, in the house’s word',
    named: ROAST_WORDS,
    optional: true,
    headers: ['roast', 'roast level', 'roast degree'],
  }),
  label: text('note', {
    label: 'Name of the batch',
    hint: 'If there are several',
    default: '',
    headers: ['batch', 'batch name', 'lot'],
  }),
  colourGround: quantity('colourGround', {
    label: 'Colour of the ground coffee',
    hint: 'Is used instead of the name',
    step: 1,
    optional: true,
    headers: ['colour ground', 'color ground', 'ground colour', 'ground color'],
  }),
  colourBean: quantity('colourBean', {
    label: 'Colour of the bean',
    hint: 'Counts by the house’s own map',
    step: 1,
    optional: true,
    headers: ['colour bean', 'color bean', 'bean colour', 'whole bean colour'],
  }),
  crush: word(CRUSHES, CRUSH_LABELS, {
    label: 'Crush test',
    hint: 'A cool bean under the thumb, on a hard surface; a weak reading',
    optional: true,
    headers: ['thumb', 'crush'],
  }),
  weightLossPct: quantity('weightLossPct', {
    step: 0.1,
    optional: true,
    headers: ['weight loss pct', 'weight loss', 'roast loss', 'loss'],
  }),
  /** Of the components in their order, where this roast was blended otherwise. */
  sharesPct: text('name', {
    label: 'Shares of this batch, %',
    default: '',
    headers: ['shares pct', 'batch shares', 'shares'],
  }),
  sampleG: quantity('sampleG', {
    hint: 'For dial-in and checks',
    step: 50,
    optional: true,
    headers: ['sample g', 'sample'],
  }),
} as const;

export type BatchRow = Row<typeof BATCH>;
export type BatchInput = Input<typeof BATCH>;
