/** Recipes a house decided on before it had this program: a row each. Pure. */
import { readNumber } from '@/core/readNumber';
import { z } from 'zod';
import { entryShape } from '@/core/schema/entry';
import { day, quantity, text } from '@/core/entity/field';
import { RECIPE } from '@/core/entity/recipe';
import { timeWindowOf } from '@/core/start/proposedVariables';
import { columnsOf, type Cells } from './cells';
import { type CsvTable } from './csv';
import { readEntries, type ReadOptions } from './rows';
import { WHERE } from './where';

export const RECIPE_SHEET = {
  ...WHERE,
  decidedOn: day({
    label: 'Decided on',
    headers: ['decided on', 'decided', 'since', 'published on', 'published', 'date'],
  }),
  ...RECIPE,
  dial: quantity('dial', {
    optional: true,
    headers: ['dial', 'grind', 'grind setting', 'grinder setting', 'setting'],
  }),
  why: text('words', {
    label: 'Remark',
    default: '',
    headers: ['remark', 'why', 'comment', 'notes'],
  }),
} as const;

/** Columns people write in place of a recipe's own. */
const INSTEAD = {
  ratio: { label: 'Ratio, if no yield', required: false, headers: ['ratio', 'brew ratio'] },
  time: {
    label: 'Time, if no window',
    required: false,
    headers: ['time', 'shot time', 'brew time', 'extraction time'],
  },
};

export const RECIPE_COLUMNS = {
  ...columnsOf(RECIPE_SHEET, ['yieldG', 'timeS', 'clock', 'restDays']),
  ...INSTEAD,
};

const shape = entryShape(RECIPE_SHEET);
export const recipeRow = z.strictObject({ ...shape, restDays: shape.restDays.optional() });
export type RecipeRow = z.output<typeof recipeRow>;

/** Recipes of a sheet, or every fault of it. */
export function readRecipes(table: CsvTable, options: ReadOptions) {
  return readEntries(
    table,
    {
      fields: RECIPE_SHEET,
      columns: RECIPE_COLUMNS,
      schema: recipeRow,
      complete: ({ clock = options.clock, ...raw }, cells) => ({
        ...raw,
        clock,
        yieldG: raw.yieldG ?? fromRatio(raw.doseG, cells('ratio')),
        timeS: windowOf(raw.timeS, cells),
      }),
    },
    options,
  );
}

/** Yield of "1:2.4", "2.4" or "1/2,4" at a dose. */
function fromRatio(doseG: unknown, text: string) {
  const ratio = readNumber(text.replace(/^\s*1\s*[:/]\s*/, ''));
  if (typeof doseG !== 'number' || typeof ratio !== 'number') return ratio;
  return Number((doseG * ratio).toFixed(1));
}

/** The window as written, or the usual one around a single time. */
function windowOf(written: unknown, cells: Cells) {
  const [low, high] = (written ?? []) as (number | string | undefined)[];
  if (low !== undefined && high !== undefined) return [low, high];
  const range = /^(\d+(?:[.,]\d+)?)\s*[-–]\s*(\d+(?:[.,]\d+)?)$/.exec(cells('time'));
  if (range) return [readNumber(range[1]!), readNumber(range[2]!)];
  const time = readNumber(cells('time')) ?? low ?? high;
  return typeof time === 'number' ? timeWindowOf(time) : [time, time];
}
