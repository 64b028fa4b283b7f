/** What says which dial-in a row belongs to: release, batch, setup and style. */
import { day, text, word, type Input, type Row } from '@/core/entity/field';
import { STYLE_LABELS, STYLES } from '@/core/vocabulary';

export const WHERE = {
  release: text('name', {
    label: 'Release',
    headers: ['release', 'name', 'coffee', 'coffee name', 'bean', 'beans'],
  }),
  roastDate: day({
    label: 'Roast date of the batch',
    optional: true,
    headers: ['roast date', 'roasted', 'roasted on'],
  }),
  setup: text('name', { label: 'Setup', default: '', headers: ['setup', 'bench', 'station'] }),
  style: word(STYLES, STYLE_LABELS, {
    label: 'Brew style',
    default: 'classic',
    headers: ['style', 'brew style'],
  }),
} as const;

export type Where = Input<typeof WHERE> & Required<Pick<Row<typeof WHERE>, 'setup' | 'style'>>;
