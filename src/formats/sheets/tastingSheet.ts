/** Tastings of a spreadsheet: a row for each cup somebody judged. Pure. */
import { z } from 'zod';
import { day, oneOf, optionalText, text } from '@/core/schema/fields';
import { tasteSchema } from '@/core/schema/shot';
import { MOMENTS, SERVINGS, SERVING_LABELS, MOMENT_LABELS, TASTE_SIGNS } from '@/core/vocabulary';
import { TASTING_COLUMNS, SCALES } from './tastingColumns';
import { csvDay, csvNumber, type CsvTable } from './csv';
import { listOf, plainWord, readEntries, wordOf, type ReadOptions } from './rows';
import { dayOrNone, whereFields, whereOf } from './where';

const MOST_NOTES = 24;

export const tastingRow = z.strictObject({
  ...whereFields,
  tastedOn: day('Tasted on'),
  pulledOn: day('Shot pulled on').optional(),
  pulledAt: z.string().max(8).optional(),
  taster: optionalText('Taster', 'name'),
  moment: oneOf('Moment', MOMENTS),
  serving: oneOf('Served', SERVINGS),
  scales: tasteSchema.refine(
    (scales) => Object.values(scales).some((value) => value !== undefined),
    {
      path: ['liking'],
      error: 'Nothing was judged in this row. Fill in a scale, or leave the row out.',
    },
  ),
  notesFound: z.array(text('A note', 'note')).max(MOST_NOTES),
  remark: optionalText('Remark', 'remark'),
});
export type TastingRow = z.output<typeof tastingRow>;

/** Tastings of a sheet, or every fault of it. */
export function readTastings(table: CsvTable, { mapping, dateOrder }: ReadOptions) {
  return readEntries(table, {
    columns: TASTING_COLUMNS,
    schema: tastingRow,
    mapping,
    raw: (cells) => {
      const signs = listOf(cells('signs')).map((word) => plainWord(word, TASTE_SIGNS));
      return {
        ...whereOf(cells, dateOrder),
        tastedOn: csvDay(cells('tastedOn'), dateOrder),
        pulledOn: dayOrNone(cells('pulledOn'), dateOrder),
        pulledAt: cells('pulledAt') || undefined,
        taster: cells('taster'),
        moment: wordOf(cells('moment'), MOMENTS, MOMENT_LABELS) ?? 'warm',
        serving: wordOf(cells('serving'), SERVINGS, SERVING_LABELS) ?? 'straight',
        scales: {
          ...Object.fromEntries(SCALES.map((scale) => [scale, csvNumber(cells(scale))])),
          ...(signs.length > 0 && { signs }),
        },
        notesFound: listOf(cells('notesFound')),
        remark: cells('remark'),
      };
    },
  });
}
