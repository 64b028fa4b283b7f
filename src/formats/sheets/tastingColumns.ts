/** The columns a spreadsheet of tastings can have. */
import type { Columns } from './columns';
import { WHERE_COLUMNS } from './whereColumns';

export const SCALES = [
  'acidity',
  'sharpness',
  'sweetness',
  'bitterness',
  'dryness',
  'body',
  'clarity',
  'strength',
  'liking',
] as const;

const scaleColumn = (label: string, headers: readonly string[]) => ({
  label,
  required: false,
  headers,
});

export const TASTING_COLUMNS = {
  ...WHERE_COLUMNS,
  tastedOn: {
    label: 'Tasted on',
    required: true,
    headers: ['tasted on', 'date', 'tasted', 'day'],
  },
  pulledOn: {
    label: 'Shot pulled on, if another day',
    required: false,
    headers: ['pulled on', 'shot pulled on'],
  },
  pulledAt: {
    label: 'Shot pulled at (hour)',
    required: false,
    headers: ['pulled at', 'shot pulled at'],
  },
  taster: { label: 'Taster', required: false, headers: ['taster', 'tasted by', 'person', 'by'] },
  moment: { label: 'Moment', required: false, headers: ['moment', 'cup temperature'] },
  serving: { label: 'Served', required: false, headers: ['served', 'serving'] },
  acidity: scaleColumn('Acidity, 0-10', ['acidity']),
  sharpness: scaleColumn('Sharpness, 0-10', ['sharpness', 'sourness']),
  sweetness: scaleColumn('Sweetness, 0-10', ['sweetness']),
  bitterness: scaleColumn('Bitterness, 0-10', ['bitterness']),
  dryness: scaleColumn('Dryness, 0-10', ['dryness', 'astringency']),
  body: scaleColumn('Body, 0-10', ['body', 'mouthfeel']),
  clarity: scaleColumn('Clarity, 0-10', ['clarity', 'clean cup']),
  strength: scaleColumn('Strength, −2 to 2', ['strength']),
  liking: scaleColumn('Liking, 0-10', ['liking', 'score', 'overall', 'rating']),
  signs: { label: 'Signs', required: false, headers: ['signs', 'defects'] },
  notesFound: {
    label: 'Notes found',
    required: false,
    headers: ['notes found', 'notes', 'flavours', 'flavors'],
  },
  remark: { label: 'Remark', required: false, headers: ['remark', 'comment'] },
} as const satisfies Columns;
