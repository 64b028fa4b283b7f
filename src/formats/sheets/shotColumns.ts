/** The columns a spreadsheet of shots can have. */
import type { Columns } from './columns';
import { WHERE_COLUMNS } from './whereColumns';

export const SHOT_COLUMNS = {
  ...WHERE_COLUMNS,
  pulledOn: {
    label: 'Pulled on',
    required: true,
    headers: ['pulled on', 'date', 'pulled', 'day'],
  },
  pulledAt: {
    label: 'At (hour)',
    required: false,
    headers: ['pulled at', 'at', 'hour', 'clock time'],
  },
  dial: {
    label: 'Dial',
    required: true,
    headers: ['dial', 'grind', 'grind setting', 'grinder setting', 'setting'],
  },
  dose: { label: 'Dose', required: true, headers: ['dose', 'in', 'dose in'], measure: 'mass' },
  yield: {
    label: 'Yield',
    required: true,
    headers: ['yield', 'out', 'beverage', 'beverage mass', 'cup'],
    measure: 'mass',
  },
  time: {
    label: 'Time',
    required: true,
    headers: ['time', 'shot time', 'brew time', 'extraction time'],
  },
  firstDrip: { label: 'First drip', required: false, headers: ['first drip', 'drip'] },
  clock: { label: 'Clock', required: false, headers: ['clock', 'time counts'] },
  temperature: {
    label: 'Temperature',
    required: false,
    headers: ['temperature', 'temp', 'water temperature', 'brew temperature', 'brew temp'],
    measure: 'temperature',
  },
  purged: { label: 'Purged', required: false, headers: ['purged', 'purge'] },
  seen: { label: 'Seen', required: false, headers: ['seen', 'looks', 'flow'] },
  tds: { label: 'TDS, %', required: false, headers: ['tds', 'strength'] },
  person: {
    label: 'Pulled by',
    required: false,
    headers: ['pulled by', 'barista', 'person', 'by'],
  },
  remark: { label: 'Remark', required: false, headers: ['remark', 'comment', 'notes'] },
} as const satisfies Columns;
