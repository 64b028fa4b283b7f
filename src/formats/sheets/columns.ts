/**
 * Columns of a spreadsheet: what each can be, how headers name it, which unit its figures are in.
 * Recognised by words, to be confirmed by a person before anything is read.
 */
import { readNumber } from '@/core/readNumber';
import { celsiusOf, G_PER_OZ, ML_PER_FL_OZ } from '@/core/units';
import { type CsvTable } from './csv';

export type Measure = 'mass' | 'volume' | 'temperature';

export interface ColumnDef {
  readonly label: string;
  readonly required: boolean;
  /** Headers it goes by, the first is the one we write. */
  readonly headers: readonly string[];
  /** A quantity that people write in more than one unit. */
  readonly measure?: Measure;
  /** A setting, in the notation of its grinder. */
  readonly isDial?: true;
}
export type Columns = Readonly<Record<string, ColumnDef>>;

/** Our column → the file's column; absent when the file has none. */
export type Mapping<C extends string = string> = Readonly<Partial<Record<C, string>>>;

export const COLUMN_UNITS = ['g', 'oz', 'ml', 'flOz', 'C', 'F'] as const;
export type ColumnUnit = (typeof COLUMN_UNITS)[number];
/** Unit of the columns that have one; grams and °C when absent, a volume must say. */
export type Units = Readonly<Partial<Record<string, ColumnUnit>>>;

/** Words without case, signs and spacing: how headers and values are compared. */
export const plain = (text: string) =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** Unit words a header may end in; they say nothing of what the column is. */
const UNIT_WORDS =
  /( (g|gr|grams?|oz|ounces?|c|f|celsius|fahrenheit|deg|degrees?|s|sec|secs|seconds?|ml|fl|pct|percent|m|masl|bar))+$/;

const withoutUnit = (header: string) => plain(header).replace(UNIT_WORDS, '');

/** The mapping a file's headers suggest; each column is taken once. */
export function suggestMapping<C extends string>(
  columns: Readonly<Record<C, ColumnDef>>,
  headers: readonly string[],
): Mapping<C> {
  const free = new Set(headers.filter((header) => header !== ''));
  const found: Partial<Record<C, string>> = {};
  // Exact names first, so that a column is not taken by a looser reading of another.
  for (const read of [plain, withoutUnit])
    for (const name of Object.keys(columns) as C[]) {
      if (found[name] !== undefined) continue;
      const names = columns[name].headers;
      const header = [...free].find((candidate) => names.includes(read(candidate)));
      if (header === undefined) continue;
      free.delete(header);
      found[name] = header;
    }
  return found;
}

/** Above this a brewing temperature can only be °F. */
const F_ABOVE = 130;
/** A whole column of doses or yields under this can only be ounces. */
const OZ_BELOW = 2.8;

/** The units headers and figures suggest for the mapped columns that have one. */
export function suggestUnits(columns: Columns, mapping: Mapping, table: CsvTable): Units {
  return Object.fromEntries(
    Object.entries(columns).flatMap(([name, { measure }]) => {
      const header = mapping[name];
      if (!measure || header === undefined) return [];
      const at = table.columns.indexOf(header);
      const figures = table.rows
        .map((row) => readNumber(row[at] ?? ''))
        .filter((value) => typeof value === 'number');
      const unit = UNIT_OF[measure](header, figures);
      return unit === undefined ? [] : [[name, unit]];
    }),
  );
}

type UnitGuess = (header: string, figures: readonly number[]) => ColumnUnit | undefined;

const UNIT_OF: Readonly<Record<Measure, UnitGuess>> = {
  mass: massUnit,
  temperature: heatUnit,
  // Forty-eight can be millilitres only, but one and a half may be either: nobody guesses a volume.
  volume: (header) => {
    const words = plain(header);
    if (/\b(fl|oz|ounces?)\b/.test(words)) return 'flOz';
    return /\b(ml|millilit(re|er)s?)\b/.test(words) ? 'ml' : undefined;
  },
};

function massUnit(header: string, figures: readonly number[]): ColumnUnit {
  const words = plain(header).split(' ');
  if (words.some((word) => /^(oz|ounces?)$/.test(word))) return 'oz';
  if (words.some((word) => /^(g|gr|grams?)$/.test(word))) return 'g';
  return figures.length > 0 && figures.every((value) => value < OZ_BELOW) ? 'oz' : 'g';
}

function heatUnit(header: string, figures: readonly number[]): ColumnUnit {
  const words = plain(header).split(' ');
  if (words.some((word) => /^(f|fahrenheit)$/.test(word))) return 'F';
  if (words.some((word) => /^(c|celsius)$/.test(word))) return 'C';
  return figures.length > 0 && figures.every((value) => value > F_ABOVE) ? 'F' : 'C';
}

/** Digits kept of a converted figure: what a scale and a thermometer can read. */
const DIGITS = 2;

/** A figure of a column in grams, millilitres or °C; text that is no figure is handed on as it is. */
export function figureIn(text: string, unit: ColumnUnit | undefined): number | string | undefined {
  const value = readNumber(text);
  if (typeof value !== 'number') return value;
  switch (unit) {
    case 'oz':
      return Number((value * G_PER_OZ).toFixed(DIGITS));
    case 'flOz':
      return Number((value * ML_PER_FL_OZ).toFixed(DIGITS));
    case 'F':
      return Number(celsiusOf(value).toFixed(DIGITS));
    default:
      return value;
  }
}
