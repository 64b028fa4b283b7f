/**
 * Releases and batches from a spreadsheet: a row per component and batch; rows of one name make one
 * release. Pure: reads, checks every row, stores nothing.
 */
import { BATCH } from '@/core/entity/batch';
import { COMPONENT } from '@/core/entity/component';
import { RELEASE } from '@/core/entity/release';
import { daysBetween } from '@/core/rest/day';
import { batchSharesFault } from '@/core/schema/shares';
import {
  batchEntry,
  componentRow,
  releaseEntry,
  type BatchEntry,
  type ReleaseEntry,
} from '@/core/schema/releaseEntry';
import { inWords } from '@/words/faults';
import { columnName, columnsOf, readCells, type Cells } from './cells';
import { plain } from './columns';
import type { CsvTable } from './csv';
import { faultsOf, PROGRESS_EVERY, rowsOf, type ReadOptions, type RowFault } from './rows';

export const RELEASE_SHEET = { ...RELEASE, ...BATCH, ...COMPONENT } as const;

/** A single component needs no share. */
export const RELEASE_COLUMNS = columnsOf(RELEASE_SHEET, ['sharePct']);

export interface ReadRelease {
  readonly release: ReleaseEntry;
  readonly batches: readonly BatchEntry[];
}

interface Group {
  readonly firstRow: number;
  readonly cells: Cells;
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
  const faults: RowFault[] = [];
  const groups = new Map<string, Group>();
  for (const { at, row, cells } of rowsOf(table, RELEASE_COLUMNS, options.mapping)) {
    if (at % PROGRESS_EVERY === 0) yield at;
    const key = plain(cells('name')) || `\u0000${row}`;
    const group = groups.get(key) ?? {
      firstRow: row,
      cells,
      components: new Map<string, Record<string, unknown>>(),
      batches: new Map<string, BatchEntry>(),
      isBroken: false,
    };
    groups.set(key, group);
    const found = readRow(cells, row, options);
    faults.push(...found.faults);
    group.isBroken ||= found.faults.length > 0;
    group.components.set(JSON.stringify(found.component), found.component);
    if (found.batch)
      group.batches.set(`${found.batch.roastDate} ${plain(found.batch.label)}`, found.batch);
  }
  // A fault of a row is not said again of the whole release.
  const whole = [...groups.values()].filter((group) => !group.isBroken);
  const releases = whole.flatMap((group) => {
    const read = completeRelease(group, options);
    if (!('faults' in read)) return [read];
    faults.push(...read.faults);
    return [];
  });
  return { releases, faults: faults.sort((a, b) => a.row - b.row) };
}

function readRow(cells: Cells, row: number, options: ReadOptions) {
  const { today, mapping } = options;
  const component = readCells(COMPONENT, cells, options);
  const readBatch = batchEntry.safeParse(readCells(BATCH, cells, options));
  // The share is judged with the whole release: a single component needs none.
  const readComponent = componentRow.safeParse(component);
  const place = { fields: RELEASE_SHEET, columns: RELEASE_COLUMNS, mapping, cells };
  const faults = [readBatch, readComponent].flatMap(({ error }) =>
    error ? faultsOf(error, row, place) : [],
  );
  const fault = (column: string, message: string) =>
    faults.push({ row, column: columnName(RELEASE_COLUMNS, column, mapping), message });
  if (cells('name') === '') fault('name', 'Release is empty. Enter its name.');
  if (readBatch.success && daysBetween(readBatch.data.roastDate, today) < 0)
    fault(
      'roastDate',
      `Roast date ${readBatch.data.roastDate} is in the future. Enter ${today} or an earlier day, or choose another order of day and month.`,
    );
  return { component, batch: readBatch.data, faults };
}

function completeRelease(
  { components: ofGroup, cells, firstRow, batches }: Group,
  options: ReadOptions,
): ReadRelease | { faults: RowFault[] } {
  const components = [...ofGroup.values()];
  const [only] = components;
  const read = releaseEntry.safeParse({
    ...readCells(RELEASE, cells, options),
    components:
      components.length === 1 ? [{ ...only, sharePct: only!.sharePct ?? 100 }] : components,
  });
  const { mapping } = options;
  const found = [...batches.values()];
  if (read.success) {
    const wrong = found
      .map(({ sharesPct }) => batchSharesFault(sharesPct, read.data.components))
      .find((fault) => fault !== null);
    if (!wrong) return { release: read.data, batches: found };
    const column = columnName(RELEASE_COLUMNS, 'sharesPct', mapping);
    return { faults: [{ row: firstRow, column, message: inWords(wrong) }] };
  }
  return {
    faults: faultsOf(read.error, firstRow, {
      fields: RELEASE_SHEET,
      columns: { ...RELEASE_COLUMNS, components: RELEASE_COLUMNS.sharePct! },
      mapping,
      cells,
    }),
  };
}
