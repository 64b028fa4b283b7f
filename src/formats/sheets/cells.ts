/**
 * The columns of a spreadsheet from the fields of an entity, and the way of values into cells and out.
 * A field travels because it is a field: there is no second list to forget it in.
 */
import { readVolume } from '@/core/extraction/volume';
import { readDial, type Notation } from '@/core/grinder/notation';
import { readNumber } from '@/core/readNumber';
import { entriesOf, isNeeded, type Field, type Fields } from '@/core/entity/field';
import { LIMITS, type LimitName } from '@/core/limits';
import { figureIn, plain, type ColumnDef, type Columns, type Mapping, type Units } from './columns';
import { settled, type Commas } from './commas';
import { csvDay, type DateOrder } from './csv';

export type Cells = (column: string) => string;
export type Cell = string | number | undefined;

/** How one field stands in a sheet: its columns, and the way in and out. */
interface Way {
  readonly columns: Columns;
  readonly read: (cells: Cells, options: CellOptions) => unknown;
  readonly write: (value: never, cells: Record<string, Cell>) => void;
}

export interface CellOptions {
  readonly units: Units;
  readonly dateOrder: DateOrder;
  /** What a comma means where a figure may be two; nobody guesses when absent. */
  readonly commas?: Commas | undefined;
  /** How the grinder of this row writes its dials; as numbers when absent. */
  readonly notation?: Notation;
}

/** Names of the columns a range has. */
export const rangeColumns = (name: string): readonly [string, string] => [`${name}0`, `${name}1`];

function measureOf(limit: LimitName): Pick<ColumnDef, 'measure'> {
  const { unit } = LIMITS[limit];
  if (unit === 'g') return { measure: 'mass' };
  if (unit === 'ml') return { measure: 'volume' };
  return unit === '°C' ? { measure: 'temperature' } : {};
}

function labelOf({ label, ...field }: Field): string {
  if (field.kind !== 'quantity') return label;
  const { unit } = LIMITS[field.limit];
  // Masses and temperatures come in more than one unit: that is asked beside the column.
  return unit === '' || measureOf(field.limit).measure ? label : `${label}, ${unit}`;
}

function wayOf(name: string, field: Field): Way {
  const one = (
    read: (text: string, options: CellOptions) => unknown,
    write: (value: never) => Cell,
    extra: Pick<ColumnDef, 'measure' | 'isDial'> = {},
  ): Way => ({
    columns: {
      [name]: {
        label: labelOf(field),
        required: isNeeded(field),
        headers: field.headers ?? [plain(field.label)],
        ...extra,
      },
    },
    read: (cells, options) => read(cells(name), options),
    write: (value, cells) => {
      cells[name] = write(value);
    },
  });
  switch (field.kind) {
    case 'quantity': {
      const { named } = field;
      const isVolume = measureOf(field.limit).measure === 'volume';
      const levelOf = (text: string) =>
        named?.find(({ label }) => plain(label) === plain(text))?.level;
      return one(
        (written, { units, notation, commas }) => {
          const text = settled(written, commas);
          if (field.limit === 'dial') return readDial(notation ?? {}, text);
          if (isVolume && units[name] === undefined) return readVolume(text) ?? textOf(text);
          return levelOf(text) ?? figureIn(text, units[name]);
        },
        (value: number) => value,
        { ...measureOf(field.limit), ...(field.limit === 'dial' && { isDial: true }) },
      );
    }
    case 'range':
      return rangeWay(name, field);
    case 'text':
      return one(
        (text) => (text === '' && field.optional ? undefined : text),
        (value: string) => value,
      );
    case 'word':
      return one(
        (text) => wordOf(text, field.words, field.labels),
        (value: string) => field.labels[value],
      );
    case 'words':
      return one(
        (text) => {
          const read = listOf(text).map((item) => wordOf(item, field.words, field.labels));
          return read.length === 0 ? undefined : read;
        },
        (value: readonly string[]) =>
          value.map((item) => field.labels[item]!.replaceAll(',', ' ')).join('; '),
      );
    case 'notes':
      return one(
        (text) => listOf(text),
        (value: readonly string[]) => value.join('; '),
      );
    case 'flag':
      return one(yesNoOf, (value: boolean) => (value ? 'yes' : 'no'));
    case 'day':
      return one(
        (text, { dateOrder }) => (text === '' ? undefined : csvDay(text, dateOrder)),
        (value: string) => value,
      );
    case 'steps':
      return one(jsonOf, (value: unknown) => JSON.stringify(value));
  }
}

