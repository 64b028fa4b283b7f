/** What a comma in the figures of a file means: it parts decimals or thousands, and a file may leave that open. */
import { isAmbiguous } from '@/core/readNumber';
import type { CsvTable } from './csv';

export const COMMAS = ['decimal', 'thousands'] as const;
export type Commas = (typeof COMMAS)[number];

const DECIMAL = /^-?(\d+,\d{1,2}|0,\d+|\d+,\d{4,}|\d{4,},\d+)$/;
const THOUSANDS = /^-?\d{1,3}(,\d{3})+\.\d+$|^-?\d{1,3}(,\d{3}){2,}$/;

/** As the other figures of the file have it; undefined where they do not say. */
export function guessCommas({
  rows,
  delimiter,
}: Pick<CsvTable, 'rows' | 'delimiter'>): Commas | undefined {
  const cells = rows.flat().map((cell) => cell.trim());
  if (cells.some((cell) => THOUSANDS.test(cell))) return 'thousands';
  if (cells.some((cell) => DECIMAL.test(cell))) return 'decimal';
  // Who parts columns by semicolons does so because commas are taken.
  return delimiter === ';' ? 'decimal' : undefined;
}

/** Does any cell need the answer? */
export function asksCommas({ rows }: Pick<CsvTable, 'rows'>): boolean {
  return rows.some((row) => row.some((cell) => isAmbiguous(cell)));
}

/** A figure whose comma is settled; any other text stays as it is. */
export function settled(text: string, commas: Commas | undefined): string {
  if (commas === undefined || !isAmbiguous(text)) return text;
  return text.replace(',', commas === 'decimal' ? '.' : '');
}
