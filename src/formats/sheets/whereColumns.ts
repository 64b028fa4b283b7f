/** The columns that name a dial-in. */
import type { Columns } from './columns';

export const WHERE_COLUMNS = {
  release: {
    label: 'Release',
    required: true,
    headers: ['release', 'name', 'coffee', 'coffee name', 'bean', 'beans'],
  },
  roastDate: {
    label: 'Roast date of the batch',
    required: false,
    headers: ['roast date', 'roasted', 'roasted on'],
  },
  setup: { label: 'Setup', required: false, headers: ['setup', 'bench', 'station'] },
  style: { label: 'Brew style', required: false, headers: ['style', 'brew style'] },
} as const satisfies Columns;
