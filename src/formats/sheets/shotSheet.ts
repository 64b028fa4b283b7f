/** Shots of a spreadsheet: a row each, in the order they were pulled. Pure. */
import { z } from 'zod';
import { day, oneOf, optionalText, quantity } from '@/core/schema/fields';
import {
  dripInTime,
  isDripInTime,
  isYieldPlausible,
  shotFields,
  thinYield,
} from '@/core/schema/shot';
import { CLOCK_LABELS, CLOCKS, SEEN, SEEN_LABELS } from '@/core/vocabulary';
import { figureIn } from './columns';
import { SHOT_COLUMNS } from './shotColumns';
import { csvDay, csvNumber, type CsvTable } from './csv';
import { listOf, readEntries, wordOf, yesNoOf, type ReadOptions } from './rows';
import { whereFields, whereOf } from './where';

const hour = z.string().regex(/^([01]?\d|2[0-3]):[0-5]\d(:[0-5]\d)?$/, {
  error: 'That is no time of day. Write it as 9:05 or 14:30.',
});

export const shotRow = z
  .strictObject({
    ...whereFields,
    pulledOn: day('Pulled on'),
    pulledAt: hour.optional(),
    dial: shotFields.dial,
    doseG: shotFields.doseG,
    yieldG: shotFields.yieldG,
    timeS: shotFields.timeS,
    firstDripS: shotFields.firstDripS,
    clock: oneOf('Clock', CLOCKS),
    temperatureC: shotFields.temperatureC,
    purged: z.boolean({ error: 'Purged is neither yes nor no. Write one of them, or nothing.' }),
    seen: shotFields.seen,
    tdsPct: quantity('tdsPct').optional(),
    person: optionalText('Pulled by', 'name'),
    remark: optionalText('Remark', 'remark'),
  })
  .refine(isDripInTime, dripInTime)
  .refine(isYieldPlausible, thinYield);
export type ShotRow = z.output<typeof shotRow>;

/** Shots of a sheet, or every fault of it. */
export function readShots(table: CsvTable, { mapping, units, dateOrder, clock }: ReadOptions) {
  return readEntries(table, {
    columns: SHOT_COLUMNS,
    schema: shotRow,
    mapping,
    sources: {
      doseG: 'dose',
      yieldG: 'yield',
      timeS: 'time',
      firstDripS: 'firstDrip',
      temperatureC: 'temperature',
      tdsPct: 'tds',
    },
    raw: (cells) => ({
      ...whereOf(cells, dateOrder),
      pulledOn: csvDay(cells('pulledOn'), dateOrder),
      pulledAt: cells('pulledAt') || undefined,
      dial: csvNumber(cells('dial')),
      doseG: figureIn(cells('dose'), units.dose),
      yieldG: figureIn(cells('yield'), units.yield),
      timeS: csvNumber(cells('time')),
      firstDripS: csvNumber(cells('firstDrip')),
      clock: wordOf(cells('clock'), CLOCKS, CLOCK_LABELS) ?? clock,
      temperatureC: figureIn(cells('temperature'), units.temperature),
      purged: yesNoOf(cells('purged')) ?? false,
      seen: listOf(cells('seen')).map((word) => wordOf(word, SEEN, SEEN_LABELS)),
      tdsPct: csvNumber(cells('tds')),
      person: cells('person'),
      remark: cells('remark'),
    }),
  });
}
