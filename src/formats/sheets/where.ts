/** What says which dial-in a row belongs to: release, batch, setup and style. */
import { day, text, word, type Entered, type Values } from '@/core/entity/field';
import { STYLE_LABELS, STYLES } from '@/core/vocabulary';

export const WHERE = {
  release: text('name', {
    label: 'Release',
    headers: ['release', 'name', 'coffee', 'coffee name', 'bean', 'beans'],
  }),
  roastDate: day({
    label: 'Roast date of the batch',
    isOpen: true,
    headers: ['roast date', 'roasted', 'roasted on'],
  }),
  setup: text('name', { label: 'Setup', unsaid: '', headers: ['setup', 'bench', 'station'] }),
  style: word(STYLES, STYLE_LABELS, {
    label: 'Brew style',
    unsaid: 'classic',
    headers: ['style', 'brew style'],
  }),
} as const;

export type Where = Entered<typeof WHERE> & Required<Pick<Values<typeof WHERE>, 'setup' | 'style'>>;