/** A figure nobody can place: the text it is, for the edge to name. */
const textOf = (text: string) => (text === '' ? undefined : text);

function rangeWay(name: string, field: Field): Way {
  const [from, to] = rangeColumns(name);
  const column = (end: string): ColumnDef => ({
    label: `${field.label}, ${end}`,
    required: false,
    headers: (field.headers ?? [plain(field.label)]).map((header) => `${header} ${end}`),
  });
  return {
    columns: { [from]: column('from'), [to]: column('to') },
    read: (cells, { commas }) => {
      const ends = [from, to].map((end) => readNumber(settled(cells(end), commas)));
      return ends.every((end) => end === undefined) ? undefined : ends;
    },
    write: (value: readonly [number, number], cells) => {
      [cells[from], cells[to]] = value;
    },
  };
}

/** Steps as a sheet keeps them; what is no JSON goes on as the text it is. */
function jsonOf(text: string): unknown {
  if (text === '') return undefined;
  try {
    return JSON.parse(text);
  } catch {
    return text;
  }
}

type Values = Readonly<Record<string, never>>;

const ways = new WeakMap<Fields, ReadonlyMap<string, Way>>();

function waysOf(fields: Fields): ReadonlyMap<string, Way> {
  let known = ways.get(fields);
  if (!known)
    ways.set(
      fields,
      (known = new Map(entriesOf(fields).map(([name, field]) => [name, wayOf(name, field)]))),
    );
  return known;
}

/** Every column of an entity; `optional` fields need not be mapped though somebody must say them. */
export function columnsOf(fields: Fields, optional: readonly string[] = []): Columns {
  return Object.assign(
    {},
    ...[...waysOf(fields)].map(([name, { columns }]) =>
      optional.includes(name)
        ? Object.fromEntries(
            Object.entries(columns).map(([key, column]) => [key, { ...column, required: false }]),
          )
        : columns,
    ),
  ) as Columns;
}

/** What a row says of an entity, as its schema judges it; an empty cell is left out. */
export function readCells(
  fields: Fields,
  cells: Cells,
  options: CellOptions,
): Record<string, unknown> {
  return Object.fromEntries(
    [...waysOf(fields)].map(([name, { read }]) => [name, read(cells, options)]),
  );
}

/** The cells of an entity's values; what several of the sources say is taken from the last of them. */
export function writeCells(fields: Fields, ...sources: readonly object[]): Record<string, Cell> {
  const cells: Record<string, Cell> = {};
  for (const [name, { write }] of waysOf(fields)) {
    for (let i = sources.length - 1; i >= 0; i--) {
      const value = (sources[i] as Values)[name];
      if (value === undefined) continue;
      write(value, cells);
      break;
    }
  }
  return cells;
}

/** Words a sheet can say for a field, as people write them; none where it is a matter of figures or text. */
export function sayable(field: Field | undefined): readonly string[] {
  if (field?.kind === 'word' || field?.kind === 'words') return Object.values(field.labels);
  if (field?.kind === 'quantity') return (field.named ?? []).map(({ label }) => label);
  return [];
}

/** The column a fault of a field is told at, as the file calls it, or as we do when it has none. */
export function columnName(columns: Columns, column: string, mapping: Mapping): string {
  return mapping[column] ?? columns[column]?.label ?? column;
}

/** A word by its key or by the label people read, in any case; the text itself when it is neither. */
export function wordOf(
  text: string,
  words: readonly string[],
  labels: Readonly<Record<string, string>>,
): string | undefined {
  const sought = plain(text);
  if (sought === '') return undefined;
  return (
    words.find((word) => plain(word) === sought || plain(labels[word]!) === sought) ?? text.trim()
  );
}

/** Yes or no in the words and signs people use; the text itself when it is neither. */
function yesNoOf(text: string): boolean | string | undefined {
  const sought = plain(text);
  if (sought === '') return undefined;
  if (['yes', 'y', 'true', '1', 'x', 'ja', 'oui'].includes(sought)) return true;
  if (['no', 'n', 'false', '0', 'nein', 'non'].includes(sought)) return false;
  return text.trim();
}

/** Words of a list in one cell. */
function listOf(text: string): string[] {
  return text
    .split(/[,;|]/)
    .map((word) => word.trim())
    .filter((word) => word !== '');
}
