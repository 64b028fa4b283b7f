/**
 * A table's columns from the fields of its entity: the lists that go into SELECT, INSERT and UPDATE, and
 * the way of values in and out. Statements, joins and conditions are written where they are used.
 * Table and column names are ours, never a person's input.
 */
import { assert } from '@/core/errors';
import {
  entriesOf,
  snakeCase,
  type Input,
  type Field,
  type Fields,
  type Row,
} from '@/core/entity/field';
import type { Db } from './database';
import { prepared } from './database';

export type SqlValue = string | number | null;
type SqlRow = Readonly<Record<string, SqlValue>>;

/** A parameter, and the column it goes to. */
interface Column {
  readonly parameter: string;
  readonly column: string;
}

export interface SqlTable<F extends Fields> {
  readonly name: string;
  readonly fields: F;
  /** "s.dose_g AS doseG, …" for a SELECT; a prefix keeps the names of joined tables apart. */
  readonly selected: (alias?: string, prefix?: string) => string;
  /** "dose_g, …" and "@doseG, …" for an INSERT. */
  readonly columns: string;
  readonly parameters: string;
  /** "dose_g = @doseG, …" for an UPDATE. */
  readonly sets: string;
  /** Values of a row that was selected; other columns of the row are let by. */
  readonly read: (row: unknown, prefix?: string) => Row<F>;
  /** SQL parameters of values; what is not given gets its default. */
  readonly write: (values: Input<F>) => Record<string, SqlValue>;
}

/** The column or columns a field is kept in. */
export function columnsOf(name: string, field: Field): Column[] {
  if (field.kind !== 'range') return [{ parameter: name, column: field.column ?? snakeCase(name) }];
  return field.columns.map((column, end) => ({ parameter: `${name}${end}`, column }));
}

export function tableOf<const F extends Fields>(name: string, fields: F): SqlTable<F> {
  const entries = entriesOf(fields);
  const columns = entries.flatMap(([field, kind]) => columnsOf(field, kind));
  return {
    name,
    fields,
    selected: (alias = name, prefix = '') =>
      columns
        .map(({ parameter, column }) => `${alias}.${column} AS ${prefix}${parameter}`)
        .join(', '),
    columns: columns.map(({ column }) => column).join(', '),
    parameters: columns.map(({ parameter }) => `@${parameter}`).join(', '),
    sets: columns.map(({ parameter, column }) => `${column} = @${parameter}`).join(', '),
    read: (row, prefix = '') => {
      const values: Record<string, unknown> = {};
      for (const [field, kind] of entries)
        values[field] = valueOf(prefix + field, kind, row as SqlRow);
      return values as Row<F>;
    },
    write: (values) => {
      const given = values as Readonly<Record<string, unknown>>;
      const written: Record<string, SqlValue> = {};
      for (const [field, kind] of entries)
        Object.assign(written, parametersOf(field, kind, given[field]));
      return written;
    },
  };
}

function valueOf(name: string, field: Field, row: SqlRow): unknown {
  if (field.kind === 'range') return [row[`${name}0`], row[`${name}1`]];
  const raw = row[name];
  assert(raw !== undefined, `${name} was not selected`);
  if (raw === null) return undefined;
  switch (field.kind) {
    case 'flag':
      return raw === 1;
    case 'words':
    case 'notes':
    case 'steps':
      return JSON.parse(String(raw)) as unknown;
    default:
      return raw;
  }
}

function parametersOf(name: string, field: Field, given: unknown): Record<string, SqlValue> {
  const value = given === undefined ? field.default : given;
  if (field.kind === 'range') {
    const ends = value as readonly [number, number];
    return { [`${name}0`]: ends[0], [`${name}1`]: ends[1] };
  }
  return { [name]: value === undefined ? null : sqlOf(field, value) };
}

function sqlOf({ kind }: Field, value: unknown): SqlValue {
  switch (kind) {
    case 'flag':
      return Number(value);
    case 'words':
    case 'notes':
    case 'steps':
      return JSON.stringify(value);
    default:
      return value as SqlValue;
  }
}

/** A row a person has seen, to be changed only if nobody else changed it since. */
export interface Seen {
  readonly id: string;
  readonly rowVersion: number;
}

/** Changes a row of a table with row versions; false when someone else changed or removed it meanwhile. */
export function updateRow<F extends Fields>(
  db: Db,
  table: SqlTable<F>,
  { id, rowVersion }: Seen,
  values: Input<F>,
): boolean {
  const { changes } = prepared(
    db,
    `UPDATE ${table.name} SET ${table.sets}, row_version = row_version + 1
     WHERE id = @id AND row_version = @rowVersion AND removed_at IS NULL`,
  ).run({ ...table.write(values), id, rowVersion });
  return changes === 1;
}
