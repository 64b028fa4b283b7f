/** What reading any spreadsheet has in common: its options, its faults, row by row. */
import { readNumber } from '@/core/readNumber';
import type { z } from 'zod';
import type { Fields } from '@/core/entity/field';
import { dialFault, type Notation } from '@/core/grinder/notation';
import type { Clock } from '@/core/vocabulary';
import { inWords } from '@/words/faults';
import { fromIssue } from '@/core/message';
import {
  columnName,
  rangeColumns,
  readCells,
  sayable,
  type CellOptions,
  type Cells,
} from './cells';
import type { ColumnDef, Columns, Mapping } from './columns';
import { sheetRow, type CsvTable } from './csv';

export interface ReadOptions extends Omit<CellOptions, 'notation'> {
  readonly mapping: Mapping;
  readonly today: string;
  /** The house's clock, for sheets that do not say. */
  readonly clock: Clock;
  /** How the grinder of a setup or a café writes its dials, by the name a row has for it. */
  readonly notationOf: (name: string) => Notation;
  /** What a visible millilitre weighs in this house. */
  readonly cremaGPerMl: number;
}

export interface RowFault {
  /** As a spreadsheet counts rows: the header is 1. */
  readonly row: number;
  readonly column: string;
  readonly message: string;
}

/** Rows between two words of progress. */
export const PROGRESS_EVERY = 100;

export interface ReadEntry<T> {
  readonly row: number;
  readonly entry: T;
}

/** Each row of a table with its place, its cells by our names of the columns. */
export function* rowsOf(
  table: CsvTable,
  columns: Columns,
  mapping: Mapping,
): Generator<{ at: number; row: number; cells: Cells }> {
  const places = new Map(
    Object.keys(columns).map((name) => [name, table.columns.indexOf(mapping[name] ?? '\u0000')]),
  );
  for (const [at, cellsOfRow] of table.rows.entries())
    yield {
      at,
      row: sheetRow(at),
      cells: (column) => (cellsOfRow[places.get(column) ?? -1] ?? '').trim(),
    };
}

/** What a sheet of an entity is made of. */
export interface SheetKind<S extends z.ZodType> {
  readonly fields: Fields;
  readonly columns: Columns;
  readonly schema: S;
  /** Adds to what the cells say, or puts right what a sheet says otherwise. */
  readonly complete?: (raw: Record<string, unknown>, cells: Cells) => Record<string, unknown>;
  /** The column that names whose grinder a dial is of. */
  readonly notationBy?: string;
}

/** Reads each row by a schema: entries with their rows, or every fault. Yields the rows read so far. */
export function* readEntries<S extends z.ZodType>(
  table: CsvTable,
  { fields, columns, schema, complete = (raw) => raw, notationBy = 'setup' }: SheetKind<S>,
  options: ReadOptions,
): Generator<number, { entries: ReadEntry<z.output<S>>[]; faults: RowFault[] }> {
  const { mapping } = options;
  const entries: ReadEntry<z.output<S>>[] = [];
  const faults: RowFault[] = [];
  for (const { at, row, cells } of rowsOf(table, columns, mapping)) {
    if (at % PROGRESS_EVERY === 0) yield at;
    const notation = options.notationOf(cells(notationBy));
    const raw = readCells(fields, cells, { ...options, notation });
    const read = schema.safeParse(complete(raw, cells));
    if (read.success) entries.push({ row, entry: read.data });
    else faults.push(...faultsOf(read.error, row, { fields, columns, mapping, cells, notation }));
  }
  return { entries, faults };
}

/** A figure that cannot be placed, with what is missing to place it. */
function unreadable(column: ColumnDef | undefined, text: string, notation: Notation) {
  if (column?.measure === 'volume' && typeof readNumber(text) === 'number')
    return `“${text}” is a volume without a unit. Say ml or fl oz beside its column, or write it as ${text} ml.`;
  const wrong = column?.isDial ? dialFault(notation, text) : null;
  return wrong && inWords(wrong);
}

/** Faults of a schema as faults of a row, at the column each came from. */
export function faultsOf(
  error: z.ZodError,
  row: number,
  {
    fields,
    columns,
    mapping,
    cells,
    notation = {},
  }: {
    fields: Fields;
    columns: Columns;
    mapping: Mapping;
    cells: Cells;
    notation?: Notation;
  },
): RowFault[] {
  return error.issues.map((issue) => {
    const { path } = issue;
    const field = String(path.findLast((part) => typeof part === 'string') ?? '');
    const end = path.at(-1) === 1 ? 1 : 0;
    const candidates = [field, rangeColumns(field)[end]];
    const column = candidates.find((name) => name in columns) ?? Object.keys(columns)[0]!;
    const text = cells(column);
    const words = sayable(fields[field]);
    const isUnknownWord = words.length > 0 && typeof readNumber(text) === 'string';
    return {
      row,
      column: columnName(columns, column, mapping),
      // A fault of a word is said with the words people write.
      message: isUnknownWord
        ? `“${text}” is not known here. Write one of: ${words.join('; ')}.`
        : (unreadable(columns[column], text, notation) ?? inWords(fromIssue(issue.message))),
    };
  });
}
