/** Recipes a house decided on before it had this program: a row each. Pure. */
import { z } from 'zod';
import { timeWindowOf } from '@/core/start/propose';
import { day, oneOf, optionalText, quantity } from '@/core/schema/fields';
import { recipeFields } from '@/core/schema/recipe';
import { CLOCK_LABELS, CLOCKS } from '@/core/vocabulary';
import { figureIn } from './columns';
import { RECIPE_COLUMNS } from './recipeColumns';
import { csvDay, csvNumber, type CsvTable } from './csv';
import { readEntries, wordOf, type Cells, type ReadOptions } from './rows';
import { whereFields, whereOf } from './where';

export const recipeRow = z
  .strictObject({
    ...whereFields,
    decidedOn: day('Decided on'),
    doseG: recipeFields.doseG,
    yieldG: recipeFields.yieldG,
    temperatureC: recipeFields.temperatureC,
    timeS: recipeFields.timeS,
    clock: oneOf('Clock', CLOCKS),
    programme: optionalText('Water', 'name'),
    restFrom: quantity('restDays').int().optional(),
    restTo: quantity('restDays').int().optional(),
    dial: quantity('dial').optional(),
    why: optionalText('Remark', 'words'),
  })
  .refine(({ restFrom, restTo }) => (restFrom === undefined) === (restTo === undefined), {
    path: ['restTo'],
    error: 'The rest span has one end. Enter both days, or none.',
  });
export type RecipeRow = z.output<typeof recipeRow>;

/** Recipes of a sheet, or every fault of it. */
export function readRecipes(table: CsvTable, options: ReadOptions) {
  const { mapping, units, dateOrder, clock } = options;
  return readEntries(table, {
    columns: RECIPE_COLUMNS,
    schema: recipeRow,
    mapping,
    sources: {
      doseG: 'dose',
      yieldG: mapping.yield === undefined ? 'ratio' : 'yield',
      temperatureC: 'temperature',
      timeS: mapping.time === undefined ? 'timeLow' : 'time',
    },
    raw: (cells) => {
      const doseG = figureIn(cells('dose'), units.dose);
      return {
        ...whereOf(cells, dateOrder),
        decidedOn: csvDay(cells('decidedOn'), dateOrder),
        doseG,
        yieldG: figureIn(cells('yield'), units.yield) ?? fromRatio(doseG, cells('ratio')),
        temperatureC: figureIn(cells('temperature'), units.temperature),
        timeS: windowOf(cells),
        clock: wordOf(cells('clock'), CLOCKS, CLOCK_LABELS) ?? clock,
        programme: cells('programme'),
        restFrom: csvNumber(cells('restFrom')),
        restTo: csvNumber(cells('restTo')),
        dial: csvNumber(cells('dial')),
        why: cells('why'),
      };
    },
  });
}

/** Yield of "1:2.4", "2.4" or "1/2,4" at a dose. */
function fromRatio(doseG: number | string | undefined, text: string) {
  const ratio = csvNumber(text.replace(/^\s*1\s*[:/]\s*/, ''));
  if (typeof doseG !== 'number' || typeof ratio !== 'number') return ratio;
  return Number((doseG * ratio).toFixed(1));
}

/** The window as written, or the usual one around a single time. */
function windowOf(cells: Cells) {
  const [low, high] = [csvNumber(cells('timeLow')), csvNumber(cells('timeHigh'))];
  if (low !== undefined && high !== undefined) return [low, high];
  const range = /^(\d+(?:[.,]\d+)?)\s*[-–]\s*(\d+(?:[.,]\d+)?)$/.exec(cells('time'));
  if (range) return [csvNumber(range[1]!), csvNumber(range[2]!)];
  const time = csvNumber(cells('time')) ?? low ?? high;
  return typeof time === 'number' ? timeWindowOf(time) : [time, time];
}
