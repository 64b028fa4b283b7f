/** What an import is, whatever it brings: read and checked, but nothing stored yet. */
import { z } from 'zod';
import { oneOf } from '@/core/schema/fields';
import type { Context } from '@/data/command';
import { COLUMN_UNITS, type Mapping } from '@/formats/sheets/columns';
import { COMMAS } from '@/formats/sheets/commas';
import { CSV_LIMITS, DATE_ORDERS } from '@/formats/sheets/csv';
import type { RowFault } from '@/formats/sheets/rows';

export const importInput = z.strictObject({
  csv: z
    .string({ error: 'No file came. Choose a CSV file.' })
    .max(CSV_LIMITS.megabytes * 1_000_000, {
      error: `The file is over ${CSV_LIMITS.megabytes} MB. Split it.`,
    }),
  mapping: z.record(z.string().max(40), z.string().max(200)),
  units: z.record(z.string().max(40), z.enum(COLUMN_UNITS)).default({}),
  dateOrder: oneOf('Order of the date', DATE_ORDERS),
  /** As the other figures of the file have it when absent. */
  commas: oneOf('Commas', COMMAS).optional(),
});
export type ImportInput = Omit<z.output<typeof importInput>, 'mapping'> & {
  readonly mapping: Mapping;
};

export interface Prepared {
  readonly faults: readonly RowFault[];
  /** "3 new releases, 5 new batches". */
  readonly news: string;
  /** What of the sheet the house has already; it stays as it is. */
  readonly known: number;
  /** Stores what is new; called only when there are no faults. */
  readonly apply: (context: Context) => void;
}

/** What a dry run says. */
export interface ImportPlan extends Omit<Prepared, 'apply'> {
  readonly rows: number;
}

export function countWords(count: number, one: string, many: string): string {
  return `${count} ${count === 1 ? one : many}`;
}
