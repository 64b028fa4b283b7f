/** Days as bags write them: "12 May 2026", "May 12, 2026", "12.05.2026", "2026-05-12". */
import { MONTHS } from './vocabulary';

/** yyyy-mm-dd of the first day in a text; of two figures that could each be the month, the day stands first. */
export function readDay(text: string): string | null {
  const iso = /\b(\d{4})-(\d{1,2})-(\d{1,2})\b/.exec(text);
  if (iso) return dayOf(iso[1]!, Number(iso[2]), Number(iso[3]));
  const figures = /\b(\d{1,2})[./-](\d{1,2})[./-](\d{2}|\d{4})\b/.exec(text);
  if (figures) {
    const [first, second] = [Number(figures[1]), Number(figures[2])];
    return second > 12 ? dayOf(figures[3]!, first, second) : dayOf(figures[3]!, second, first);
  }
  const named = /\b(\d{1,2})(?:st|nd|rd|th)?\.?\s+(\p{L}{3,9})\.?,?\s+(\d{4})/u.exec(text);
  if (named) return dayOf(named[3]!, monthOf(named[2]!), Number(named[1]));
  const american = /\b(\p{L}{3,9})\.?\s+(\d{1,2})(?:st|nd|rd|th)?,?\s+(\d{4})/u.exec(text);
  return american ? dayOf(american[3]!, monthOf(american[1]!), Number(american[2])) : null;
}

/** 1-12, or 0 for what is no month. */
function monthOf(word: string): number {
  return MONTHS.findIndex((month) => month.startsWith(word.toLowerCase().slice(0, 3))) + 1;
}

function dayOf(year: string, month: number, day: number): string | null {
  const two = (part: number) => String(part).padStart(2, '0');
  const whole = `${year.length === 2 ? '20' : ''}${year}-${two(month)}-${two(day)}`;
  const at = new Date(`${whole}T00:00:00Z`);
  return !Number.isNaN(at.getTime()) && at.toISOString().startsWith(whole) ? whole : null;
}
