/** A shot as it was pulled. Who pulled it, when and for which recipe is said where it is kept. */
import {
  BEAN_STATE_LABELS,
  BEAN_STATES,
  CLOCK_LABELS,
  CLOCKS,
  SEEN,
  SEEN_LABELS,
} from '../vocabulary';
import { flag, quantity, text, word, words, type Input, type Row } from './field';

export const SHOT = {
  dial: quantity('dial', {
    headers: ['dial', 'grind', 'grind setting', 'grinder setting', 'setting'],
  }),
  doseG: quantity('doseG', { headers: ['dose', 'in', 'dose in'] }),
  /** Dose aimed at when it was trimmed on purpose; the recipe's dose when unknown. */
  aimDoseG: quantity('doseG', { label: 'Dose aimed at', optional: true }),
  yieldG: quantity('shotYieldG', { headers: ['yield', 'out', 'beverage', 'beverage mass', 'cup'] }),
  /** As read on a cup's marks; the mass is then worked out from it, and rough. */
  yieldMl: quantity('shotYieldMl', {
    optional: true,
    headers: ['yield ml', 'yield volume', 'volume', 'cup volume', 'beverage volume'],
  }),
  timeS: quantity('timeS', { headers: ['time', 'shot time', 'brew time', 'extraction time'] }),
  firstDripS: quantity('firstDripS', { optional: true, headers: ['first drip', 'drip'] }),
  clock: word(CLOCKS, CLOCK_LABELS, { label: 'Clock', headers: ['clock', 'time counts'] }),
  temperatureC: quantity('temperatureC', {
    step: 0.5,
    headers: ['temperature', 'temp', 'water temperature', 'brew temperature', 'brew temp'],
  }),
  purged: flag({ label: 'Purged', default: false, headers: ['purged', 'purge'] }),
  /** Grams purged; a tick without a figure counts as twice the retention. */
  purgeG: quantity('purgeG', { optional: true, headers: ['purge weight', 'purged amount'] }),
  seen: words(SEEN, SEEN_LABELS, {
    label: 'Seen',
    default: [],
    headers: ['seen', 'looks', 'flow'],
  }),
  /** How the beans went into the grinder. */
  beans: word(BEAN_STATES, BEAN_STATE_LABELS, {
    label: 'Beans',
    default: 'room',
    headers: ['bean state', 'beans were'],
  }),
  /** When the stream turned pale, from the pump. */
  blondS: quantity('blondS', { label: 'Turns pale at', step: 0.5, optional: true }),
  /** Read off the gauge. */
  peakBar: quantity('peakBar', {
    step: 0.1,
    optional: true,
    headers: ['peak pressure', 'pressure', 'peak bar'],
  }),
  beanC: quantity('beanC', { step: 0.5, optional: true, headers: ['bean temperature'] }),
  groundC: quantity('groundC', { step: 0.5, optional: true, headers: ['ground temperature'] }),
  puck: text('remark', { label: 'Spent puck', default: '', headers: ['spent puck', 'puck'] }),
  /** What ran into the cup after the pump stopped, off the scale. */
  overrunG: quantity('overrunG', { optional: true }),
  tdsPct: quantity('tdsPct', { optional: true, headers: ['tds', 'strength'] }),
  /** A shot of the simulator: it is shown as such and publishes nothing. */
  isSimulated: flag({ label: 'Simulated', default: false }),
  /** Why it was pulled otherwise than advised; unknown when the advice was followed. */
  overruled: text('words', { label: 'Why you overrule the advice', optional: true }),
  remark: text('remark', { label: 'Remark', default: '', headers: ['remark', 'comment', 'notes'] }),
} as const;

export type StoredShotRow = Row<typeof SHOT>;
export type ShotInput = Input<typeof SHOT>;
