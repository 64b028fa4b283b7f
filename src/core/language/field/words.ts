/** The words of the check sheet and of answers in a language. */
import type { Language } from '../language';
import { de } from './de';
import { en } from './en';
import { es } from './es';
import type { FieldWords } from './fieldWords';
import { fr } from './fr';
import { it } from './it';
import { pt } from './pt';

const WORDS: Readonly<Record<Language, FieldWords>> = { en, de, fr, it, es, pt };

export const fieldWordsIn = (language: Language): FieldWords => WORDS[language];
