/**
 * A table of the database as CSV and back, cell by cell the same: nothing (NULL) is an empty cell, an empty
 * text and a text that begins with an apostrophe stand after one. Spreadsheets open it; no cell acts as a formula.
 */
import Papa from 'papaparse';
import { userFault } from '@/core/errors';
import { writeCsv } from './csv';

export type TableValue = string | number | null;
export type ColumnKind = 'text' | 'number';

export interface TableColumn {
  readonly name: string;
  readonly kind: ColumnKind;
}

function cellOf(value: TableValue): string | number {
  if (value === null) return '';
  if (typeof value === 'number') return value;
  return value === '' || value.startsWith("'") ? `'${value}` : value;
}

export function writeTable(
  columns: readonly TableColumn[],
  rows: Iterable<readonly TableValue[]>,
): string {
  function* cells() {
    yield columns.map(({ name }) => name);
    for (const row of rows) yield row.map(cellOf);
  }
  return writeCsv(cells());
}

/**
 * Rows of such a text.
 * @throws UserFault when its columns are others, or a cell is no number where one belongs; with the row.
 */
export function readTable(
  text: string,
  table: string,
  columns: readonly TableColumn[],
): TableValue[][] {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    delimiter: ',',
    newline: '\r\n',
  });
  const [header = [], ...rows] = data;
  const names = columns.map(({ name }) => name);
  if (header.join() !== names.join())
    throw userFault(
      'badInput',
      table,
      `${table}: its columns are not those this Kettlebrand knows (${names.join(', ')}). Export it again with this version.`,
    );
  // The last line ends with a line break.
  if (rows.at(-1)?.join('') === '') rows.pop();
  return rows.map((row, i) => {
    if (row.length !== columns.length)
      throw userFault(
        'badInput',
        table,
        `${table}, row ${i + 2}: it has ${row.length} cells, not ${columns.length}.`,
      );
    return row.map((cell, j) => valueOf(cell, columns[j]!.kind, `${table}, row ${i + 2}`));
  });
}

function valueOf(cell: string, kind: ColumnKind, where: string): TableValue {
  if (cell === '') return null;
  if (kind === 'text') return cell.replace(/^'/, '');
  const number = Number(cell);
  if (Number.isFinite(number)) return number;
  throw userFault('badInput', where, `${where}: “${cell.slice(0, 40)}” is no number.`);
}
