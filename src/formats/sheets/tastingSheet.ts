/** Tastings of a spreadsheet: a row for each cup somebody judged. Pure. */
import { z } from 'zod';
import { entryShape } from '@/core/schema/entry';
import { day, text } from '@/core/entity/field';
import { SCALES, TASTING } from '@/core/entity/tasting';
import { tasteSchema } from '@/core/schema/shot';
import { columnsOf } from './cells';
import type { CsvTable } from './csv';
import { readEntries, type ReadOptions } from './rows';
import { WHERE } from './where';

const PLACED = {
  ...WHERE,
  tastedOn: day({ label: 'Tasted on', headers: ['tasted on', 'date', 'tasted', 'day'] }),
  pulledOn: day({
    label: 'Shot pulled on, if another day',
    optional: true,
    headers: ['pulled on', 'shot pulled on'],
  }),
  pulledAt: text('note', {
    label: 'Shot pulled at (hour)',
    optional: true,
    headers: ['pulled at', 'shot pulled at'],
  }),
  taster: text('name', {
    label: 'Taster',
    default: '',
    headers: ['taster', 'tasted by', 'person', 'by'],
  }),
  ...TASTING,
} as const;

export const TASTING_SHEET = { ...PLACED, ...SCALES } as const;

export const TASTING_COLUMNS = columnsOf(TASTING_SHEET, ['moment', 'serving']);

const isJudged = (scales: object) => Object.values(scales).some((value) => value !== undefined);

export const tastingRow = z.strictObject({
  ...entryShape(PLACED),
  scales: tasteSchema.refine(isJudged, {
    path: ['liking'],
    error: 'Nothing was judged in this row. Fill in a scale, or leave the row out.',
  }),
});
export type TastingRow = z.output<typeof tastingRow>;

/** Tastings of a sheet, or every fault of it. */
export function readTastings(table: CsvTable, options: ReadOptions) {
  return readEntries(
    table,
    {
      fields: TASTING_SHEET,
      columns: TASTING_COLUMNS,
      schema: tastingRow,
      complete: ({ moment = 'warm', serving = 'straight', ...raw }) => {
        const scales = Object.fromEntries(Object.keys(SCALES).map((name) => [name, raw[name]]));
        const placed = Object.fromEntries(
          Object.entries(raw).filter(([name]) => !(name in SCALES)),
        );
        return { ...placed, moment, serving, scales };
      },
    },
    options,
  );
}
