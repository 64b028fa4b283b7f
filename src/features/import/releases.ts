/** Taking in releases and batches from a spreadsheet: all rows or none. */
import { z } from 'zod';
import { UserFault, userFault } from '@/core/errors';
import { oneOf } from '@/core/schema/fields';
import type { BatchEntry } from '@/core/schema/releaseEntry';
import { defineCommand, personOf } from '@/data/command';
import type { Db } from '@/data/database';
import { findReleaseNamed, insertBatch, insertRelease, type StoredRelease } from '@/data/releases';
import { CSV_LIMITS, DATE_ORDERS, parseCsv } from '@/formats/csv';
import { RELEASE_COLUMN_NAMES, RELEASE_COLUMNS } from '@/formats/releaseColumns';
import { readReleases, type ReadRelease, type RowFault } from '@/formats/releaseCsv';

export const importInput = z.strictObject({
  csv: z
    .string({ error: 'No file came. Choose a CSV file.' })
    .max(CSV_LIMITS.megabytes * 1_000_000, {
      error: `The file is over ${CSV_LIMITS.megabytes} MB. Split it.`,
    }),
  mapping: z.partialRecord(z.enum(RELEASE_COLUMN_NAMES), z.string().max(200)),
  dateOrder: oneOf('Order of the date', DATE_ORDERS),
});
export type ImportInput = z.output<typeof importInput>;

export interface ImportPlan {
  readonly rows: number;
  readonly faults: readonly RowFault[];
  readonly newReleases: number;
  readonly newBatches: number;
  /** Batches the house has already; their rows change nothing. */
  readonly known: number;
}

interface Planned extends ReadRelease {
  readonly existing: StoredRelease | null;
  readonly fresh: readonly BatchEntry[];
}

/** Reads everything and finds what is new; stores nothing. */
function readImport(db: Db, { csv, mapping, dateOrder }: ImportInput, today: string) {
  const table = parseCsv(csv);
  refuseUnmapped(table.columns, mapping);
  const { releases, faults } = readReleases(table, { mapping, dateOrder, today });
  const planned = releases.map((read): Planned => {
    const existing = findReleaseNamed(db, read.release.name);
    const fresh = read.batches.filter((batch) => !hasBatch(existing, batch));
    return { ...read, existing, fresh };
  });
  return { table, faults, planned };
}

function hasBatch(release: StoredRelease | null, batch: BatchEntry): boolean {
  return (
    release?.batches.some(
      ({ roastDate, label }) =>
        roastDate === batch.roastDate && label.toLowerCase() === batch.label.toLowerCase(),
    ) ?? false
  );
}

function refuseUnmapped(columns: readonly string[], mapping: ImportInput['mapping']): void {
  for (const name of RELEASE_COLUMN_NAMES) {
    const { label, required } = RELEASE_COLUMNS[name];
    const column = mapping[name];
    if (required && column === undefined)
      throw userFault(
        'badInput',
        `mapping.${name}`,
        `No column is chosen for ${label.toLowerCase()}. Choose one, or add it to the file: it has ${columns.join(', ').slice(0, 200)}.`,
      );
    if (column !== undefined && !columns.includes(column))
      throw userFault(
        'badInput',
        `mapping.${name}`,
        `The file has no column “${column}”. Choose one it has.`,
      );
  }
}

/** What an import would do: the dry run. */
export function planImport(db: Db, input: ImportInput, today: string): ImportPlan {
  const { table, faults, planned } = readImport(db, input, today);
  const fresh = planned.reduce((sum, release) => sum + release.fresh.length, 0);
  const all = planned.reduce((sum, release) => sum + release.batches.length, 0);
  return {
    rows: table.rows.length,
    faults,
    newReleases: planned.filter(({ existing }) => existing === null).length,
    newBatches: fresh,
    known: all - fresh,
  };
}

export const importReleases = defineCommand({
  kind: 'importReleases',
  duty: 'lead',
  input: importInput,
  run: (input, context) => {
    const { db, id, today } = context;
    const { faults, planned } = readImport(db, input, today);
    if (faults.length > 0)
      throw new UserFault(
        'badInput',
        faults.slice(0, 20).map(({ row, column, message }) => ({
          field: `row ${row}`,
          message: `Row ${row}, ${column}: ${message}`,
        })),
      );
    planned.forEach(({ release, existing, fresh }, i) => {
      const releaseId = existing?.id ?? `${id}r${i}`;
      if (!existing) insertRelease(db, releaseId, release, personOf(context).id);
      fresh.forEach((batch, j) => insertBatch(db, `${id}r${i}b${j}`, releaseId, batch));
    });
    const releases = planned.filter(({ existing }) => existing === null).length;
    const batches = planned.reduce((sum, { fresh }) => sum + fresh.length, 0);
    return {
      releaseId: null,
      words: `imported ${releases} releases and ${batches} batches`,
      result: { releases, batches },
    };
  },
});
