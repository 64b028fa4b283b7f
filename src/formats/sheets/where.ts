/** What says which dial-in a row belongs to: release, batch, setup and style. */
import { type z } from 'zod';
import { day, oneOf, optionalText, text } from '@/core/schema/fields';
import { STYLE_LABELS, STYLES } from '@/core/vocabulary';
import { csvDay, type DateOrder } from './csv';
import { wordOf, type Cells } from './rows';

export const whereFields = {
  release: text('Release', 'name'),
  roastDate: day('Roast date').optional(),
  setup: optionalText('Setup', 'name'),
  style: oneOf('Brew style', STYLES).default('classic'),
};
export type Where = z.output<z.ZodObject<typeof whereFields>>;

export function whereOf(cells: Cells, order: DateOrder) {
  return {
    release: cells('release'),
    roastDate: dayOrNone(cells('roastDate'), order),
    setup: cells('setup'),
    style: wordOf(cells('style'), STYLES, STYLE_LABELS),
  };
}

export function dayOrNone(text: string, order: DateOrder): string | undefined {
  return text === '' ? undefined : csvDay(text, order);
}
