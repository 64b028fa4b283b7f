/**
 * Reading CSV as people have it: RFC 4180 with a header row, commas or semicolons or tabs, decimal
 * commas, UTF-8 with or without its mark. Faults name the row as a spreadsheet counts it.
 */
import Papa from 'papaparse';
import { userFault } from '@/core/errors';

export const CSV_LIMITS = { megabytes: 5, rows: 5000, columns: 60 } as const;

export interface CsvTable {
  readonly columns: readonly string[];
  readonly rows: readonly (readonly string[])[];
  readonly delimiter: string;
}

/** The row number a spreadsheet shows for a data row: the header is row 1. */
export function sheetRow(index: number): number {
  return index + 2;
}

/**
 * The text of a file's bytes.
 * @throws UserFault when they are not UTF-8, or are too many.
 */
export function decodeCsv(bytes: Uint8Array): string {
  if (bytes.length > CSV_LIMITS.megabytes * 1_000_000)
    throw userFault(
      'badInput',
      'file',
      `The file is over ${CSV_LIMITS.megabytes} MB. Split it, or leave out columns that are not needed.`,
    );
  const isUtf16 =
    (bytes[0] === 0xff && bytes[1] === 0xfe) || (bytes[0] === 0xfe && bytes[1] === 0xff);
  try {
    if (isUtf16) throw new TypeError('UTF-16');
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    throw userFault(
      'badInput',
      'file',
      `The file is not in UTF-8${isUtf16 ? ' but in UTF-16' : ''}. Save it again as “CSV UTF-8” and choose it once more.`,
    );
  }
}

/**
 * Header and rows of a text; empty rows are left out.
 * @throws UserFault for an empty file, broken quotes, doubled columns, or too many rows.
 */
export function parseCsv(text: string): CsvTable {
  const { data, errors, meta } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    skipEmptyLines: 'greedy',
    delimitersToGuess: [',', ';', '\t'],
  });
  const broken = errors.find(({ type }) => type === 'Quotes');
  if (broken)
    throw userFault(
      'badInput',
      'file',
      `Row ${(broken.row ?? 0) + 1}: a quotation mark is opened and not closed. Mend that row.`,
    );
  const [header = [], ...rows] = data.map((row) => row.map((cell) => cell.replace(MARKED, '')));
  const columns = header.map((name) => name.trim());
  if (rows.length === 0)
    throw userFault(
      'badInput',
      'file',
      'The file has no rows under its header. Choose a file with a header row and rows.',
    );
  if (rows.length > CSV_LIMITS.rows)
    throw userFault(
      'badInput',
      'file',
      `The file has ${rows.length} rows; ${CSV_LIMITS.rows} are taken at once. Split it.`,
    );
  if (columns.length > CSV_LIMITS.columns)
    throw userFault(
      'badInput',
      'file',
      `The file has ${columns.length} columns; ${CSV_LIMITS.columns} are taken. Leave out those that are not needed.`,
    );
  const doubled = columns.find((name, i) => name !== '' && columns.indexOf(name) !== i);
  if (doubled !== undefined)
    throw userFault(
      'badInput',
      'file',
      `Two columns are called “${doubled}”. Give one of them another name.`,
    );
  const wide = rows.findIndex((row) =>
    row.slice(columns.length).some((cell) => cell.trim() !== ''),
  );
  if (wide >= 0)
    throw userFault(
      'badInput',
      'file',
      `Row ${wide + 2} goes on beyond the last heading. Put a heading over each column, or take out what stands beside.`,
    );
  return { columns, rows, delimiter: meta.delimiter };
}

export const DATE_ORDERS = ['ymd', 'dmy', 'mdy'] as const;
export type DateOrder = (typeof DATE_ORDERS)[number];

/** yyyy-mm-dd of a day written in an order of parts; the text itself when it does not fit. */
export function csvDay(text: string, order: DateOrder): string {
  const parts = text
    .trim()
    .split(/[-/.\s]+/)
    .filter((part) => part !== '');
  if (parts.length !== 3 || parts.some((part) => !/^\d{1,4}$/.test(part))) return text.trim();
  const at = (part: 'y' | 'm' | 'd') => parts[order.indexOf(part)]!;
  const year = at('y').length === 2 ? `20${at('y')}` : at('y');
  return `${year}-${at('m').padStart(2, '0')}-${at('d').padStart(2, '0')}`;
}

/** The order the days of a column are written in, by the values that only fit one. */
export function guessDateOrder(days: readonly string[]): DateOrder {
  const parts = days.map((day) => day.trim().split(/[-/.\s]+/));
  if (parts.some(([first = '']) => first.length === 4)) return 'ymd';
  if (parts.some(([, second = '']) => Number(second) > 12)) return 'mdy';
  return 'dmy';
}

/** Signs that make a spreadsheet take a text for a formula: such a text is written after a mark. */
const FORMULA = /^[=+\-@\t\r]/;
const MARKED = /^'(?=[=+\-@\t\r])/;

type CsvRow = readonly (string | number)[];

/** Marks the text as UTF-8, so that spreadsheets read it as that. */
const MARK = '\uFEFF';
const ROWS_AT_ONCE = 200;

/** Rows as RFC 4180 text, some hundred rows at a time. */
export function* csvChunks(rows: Iterable<CsvRow>): Generator<string> {
  let waiting: CsvRow[] = [];
  let mark = MARK;
  for (const row of rows) {
    waiting.push(row);
    if (waiting.length < ROWS_AT_ONCE) continue;
    yield mark + textOf(waiting);
    [waiting, mark] = [[], ''];
  }
  if (waiting.length > 0) yield mark + textOf(waiting);
}

const textOf = (rows: readonly CsvRow[]) =>
  `${Papa.unparse(rows as (string | number)[][], { newline: '\r\n', escapeFormulae: FORMULA })}\r\n`;

/** The whole text at once. */
export function writeCsv(rows: Iterable<CsvRow>): string {
  return [...csvChunks(rows)].join('');
}
