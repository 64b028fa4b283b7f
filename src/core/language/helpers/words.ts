/** The words of a card's helpers in a language. */
import type { Language } from '../language';
import { de } from './de';
import { en } from './en';
import { es } from './es';
import { fr } from './fr';
import type { HelperWords } from './helperWords';
import { it } from './it';
import { pt } from './pt';

const WORDS: Readonly<Record<Language, HelperWords>> = { en, de, fr, it, es, pt };

export const helperWordsIn = (language: Language): HelperWords => WORDS[language];
