/** A café that brews by the house's cards: who is there, what they work with, when they check. */
import { LANGUAGE_NAMES, LANGUAGES } from '../language';
import { CLOCK_LABELS, CLOCKS } from '../vocabulary';
import { GRINDER, MACHINE } from './equipment';
import { flag, quantity, text, word, words, type Input, type Row } from './field';

export const WEEKDAYS = ['1', '2', '3', '4', '5', '6', '7'] as const;
const WEEKDAY_LABELS = {
  '1': 'Monday',
  '2': 'Tuesday',
  '3': 'Wednesday',
  '4': 'Thursday',
  '5': 'Friday',
  '6': 'Saturday',
  '7': 'Sunday',
};

export const HEAT_UNITS = ['c', 'f'] as const;

export const PARTNER = {
  name: text('name', { label: 'Café' }),
  people: text('address', { label: 'People', hint: 'Whom to ask for', default: '' }),
  /** Cafés of one town share their weather. */
  town: text('note', { label: 'Town', hint: 'Cafés of one town share their weather' }),
  timeZone: text('note', {
    label: 'Time zone',
    hint: 'As Europe/Lisbon; the house’s if empty',
    default: '',
  }),
  language: word(LANGUAGES, LANGUAGE_NAMES, { label: 'Reads', default: 'en' }),
  heatUnit: word(HEAT_UNITS, { c: '°C', f: '°F' }, { label: 'Temperatures in', default: 'c' }),
  checkTimes: text('address', {
    label: 'Checks at',
    hint: 'As 7:00, 10:30, 14:00',
    default: '7:00, 10:30, 14:00',
  }),
  closedWeekdays: words(WEEKDAYS, WEEKDAY_LABELS, { label: 'Closed on', default: [] }),
  machine: text('name', { label: 'Machine', default: '' }),
  fixedTemperatureC: quantity('temperatureC', {
    label: 'It stands at',
    hint: 'At the group; empty if it can be set',
    step: 0.5,
    optional: true,
  }),
  flushS: MACHINE.flushS,
  overrunG: MACHINE.overrunG,
  canShape: flag({ label: 'Pressure or flow can be set', default: false }),
  grinder: text('name', { label: 'Grinder', default: '' }),
  finerIs: word(['lower', 'higher'], GRINDER.finerIs.labels, {
    label: 'Finer is',
    default: 'lower',
  }),
  notation: GRINDER.notation,
  divisions: GRINDER.divisions,
  dialMin: quantity('dial', { label: 'Lowest dial', step: 1, default: 0 }),
  dialMax: quantity('dial', { label: 'Highest dial', step: 1, default: 50 }),
  stepless: flag({ label: 'Its dial turns freely: half steps', default: false }),
  stepSize: quantity('stepSize', { label: 'One step on the dial', step: 0.1, default: 1 }),
  diameterMm: quantity('diameterMm', { label: 'Basket, across', step: 1, default: 58 }),
  ratedG: quantity('ratedG', { label: 'Basket holds', step: 0.5, default: 18 }),
  clock: word(CLOCKS, CLOCK_LABELS, { label: 'Its clock starts', default: 'pump' }),
  waterHardnessMgL: quantity('waterMgL', {
    label: 'Water hardness',
    optional: true,
    column: 'water_hardness_mg_l',
  }),
  water: text('address', { label: 'Water, how it is made', default: '' }),
} as const;

export type PartnerRow = Row<typeof PARTNER>;
export type PartnerInput = Input<typeof PARTNER>;
