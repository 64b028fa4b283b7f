/** How figures and days are written in each language. */
import type { Language } from '@/core/language';

/** BCP 47, as pages say it. */
export const LOCALES: Readonly<Record<Language, string>> = {
  en: 'en-GB',
  de: 'de-DE',
  fr: 'fr-FR',
  it: 'it-IT',
  es: 'es-ES',
  pt: 'pt-PT',
};

const figures = new Map<string, Intl.NumberFormat>();

/** A figure as the language writes it: "28,4" where a comma parts decimals; a true minus. */
export function figureIn(language: Language, value: number, digits: number): string {
  const key = `${language} ${digits}`;
  let format = figures.get(key);
  if (!format) {
    format = new Intl.NumberFormat(LOCALES[language], {
      minimumFractionDigits: digits,
      maximumFractionDigits: digits,
      signDisplay: 'negative',
    });
    figures.set(key, format);
  }
  return format.format(value).replace('-', '−');
}

const days = new Map<Language, Intl.DateTimeFormat>();

/** A day, yyyy-mm-dd: "3 Mar 2026", "3. März 2026". */
export function dayIn(language: Language, day: string): string {
  let format = days.get(language);
  if (!format) {
    format = new Intl.DateTimeFormat(LOCALES[language], {
      day: 'numeric',
      month: 'short',
      year: 'numeric',
      timeZone: 'UTC',
    });
    days.set(language, format);
  }
  return format.format(new Date(`${day.slice(0, 10)}T00:00:00Z`));
}
