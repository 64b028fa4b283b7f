/** The state of a cup sheet: a scale not yet touched is not an answer. No DOM. */
import type { Taste } from '@/core/schema/shot';
import type { TasteSign } from '@/core/vocabulary';
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
  readonly scales: Readonly<Partial<Record<ScaleName, number>>>;
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

export function tastingInputOf(text: CupText, shotId: string) {
  const others = text.otherNotes
    .split(',')
    .map((note) => note.trim())
    .filter((note) => note !== '');
  return {
    shotId,
    moment: text.moment,
    serving: text.serving,
    scales: tasteOf(text),
    notesFound: [...text.notesFound, ...others],
    remark: text.remark,
    tdsPct: readNumber(text.tdsPct),
  };
}

/** A list with the word put in or taken out. */
export function toggled<T>(list: readonly T[], word: T): T[] {
  return list.includes(word) ? list.filter((other) => other !== word) : [...list, word];
}
