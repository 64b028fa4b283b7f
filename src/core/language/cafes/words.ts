/** The words of the check sheet and of answers in a language. */
import type { Language } from '../language';
import { de } from './de';
import { en } from './en';
import { es } from './es';
import type { CafeWords } from './cafeWords';
import { fr } from './fr';
import { it } from './it';
import { pt } from './pt';

const WORDS: Readonly<Record<Language, CafeWords>> = { en, de, fr, it, es, pt };

export const cafeWordsIn = (language: Language): CafeWords => WORDS[language];
