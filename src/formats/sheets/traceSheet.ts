/**
 * A trace of one shot as a file has it: time_s, weight_g and, where there are, pressure_bar, flow_ml_s,
 * temperature_c. Other columns are let by.
 */
import { readNumber } from '@/core/readNumber';
import { userFault } from '@/core/errors';
import type { Trace } from '@/core/trace/schema';
import { decodeCsv, parseCsv, sheetRow } from './csv';

const COLUMNS = {
  timeS: 'time_s',
  weightG: 'weight_g',
  pressureBar: 'pressure_bar',
  flowMlS: 'flow_ml_s',
  temperatureC: 'temperature_c',
} as const;
type Field = keyof typeof COLUMNS;
const FIELDS = Object.keys(COLUMNS) as Field[];
const NEEDED: readonly Field[] = ['timeS', 'weightG'];

/**
 * The points of a file's bytes, in its order.
 * @throws UserFault that names the column or the row that cannot be read.
 */
export function readTraceSheet(bytes: Uint8Array): Trace {
  const { columns, rows } = parseCsv(decodeCsv(bytes));
  const lower = columns.map((column) => column.toLowerCase());
  const at = (field: Field) => lower.indexOf(COLUMNS[field]);
  const missing = NEEDED.find((field) => at(field) < 0);
  if (missing)
    throw userFault(
      'badInput',
      'file',
      `The file has no column ${COLUMNS[missing]}. A trace needs time_s and weight_g; name its columns so.`,
    );
  return rows.map((cells, i) => {
    const point: Partial<Record<Field, number>> = {};
    for (const field of FIELDS) {
      const value = at(field) < 0 ? undefined : readNumber(cells[at(field)] ?? '');
      if (typeof value === 'string' || (value === undefined && NEEDED.includes(field)))
        throw userFault(
          'badInput',
          'file',
          `Row ${sheetRow(i)}: ${COLUMNS[field]} is ${value === undefined ? 'empty' : `“${value}”, which is no number`}. Mend that row.`,
        );
      if (value !== undefined) point[field] = value;
    }
    return point as Trace[number];
  });
}
