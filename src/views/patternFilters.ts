/** What Patterns is narrowed to, as it stands in the address. */
import { ROAST_BANDS, roastBandOf, type RoastBand } from '@/core/coffee/roastBand';
import { PROCESSES, STYLES, type BrewStyle, type Process } from '@/core/vocabulary';
import type { About } from './records';

export interface Filters {
  readonly style: BrewStyle | null;
  readonly process: Process | null;
  readonly roast: RoastBand | null;
  /** Any variety that holds these words. */
  readonly variety: string | null;
  readonly setupId: string | null;
  /** Days, yyyy-mm-dd; both ends count. */
  readonly from: string | null;
  readonly to: string | null;
}

const MOST_CHARACTERS = 80;
const DAY = /^\d{4}-\d{2}-\d{2}$/;

/** A filter that is none is let go, so that an old address still opens. */
export function readFilters(
  search: Readonly<Record<string, string | string[] | undefined>>,
): Filters {
  const text = (key: string) => {
    const value = search[key];
    return typeof value === 'string' && value !== '' ? value : null;
  };
  const word = <T extends string>(words: readonly T[], key: string) =>
    words.find((known) => known === text(key)) ?? null;
  const day = (key: string) => {
    const value = text(key);
    return value !== null && DAY.test(value) ? value : null;
  };
  return {
    style: word(STYLES, 'style'),
    process: word(PROCESSES, 'process'),
    roast: word(ROAST_BANDS, 'roast'),
    variety: text('variety')?.trim().slice(0, MOST_CHARACTERS) || null,
    setupId: text('setup'),
    from: day('from'),
    to: day('to'),
  };
}

export function isLetThrough(about: About, filters: Filters): boolean {
  const { style, process, roast, variety, setupId, from, to } = filters;
  return (
    (style === null || about.style === style) &&
    (process === null || about.processes.includes(process)) &&
    (roast === null || (about.roastLevel !== null && roastBandOf(about.roastLevel) === roast)) &&
    (variety === null || about.varieties.some((own) => holds(own, variety))) &&
    (setupId === null || about.setupId === setupId) &&
    (from === null || about.day >= from) &&
    (to === null || about.day <= to)
  );
}

const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();
const holds = (text: string, words: string) => plain(text).includes(plain(words));
