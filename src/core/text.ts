/** One rule for every text of the house: well formed, something to see, counted as a person counts. */
import { fault, type Message } from './message';

/** Controls but tab and line break, and signs that turn the direction of what follows. */
const UNSEEN = /(?![\t\n\r])[\p{Cc}\u200E\u200F\u202A-\u202E\u2066-\u2069\uFEFF]/u;
/** A lone half of a sign that needs two. */
const HALF = /\p{Surrogate}/u;
const VISIBLE = /[\p{L}\p{N}\p{P}\p{S}]/u;

const graphemes = new Intl.Segmenter('en', { granularity: 'grapheme' });

/** Characters as a person counts them: "é" and a family emoji are one each. */
export function characterCount(text: string): number {
  let count = 0;
  for (const _ of graphemes.segment(text)) count++;
  return count;
}

/** What is wrong with a text, and what to do; null when nothing is. An empty text is none of its faults. */
export function textFault(text: string, label: string, max: number): Message | null {
  if (UNSEEN.test(text) || HALF.test(text)) return fault('text.unseen', { label });
  if (text !== '' && !VISIBLE.test(text)) return fault('text.blank', { label });
  const count = characterCount(text);
  if (count > max) return fault('text.long', { label, count, max });
  // The store counts the parts of a sign.
  const parts = [...text].length;
  return parts > max ? fault('text.parts', { label, parts, max }) : null;
}
