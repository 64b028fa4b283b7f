/**
 * Releases and batches from a spreadsheet: a row per component and batch; rows of one name make one
 * release. Pure: reads, checks every row, stores nothing.
 */
import type { z } from 'zod';
import { CRUSH_LABELS, CRUSHES } from '@/core/coffee/roast';
import { daysBetween } from '@/core/rest/day';
import {
  batchEntry,
  componentEntry,
  releaseEntry,
  type BatchEntry,
  type ReleaseEntry,
} from '@/core/schema/releaseEntry';
import {
  PROCESS_LABELS,
  PROCESSES,
  ROAST_WORDS,
  SERVED,
  SERVED_LABELS,
  VARIETY_CLASSES,
  VARIETY_LABELS,
} from '@/core/vocabulary';
import { figureIn, plain } from './columns';
import { RELEASE_COLUMN_NAMES, RELEASE_COLUMNS, type ReleaseColumn } from './releaseColumns';
import { csvDay, csvNumber, sheetRow, type CsvTable } from './csv';
import { PROGRESS_EVERY, wordOf, type ReadOptions, type RowFault } from './rows';

export interface ReadRelease {
  readonly release: ReleaseEntry;
  readonly batches: readonly BatchEntry[];
}

/** ρ by word ("Light") or by figure. */
function roastOf(text: string): number | string | undefined {
  const sought = plain(text);
  return ROAST_WORDS.find(({ label }) => plain(label) === sought)?.level ?? csvNumber(text);
}

/** Where a field of an entry came from in the file, for the fault of its row. */
const SOURCE: Readonly<Record<string, ReleaseColumn>> = {
  name: 'release',
  serving: 'served',
  promisedNotes: 'notes',
  components: 'share',
  sharePct: 'share',
  altitudeM: 'altitude',
  densityGPerL: 'density',
  moisturePct: 'moisture',
  label: 'batch',
  roastLevel: 'roast',
  weightLossPct: 'weightLoss',
  sampleG: 'sample',
};

interface Group {
  readonly firstRow: number;
  readonly cells: (column: ReleaseColumn) => string;
  readonly components: Map<string, Record<string, unknown>>;
  readonly batches: Map<string, BatchEntry>;
  isBroken: boolean;
}

/**
 * Every release of a table, or every fault of it: all rows are read before anything is said. Yields the
 * rows read so far, now and then.
 */
export function* readReleases(
  table: CsvTable,
  options: ReadOptions,
): Generator<number, { releases: ReadRelease[]; faults: RowFault[] }> {
  const { mapping } = options;
  const faults: RowFault[] = [];
  const at = new Map(
    RELEASE_COLUMN_NAMES.map((name) => [name, table.columns.indexOf(mapping[name] ?? '\u0000')]),
  );
  const groups = new Map<string, Group>();
  for (const [i, cellsOfRow] of table.rows.entries()) {
    if (i % PROGRESS_EVERY === 0) yield i;
    const row = sheetRow(i);
    const cells = (column: ReleaseColumn) => (cellsOfRow[at.get(column)!] ?? '').trim();
    const name = cells('release');
    const key = plain(name) || `\u0000${row}`;
    const group = groups.get(key) ?? {
      firstRow: row,
      cells,
      components: new Map<string, Record<string, unknown>>(),
      batches: new Map<string, BatchEntry>(),
      isBroken: false,
    };
    groups.set(key, group);
    const found = readRow(cells, { ...options, row });
    faults.push(...found.faults);
    group.isBroken ||= found.faults.length > 0;
    group.components.set(JSON.stringify(found.component), found.component);
    if (found.batch)
      group.batches.set(`${found.batch.roastDate} ${plain(found.batch.label)}`, found.batch);
  }
  // A fault of a row is not said again of the whole release.
  const whole = [...groups.values()].filter((group) => !group.isBroken);
  const releases = whole.flatMap((group) => {
    const read = completeRelease(group, mapping);
    if (!('faults' in read)) return [read];
    faults.push(...read.faults);
    return [];
  });
  const told = faults.map(({ row, column, message }) => ({ row, column, message }));
  return { releases, faults: told.sort((a, b) => a.row - b.row) };
}

