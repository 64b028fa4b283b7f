/** The state of a cup sheet: a scale not yet touched is not an answer. No DOM. */
import type { Taste } from '@/core/schema/shot';
import type { TasteSign } from '@/core/vocabulary';
import type { StoredTasting } from '@/data/tastings';
import { readNumber } from '@/core/readNumber';

export const SCALES = [
  { name: 'acidity', label: 'Acidity', low: 'flat', high: 'bright' },
  { name: 'sharpness', label: 'Sharp acidity', low: 'none', high: 'biting' },
  { name: 'sweetness', label: 'Sweetness', low: 'none', high: 'full' },
  { name: 'bitterness', label: 'Bitterness', low: 'none', high: 'harsh' },
  { name: 'dryness', label: 'Dryness', low: 'clean', high: 'drying' },
  { name: 'body', label: 'Body', low: 'thin', high: 'thick' },
  { name: 'clarity', label: 'Clarity', low: 'muddled', high: 'clear' },
  { name: 'liking', label: 'Liking', low: 'not', high: 'very much' },
] as const;
export type ScaleName = (typeof SCALES)[number]['name'];

export interface CupText {
  readonly scales: { readonly [N in ScaleName]?: number | undefined };
  readonly strength: number;
  readonly signs: readonly TasteSign[];
  readonly notesFound: readonly string[];
  readonly otherNotes: string;
  readonly moment: 'hot' | 'warm' | 'cool';
  readonly serving: 'straight' | 'milk' | 'plantMilk';
  readonly tdsPct: string;
  readonly remark: string;
}

export const EMPTY_CUP: CupText = {
  scales: {},
  strength: 0,
  signs: [],
  notesFound: [],
  otherNotes: '',
  moment: 'warm',
  serving: 'straight',
  tdsPct: '',
  remark: '',
};

/** The scales as the core takes them. */
export function tasteOf({ scales, strength, signs }: CupText): Taste {
  return { ...scales, strength, signs: [...signs] };
}

export function cupSentOf(text: CupText) {
  const others = text.otherNotes
    .split(',')
    .map((note) => note.trim())
    .filter((note) => note !== '');
  return {
    moment: text.moment,
    serving: text.serving,
    scales: tasteOf(text),
    notesFound: [...text.notesFound, ...others],
    remark: text.remark,
    tdsPct: readNumber(text.tdsPct),
  };
}

/** A sheet that was kept, to be corrected. */
export function cupTextOf(
  { scales, moment, serving, notesFound, remark }: StoredTasting,
  promised: readonly string[],
  tdsPct: number | undefined,
): CupText {
  const { strength = 0, signs = [], ...scored } = scales;
  return {
    scales: scored,
    strength,
    signs,
    notesFound: notesFound.filter((note) => promised.includes(note)),
    otherNotes: notesFound.filter((note) => !promised.includes(note)).join(', '),
    moment,
    serving,
    tdsPct: tdsPct === undefined ? '' : String(tdsPct),
    remark,
  };
}

/** Scales with one answer put in, or taken back. */
export function scored(
  scales: CupText['scales'],
  name: ScaleName,
  value: number | undefined,
): CupText['scales'] {
  const { [name]: _before, ...others } = scales;
  return value === undefined ? others : { ...others, [name]: value };
}

/** A list with the word put in or taken out. */
export function toggled<T>(list: readonly T[], word: T): T[] {
  return list.includes(word) ? list.filter((other) => other !== word) : [...list, word];
}
