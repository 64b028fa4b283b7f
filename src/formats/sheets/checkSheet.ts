/** Checks of cafés in a spreadsheet: a row for each coffee that was checked. Pure. */
import { z } from 'zod';
import { entryShape } from '@/core/schema/entry';
import { day, text } from '@/core/entity/field';
import { CAFE_CHECK } from '@/core/entity/cafeCheck';
import { columnsOf } from './cells';
import type { CsvTable } from './csv';
import { readEntries, type ReadOptions } from './rows';
import { WHERE } from './where';

export const CHECK_SHEET = {
  cafe: text('name', { label: 'Café', headers: ['café', 'cafe', 'partner', 'shop', 'bar'] }),
  release: WHERE.release,
  checkedOn: day({ label: 'Checked on', headers: ['checked on', 'date', 'checked', 'day'] }),
  checkedAt: text('note', {
    label: 'Checked at (hour)',
    headers: ['checked at', 'time of day', 'hour', 'at'],
  }),
  roastDate: WHERE.roastDate,
  ...CAFE_CHECK,
} as const;

export const CHECK_COLUMNS = columnsOf(CHECK_SHEET, ['taste']);

const TIME_OF_DAY = /^([01]?\d|2[0-3]):[0-5]\d(:[0-5]\d)?$/;

export const checkRow = z.strictObject({
  ...entryShape(CHECK_SHEET),
  checkedAt: z
    .string({ error: 'The hour of the check is missing. Write it as 7:05.' })
    .regex(TIME_OF_DAY, { error: 'That is no time of day. Write it as 7:05.' }),
});
export type CheckRow = z.output<typeof checkRow>;

/** Checks of a sheet, or every fault of it. */
export function readChecks(table: CsvTable, options: ReadOptions) {
  return readEntries(
    table,
    { fields: CHECK_SHEET, columns: CHECK_COLUMNS, schema: checkRow, notationBy: 'cafe' },
    options,
  );
}
