/** One cup as somebody judged it: scales 0-10, strength −2 to 2, and what is said beside them. */
import {
  MOMENT_LABELS,
  MOMENTS,
  SERVING_LABELS,
  SERVINGS,
  TASTE_SIGN_LABELS,
  TASTE_SIGNS,
} from '../vocabulary';
import { notes, quantity, text, word, words, type Row } from './field';

const scale = <const L extends string>(label: L, headers: readonly string[]) =>
  quantity('cup', { label, headers, optional: true });

export const SCALES = {
  acidity: scale('Acidity', ['acidity']),
  sharpness: scale('Sharpness', ['sharpness', 'sourness']),
  sweetness: scale('Sweetness', ['sweetness']),
  bitterness: scale('Bitterness', ['bitterness']),
  dryness: scale('Dryness', ['dryness', 'astringency']),
  body: scale('Body', ['body', 'mouthfeel']),
  clarity: scale('Clarity', ['clarity', 'clean cup']),
  strength: quantity('strength', { label: 'Strength', headers: ['strength'], optional: true }),
  liking: scale('Liking', ['liking', 'score', 'overall', 'rating']),
  /** Words ticked beside the scales. */
  signs: words(TASTE_SIGNS, TASTE_SIGN_LABELS, {
    label: 'Signs',
    headers: ['signs', 'defects'],
    optional: true,
  }),
} as const;

export const TASTING = {
  moment: word(MOMENTS, MOMENT_LABELS, {
    label: 'Moment',
    headers: ['moment', 'cup temperature'],
  }),
  serving: word(SERVINGS, SERVING_LABELS, { label: 'Served', headers: ['served', 'serving'] }),
  notesFound: notes({
    label: 'Notes found',
    oneLabel: 'A note',
    most: 24,
    default: [],
    headers: ['notes found', 'notes', 'flavours', 'flavors'],
  }),
  remark: text('remark', { label: 'Remark', default: '', headers: ['remark', 'comment'] }),
} as const;

export type StoredTastingRow = Row<typeof TASTING>;
