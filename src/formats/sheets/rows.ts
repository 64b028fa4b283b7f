/** What reading any spreadsheet has in common: its options, its faults, words as people write them. */
import type { z } from 'zod';
import type { Clock } from '@/core/vocabulary';
import { plain, type Columns, type Mapping, type Units } from './columns';
import { sheetRow, type CsvTable, type DateOrder } from './csv';

export interface ReadOptions {
  readonly mapping: Mapping;
  readonly units: Units;
  readonly dateOrder: DateOrder;
  readonly today: string;
  /** The house's clock, for sheets that do not say. */
  readonly clock: Clock;
}

export interface RowFault {
  /** As a spreadsheet counts rows: the header is 1. */
  readonly row: number;
  readonly column: string;
  readonly message: string;
}

/** Rows between two words of progress. */
export const PROGRESS_EVERY = 100;

/** A word by its key or by the label people read, in any case; the text itself when it is neither. */
export function wordOf<T extends string>(
  text: string,
  words: readonly T[],
  labels: Record<T, string>,
): string | undefined {
  const sought = plain(text);
  if (sought === '') return undefined;
  return (
    words.find((word) => plain(word) === sought || plain(labels[word]) === sought) ?? text.trim()
  );
}

/** A word of a list without labels of its own; the text itself when it is none. */
export function plainWord<T extends string>(text: string, words: readonly T[]): string {
  return words.find((word) => plain(word) === plain(text)) ?? text.trim();
}

/** Yes or no in the words and signs people use; the text itself when it is neither. */
export function yesNoOf(text: string): boolean | string | undefined {
  const sought = plain(text);
  if (sought === '') return undefined;
  if (['yes', 'y', 'true', '1', 'x', 'ja', 'oui'].includes(sought)) return true;
  if (['no', 'n', 'false', '0', 'nein', 'non'].includes(sought)) return false;
  return text.trim();
}

/** Words of a list in one cell. */
export function listOf(text: string): string[] {
  return text
    .split(/[,;|]/)
    .map((word) => word.trim())
    .filter((word) => word !== '');
}

export type Cells = (column: string) => string;

export interface ReadEntry<T> {
  readonly row: number;
  readonly entry: T;
}

/**
 * Reads each row by a schema: entries with their rows, or every fault. `raw` makes what the schema
 * judges from the cells; `sources` says which column a field came from where the names differ. Yields
 * the rows read so far, now and then.
 */
export function* readEntries<S extends z.ZodType>(
  table: CsvTable,
  {
    columns,
    schema,
    raw,
    sources = {},
    mapping,
  }: {
    columns: Columns;
    schema: S;
    raw: (cells: Cells) => unknown;
    sources?: Readonly<Record<string, string>>;
    mapping: Mapping;
  },
): Generator<number, { entries: ReadEntry<z.output<S>>[]; faults: RowFault[] }> {
  const at = new Map(
    Object.keys(columns).map((name) => [name, table.columns.indexOf(mapping[name] ?? '\u0000')]),
  );
  const entries: ReadEntry<z.output<S>>[] = [];
  const faults: RowFault[] = [];
  for (const [i, cellsOfRow] of table.rows.entries()) {
    if (i % PROGRESS_EVERY === 0) yield i;
    const row = sheetRow(i);
    const cells: Cells = (column) => (cellsOfRow[at.get(column) ?? -1] ?? '').trim();
    const read = schema.safeParse(raw(cells));
    if (read.success) entries.push({ row, entry: read.data });
    else
      for (const { path, message } of read.error.issues) {
        const field = String(path.findLast((part) => typeof part === 'string') ?? '');
        const column = sources[field] ?? (field in columns ? field : Object.keys(columns)[0]!);
        faults.push({ row, column: columnName(columns, column, mapping), message });
      }
  }
  return { entries, faults };
}

/** The column as the file calls it, or as we do when it has none. */
export function columnName(columns: Columns, column: string, mapping: Mapping): string {
  return mapping[column] ?? columns[column]!.label;
}

/** Runs a reading to its end at once. */
export function runThrough<R>(reading: Generator<number, R>): R {
  let step = reading.next();
  while (!step.done) step = reading.next();
  return step.value;
}
