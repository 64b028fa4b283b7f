/** Machine, grinder and basket: each is described once and may stand in several setups. */
import { BOILER_LABELS, BOILERS, NOTATION_LABELS, NOTATIONS } from '../vocabulary';
import { flag, quantity, text, word, type Input, type Row } from './field';

export const MACHINE = {
  name: text('name', { label: 'Machine' }),
  settableTemperature: flag({ label: 'Temperature can be set' }),
  fixedTemperatureC: quantity('temperatureC', {
    label: 'It stands at',
    hint: 'At the group',
    step: 0.5,
    optional: true,
  }),
  /** Temperature on the display minus temperature at the group. */
  displayOffsetC: quantity('displayOffsetC', {
    hint: 'Measured at the group; empty if not known',
    step: 0.5,
    optional: true,
  }),
  boiler: word(BOILERS, BOILER_LABELS, { label: 'Brewing water comes from', optional: true }),
  /** Seconds of water let through the group before the portafilter goes in. */
  flushS: quantity('flushS', {
    label: 'Flush before a shot',
    hint: 'Empty if none is needed',
    step: 1,
    optional: true,
  }),
  /** What still runs into the cup after the pump stops. */
  overrunG: quantity('overrunG', {
    label: 'Drips after the stop',
    hint: 'Into the cup, after the pump stops',
    step: 0.5,
    optional: true,
  }),
  pressureControl: flag({ label: 'Pressure can be programmed' }),
  flowControl: flag({ label: 'Flow can be programmed' }),
  preinfusion: flag({ label: 'Pre-infusion' }),
} as const;

export const GRINDER = {
  name: text('name', { label: 'Grinder' }),
  finerIs: word(
    ['lower', 'higher'],
    { lower: 'lower numbers', higher: 'higher numbers' },
    {
      label: 'Finer is',
    },
  ),
  /** How its settings are written; they are counted in one figure all the same. */
  notation: word(NOTATIONS, NOTATION_LABELS, { label: 'The dial shows', default: 'numbers' }),
  /** Letters between two numbers, or marks to a turn. */
  divisions: quantity('divisions', {
    label: 'Letters to a number',
    step: 1,
    isWhole: true,
    optional: true,
  }),
  retentionG: quantity('retentionG', { hint: 'Grounds that stay inside', step: 0.1 }),
  min: quantity('dial', { label: 'Lowest dial', step: 1, column: 'dial_min' }),
  max: quantity('dial', { label: 'Highest dial', step: 1, column: 'dial_max' }),
  /** Turns without steps; `stepSize` is then what a hand can repeat. */
  stepless: flag({ label: 'Steps', default: false }),
  stepSize: quantity('stepSize', {
    label: 'One step on the dial',
    hint: 'The smallest move that is proposed',
    step: 0.1,
  }),
  /** Finest dial that still lets water through; finer ones are never proposed. */
  chokesAt: quantity('dial', {
    label: 'Choke point',
    hint: 'If known: finer is never proposed',
    step: 1,
    optional: true,
  }),
  /** What one step changes in a shot of about 28 s; believed before the burr travel. */
  secondsPerStep: quantity('secondsPerStep', {
    label: 'What one step changes',
    hint: 'In a shot of 28 s, if you know it',
    step: 0.5,
    optional: true,
  }),
  /** Half of the 80 % interval of `secondsPerStep`, as calibrated. */
  secondsPerStepHalf80: quantity('secondsPerStepHalf80', {
    label: 'What one step changes, ±',
    optional: true,
    column: 'seconds_per_step_half80',
  }),
  /** Dial at which the house's usual coffee runs 28 s from the pump. */
  referenceDial: quantity('dial', {
    label: 'Dial where your usual coffee runs 28 s',
    step: 0.5,
    optional: true,
  }),
  /** Burr travel of one step. */
  umPerStep: quantity('umPerStep', {
    label: 'Burr travel of one step',
    hint: 'If you know no seconds',
    step: 1,
    optional: true,
  }),
} as const;

export const BASKET = {
  name: text('name', { label: 'Basket' }),
  diameterMm: quantity('diameterMm', { label: 'Diameter', step: 1 }),
  depthMm: quantity('depthMm', {
    label: 'Depth',
    hint: 'Inside, from rim to floor',
    step: 1,
    optional: true,
  }),
  ratedG: quantity('ratedG', { label: 'Rated for', step: 0.5 }),
  /** With a valve that makes its own resistance. */
  pressurised: flag({ label: 'Pressurised' }),
} as const;

export const PARTS = { machine: MACHINE, grinder: GRINDER, basket: BASKET } as const;
export type Part = keyof typeof PARTS;
export const PART_NAMES = Object.keys(PARTS) as Part[];

export type PartRow = { readonly [P in Part]: Row<(typeof PARTS)[P]> };
export type PartInput = { readonly [P in Part]: Input<(typeof PARTS)[P]> };
