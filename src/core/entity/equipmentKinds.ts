/**
 * Kinds of machine, grinder and basket with the figures they usually have, for a bench described in three
 * choices. House heuristic: the middle of what the trade sells; refined later in Equipment.
 */
import type { PartInput } from './equipment';

export interface Kind<T> {
  readonly id: string;
  readonly label: string;
  readonly fields: T;
}

const machine = (
  id: string,
  label: string,
  fields: Partial<PartInput['machine']>,
): Kind<PartInput['machine']> => ({
  id,
  label,
  fields: {
    name: label,
    settableTemperature: true,
    pressureControl: false,
    flowControl: false,
    preinfusion: false,
    ...fields,
  },
});

export const MACHINE_KINDS = [
  machine('ownBoilers', 'Café machine, temperature can be set', { preinfusion: true }),
  machine('heatExchanger', 'Machine with a heat exchanger', {
    settableTemperature: false,
    fixedTemperatureC: 93,
    boiler: 'heatExchanger',
    flushS: 4,
  }),
  machine('programmable', 'Machine with programmable pressure or flow', {
    pressureControl: true,
    flowControl: true,
    preinfusion: true,
  }),
  machine('homeFixed', 'Small home machine, fixed temperature', {
    settableTemperature: false,
    fixedTemperatureC: 92,
  }),
  machine('lever', 'Lever machine', {
    settableTemperature: false,
    fixedTemperatureC: 92,
    preinfusion: true,
  }),
] as const;

const grinder = (
  id: string,
  label: string,
  fields: Pick<PartInput['grinder'], 'min' | 'max' | 'stepSize' | 'retentionG'> &
    Partial<PartInput['grinder']>,
): Kind<PartInput['grinder']> => ({
  id,
  label,
  fields: { name: label, finerIs: 'lower', stepless: false, ...fields },
});

export const GRINDER_KINDS = [
  grinder('cafe', 'Café grinder without steps', {
    min: 0,
    max: 20,
    stepSize: 0.25,
    stepless: true,
    retentionG: 4,
    secondsPerStep: 2,
  }),
  grinder('lettered', 'Grinder with numbers and letters', {
    notation: 'letters',
    divisions: 8,
    min: 0,
    max: 87,
    stepSize: 1,
    retentionG: 1,
    secondsPerStep: 1,
  }),
  grinder('stepped', 'Grinder with steps', {
    min: 0,
    max: 40,
    stepSize: 1,
    retentionG: 2,
    secondsPerStep: 2.8,
  }),
  grinder('singleDose', 'Single-dose grinder', {
    min: 0,
    max: 100,
    stepSize: 1,
    stepless: true,
    retentionG: 0.3,
    secondsPerStep: 1.5,
  }),
  grinder('hand', 'Hand grinder with clicks', {
    min: 0,
    max: 60,
    stepSize: 1,
    retentionG: 0.2,
    secondsPerStep: 2,
  }),
] as const;

const basket = (
  diameterMm: number,
  ratedG: number,
  pressurised = false,
): Kind<PartInput['basket']> => {
  const label = `${diameterMm} mm, ${ratedG} g${pressurised ? ', pressurised' : ''}`;
  return { id: label, label, fields: { name: label, diameterMm, ratedG, pressurised } };
};

export const BASKET_KINDS = [
  basket(58, 18),
  basket(58, 20),
  basket(58, 14),
  basket(54, 18),
  basket(51, 16),
  basket(46, 16),
  basket(54, 16, true),
] as const;
