/** Shots of a spreadsheet: a row each, in the order they were pulled. Pure. */
import { z } from 'zod';
import { entryShape } from '@/core/schema/entry';
import { day, text } from '@/core/entity/field';
import { SHOT } from '@/core/entity/shot';
import { massOfVolume } from '@/core/extraction/volume';
import { dripInTime, isDripInTime, isYieldPlausible, thinYield } from '@/core/schema/shot';
import { columnsOf } from './cells';
import type { CsvTable } from './csv';
import { readEntries, type ReadOptions } from './rows';
import { WHERE } from './where';

export const SHOT_SHEET = {
  ...WHERE,
  pulledOn: day({ label: 'Pulled on', headers: ['pulled on', 'date', 'pulled', 'day'] }),
  pulledAt: text('note', {
    label: 'At (hour)',
    optional: true,
    headers: ['pulled at', 'at', 'hour', 'clock time'],
  }),
  ...SHOT,
  person: text('name', {
    label: 'Pulled by',
    default: '',
    headers: ['pulled by', 'barista', 'person', 'by'],
  }),
} as const;

/** The house's clock and the recipe's temperature stand where a sheet says none; a volume for a mass. */
export const SHOT_SHEET_COLUMNS = columnsOf(SHOT_SHEET, ['clock', 'temperatureC', 'yieldG']);

const shape = entryShape(SHOT_SHEET);
const hour = z.string().regex(/^([01]?\d|2[0-3]):[0-5]\d(:[0-5]\d)?$/, {
  error: 'That is no time of day. Write it as 9:05 or 14:30.',
});

export const shotRow = z
  .strictObject({
    ...shape,
    pulledAt: hour.optional(),
    temperatureC: shape.temperatureC.optional(),
  })
  .refine(isDripInTime, dripInTime)
  .refine(isYieldPlausible, thinYield);
export type ShotRow = z.output<typeof shotRow>;

/** Shots of a sheet, or every fault of it. */
export function readShots(table: CsvTable, options: ReadOptions) {
  return readEntries(
    table,
    {
      fields: SHOT_SHEET,
      columns: SHOT_SHEET_COLUMNS,
      schema: shotRow,
      complete: ({ clock = options.clock, ...raw }) => ({
        ...raw,
        clock,
        // A mass in the sheet was weighed, or worked out with the factor of its day.
        ...(raw.yieldG === undefined &&
          typeof raw.yieldMl === 'number' && {
            yieldG: massOfVolume(raw.yieldMl, options.cremaGPerMl),
          }),
      }),
    },
    options,
  );
}
