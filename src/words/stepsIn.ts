/** So many steps of a dial in words: "1 step", "0,5 cran". */
import type { Language } from '@/core/language';
import { cardWords } from './cardWords';

/** @param steps of either direction, whole or half ones. */
export const stepsIn = (language: Language, steps: number): string =>
  cardWords(language)('steps', { steps: Math.abs(steps) });
