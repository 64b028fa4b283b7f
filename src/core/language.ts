/** The languages of a card. */
export const LANGUAGES = ['en', 'de', 'fr', 'it', 'es', 'pt'] as const;
export type Language = (typeof LANGUAGES)[number];

/** Each in itself. */
export const LANGUAGE_NAMES: Readonly<Record<Language, string>> = {
  en: 'English',
  de: 'Deutsch',
  fr: 'Français',
  it: 'Italiano',
  es: 'Español',
  pt: 'Português',
};

export const isLanguage = (text: string): text is Language =>
  (LANGUAGES as readonly string[]).includes(text);
