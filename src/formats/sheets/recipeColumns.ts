/** The columns a spreadsheet of recipes can have. */
import type { Columns } from './columns';
import { WHERE_COLUMNS } from './whereColumns';

export const RECIPE_COLUMNS = {
  ...WHERE_COLUMNS,
  decidedOn: {
    label: 'Decided on',
    required: true,
    headers: ['decided on', 'decided', 'since', 'published on', 'published', 'date'],
  },
  dose: { label: 'Dose', required: true, headers: ['dose', 'in', 'dose in'], measure: 'mass' },
  yield: {
    label: 'Yield',
    required: false,
    headers: ['yield', 'out', 'beverage', 'beverage mass', 'cup'],
    measure: 'mass',
  },
  ratio: { label: 'Ratio, if no yield', required: false, headers: ['ratio', 'brew ratio'] },
  temperature: {
    label: 'Temperature',
    required: true,
    headers: ['temperature', 'temp', 'water temperature', 'brew temperature', 'brew temp'],
    measure: 'temperature',
  },
  timeLow: { label: 'Time from', required: false, headers: ['time from', 'time low', 'time min'] },
  timeHigh: { label: 'Time to', required: false, headers: ['time to', 'time high', 'time max'] },
  time: {
    label: 'Time, if no window',
    required: false,
    headers: ['time', 'shot time', 'brew time', 'extraction time'],
  },
  clock: { label: 'Clock', required: false, headers: ['clock', 'time counts'] },
  programme: { label: 'Water', required: false, headers: ['water', 'programme', 'profile'] },
  restFrom: { label: 'Rest from', required: false, headers: ['rest from'] },
  restTo: { label: 'Rest to', required: false, headers: ['rest to'] },
  dial: {
    label: 'Dial',
    required: false,
    headers: ['dial', 'grind', 'grind setting', 'grinder setting', 'setting'],
  },
  why: { label: 'Remark', required: false, headers: ['remark', 'why', 'comment', 'notes'] },
} as const satisfies Columns;
