/** The words of a card in a language. */
import { ROAST_WORDS, roastWord } from '../vocabulary';
import type { CardWords } from './cardWords';
import { de } from './de';
import { en } from './en';
import { es } from './es';
import { fr } from './fr';
import { it } from './it';
import type { Language } from './language';
import { pt } from './pt';

const WORDS: Readonly<Record<Language, CardWords>> = { en, de, fr, it, es, pt };

export const wordsIn = (language: Language): CardWords => WORDS[language];

/** A roast by its nearest named level. */
export function roastIn(words: CardWords, level: number): string {
  const nearest = ROAST_WORDS.find(({ label }) => label === roastWord(level))!;
  return words.roast[String(nearest.level) as keyof CardWords['roast']];
}

/** Under this a hint is none. Reference steps. */
export const NOTHING_STEPS = 0.25;

/** Sizes of a change of grind, up to so many reference steps. House heuristic. */
const AMOUNTS = [
  [0.75, 'little'],
  [1.25, 'one'],
  [2.25, 'oneOrTwo'],
  [3.5, 'twoOrThree'],
  [Infinity, 'several'],
] as const;

/** How much, for whoever's grinder is not known: "one or two steps". A step is taken as .10 in ln time. */
export function amountIn({ grind }: CardWords, steps: number): string {
  const [, name] = AMOUNTS.find(([most]) => Math.abs(steps) < most)!;
  return grind[name];
}

/**
 * A change of grind in words: "one or two steps finer"; null where nothing is to be done.
 * @param steps reference steps finer; coarser where negative.
 */
export function grindIn(words: CardWords, steps: number): string | null {
  if (Math.abs(steps) < NOTHING_STEPS) return null;
  const amount = amountIn(words, steps);
  return steps > 0 ? words.grind.finer(amount) : words.grind.coarser(amount);
}
