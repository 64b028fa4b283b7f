/** So many steps of a dial in words: "1 step", "0,5 cran". */
import { figureIn, type Language } from './language';
import { wordsIn } from './words';

/** @param steps of either direction, whole or half ones. */
export function stepsIn(language: Language, steps: number): string {
  const many = Math.abs(steps);
  return wordsIn(language).steps(figureIn(language, many, Number.isInteger(many) ? 0 : 1));
}
