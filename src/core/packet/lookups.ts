/** Looking a text up in the vocabulary. */
import { ROAST_WORDS, type VarietyClass } from '../vocabulary';
import { PROCESS_PHRASES, VARIETIES } from './vocabulary';

export const escaped = (word: string) => word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** A word or phrase with no letter or digit on either side. */
export function wordPattern(word: string): RegExp {
  return new RegExp(`(?<![\\p{L}\\p{N}])${escaped(word)}(?![\\p{L}\\p{N}])`, 'giu');
}

export function wordIn(
  text: string,
  lists: readonly (readonly string[])[],
  isWhole = false,
): string | undefined {
  return lists.find((names) =>
    names.some((name) =>
      isWhole ? name.toLowerCase() === text.toLowerCase() : wordPattern(name).test(text),
    ),
  )?.[0];
}

export function processIn(text: string) {
  return PROCESS_PHRASES.find(([, ...phrases]) =>
    phrases.some((phrase) => wordPattern(phrase).test(text)),
  )?.[0];
}

export interface Variety {
  readonly kind: VarietyClass;
  readonly name: string;
}

export function varietiesIn(text: string): Variety[] {
  let rest = text;
  return VARIETIES.flatMap(([kind, ...names]) => {
    const spelling = names.find((name) => wordPattern(name).test(rest));
    if (spelling === undefined) return [];
    const at = text.toLowerCase().indexOf(spelling.toLowerCase());
    rest = rest.replace(wordPattern(spelling), ' ');
    return [{ kind, name: names[0]!, at }];
  }).sort((a, b) => a.at - b.at);
}

export function roastIn(text: string): number | undefined {
  const said = text
    .toLowerCase()
    .replace(/[^\p{L}]+/gu, ' ')
    .trim();
  return [...ROAST_WORDS]
    .sort((a, b) => b.label.length - a.label.length)
    .find(({ label }) => said.startsWith(label.toLowerCase().replace('-', ' ')))?.level;
}