function readRow(
  cells: (column: ReleaseColumn) => string,
  { row, dateOrder, today, mapping, units }: ReadOptions & { row: number },
) {
  const component = {
    sharePct: csvNumber(cells('share')),
    country: cells('country'),
    region: cells('region'),
    producer: cells('producer'),
    variety: cells('variety'),
    varietyClass: wordOf(cells('varietyClass'), VARIETY_CLASSES, VARIETY_LABELS),
    process: wordOf(cells('process'), PROCESSES, PROCESS_LABELS),
    altitudeM: csvNumber(cells('altitude')),
    densityGPerL: csvNumber(cells('density')),
    moisturePct: csvNumber(cells('moisture')),
  };
  const batch = {
    label: cells('batch'),
    roastDate: csvDay(cells('roastDate'), dateOrder),
    roastLevel: roastOf(cells('roast')),
    colourBean: csvNumber(cells('colourBean')),
    colourGround: csvNumber(cells('colourGround')),
    crush: wordOf(cells('crush'), CRUSHES, CRUSH_LABELS),
    weightLossPct: csvNumber(cells('weightLoss')),
    sampleG: figureIn(cells('sample'), units.sample),
  };
  const readBatch = batchEntry.safeParse(batch);
  // The share is judged with the whole release: a single component needs none.
  const readComponent = componentEntry.partial({ sharePct: true }).safeParse(component);
  const faults = [readBatch, readComponent]
    .flatMap(({ error }) => faultsOf(error, row, mapping))
    .map((fault) => ({ ...fault, message: inWords(fault.field, cells) ?? fault.message }));
  if (cells('release') === '')
    faults.push({
      field: 'release',
      row,
      column: columnName('release', mapping),
      message: 'Release is empty. Enter its name.',
    });
  if (readBatch.success && daysBetween(readBatch.data.roastDate, today) < 0)
    faults.push({
      field: 'roastDate',
      row,
      column: columnName('roastDate', mapping),
      message: `Roast date ${readBatch.data.roastDate} is in the future. Enter ${today} or an earlier day, or choose another order of day and month.`,
    });
  return { component, batch: readBatch.data, faults };
}

/** Words a spreadsheet can say, as people write them. */
const SAID: Readonly<Record<string, { column: ReleaseColumn; words: readonly string[] }>> = {
  process: { column: 'process', words: Object.values(PROCESS_LABELS) },
  varietyClass: { column: 'varietyClass', words: Object.values(VARIETY_LABELS) },
  serving: { column: 'served', words: Object.values(SERVED_LABELS) },
  roastLevel: { column: 'roast', words: ROAST_WORDS.map(({ label }) => label) },
  crush: { column: 'crush', words: Object.values(CRUSH_LABELS) },
};

/** A fault of a word, said with the words people write; null for other faults. */
function inWords(field: string, cells: (column: ReleaseColumn) => string): string | null {
  const said = SAID[field];
  const text = said && cells(said.column);
  if (!said || typeof csvNumber(text!) === 'number') return null;
  return `“${text}” is not known here. Write one of: ${said.words.join('; ')}.`;
}

function completeRelease(
  group: Group,
  mapping: ReadOptions['mapping'],
): ReadRelease | { faults: RowFault[] } {
  const components = [...group.components.values()];
  const [only] = components;
  const read = releaseEntry.safeParse({
    name: group.cells('release'),
    serving: wordOf(group.cells('served'), SERVED, SERVED_LABELS) ?? 'both',
    promisedNotes: group
      .cells('notes')
      .split(/[,;]/)
      .map((note) => note.trim())
      .filter((note) => note !== ''),
    components:
      components.length === 1 ? [{ ...only, sharePct: only!.sharePct ?? 100 }] : components,
  });
  if (!read.success)
    return {
      faults: faultsOf(read.error, group.firstRow, mapping).map((fault) => ({
        ...fault,
        message: inWords(fault.field, group.cells) ?? fault.message,
      })),
    };
  return { release: read.data, batches: [...group.batches.values()] };
}

function faultsOf(
  error: z.ZodError | undefined,
  row: number,
  mapping: ReadOptions['mapping'],
): (RowFault & { readonly field: string })[] {
  return (error?.issues ?? []).map(({ path, message }) => {
    const field = String(path.findLast((part) => typeof part === 'string') ?? '');
    const column =
      SOURCE[field] ?? (field in RELEASE_COLUMNS ? (field as ReleaseColumn) : 'release');
    return { row, column: columnName(column, mapping), message, field };
  });
}

/** The column as the file calls it, or as we do when it has none. */
function columnName(column: ReleaseColumn, mapping: ReadOptions['mapping']): string {
  return mapping[column] ?? RELEASE_COLUMNS[column].label;
}
