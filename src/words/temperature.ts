/** Temperatures on cards: in both units, whoever reads them. */
import { fahrenheitOf } from '@/core/units';
import type { Language } from '@/core/language';
import { figureIn } from './figures';

/** "94.0 °C (201 °F)". */
export const heatOf = (language: Language, c: number) =>
  `${figureIn(language, c, 1)} °C (${figureIn(language, fahrenheitOf(c), 0)} °F)`;
