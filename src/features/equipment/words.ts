/** A part in one line. */
import type { StoredBasket, StoredGrinder, StoredMachine } from '@/data/equipment';
import { massWords, temperatureStepWords, temperatureWords, type Units } from '@/core/units';

export function machineWords(machine: StoredMachine, units: Units): string {
  const { displayOffsetC = 0, fixedTemperatureC } = machine;
  const temperature = machine.settableTemperature
    ? 'temperature can be set'
    : `stands at ${temperatureWords(fixedTemperatureC ?? 0, units)}`;
  const offset =
    displayOffsetC === 0
      ? []
      : [
          `display ${temperatureStepWords(Math.abs(displayOffsetC), units)} ${displayOffsetC > 0 ? 'above' : 'below'} the group`,
        ];
  const control = [machine.pressureControl && 'pressure', machine.flowControl && 'flow'].filter(
    Boolean,
  );
  const water = control.length > 0 ? `programmes ${control.join(' and ')}` : 'pump pressure only';
  const words = [temperature, ...offset, water, ...(machine.preinfusion ? ['pre-infusion'] : [])];
  return capital(words.join(', '));
}

export function grinderWords(grinder: StoredGrinder, units: Units): string {
  const { min, max, stepSize, finerIs, retentionG, secondsPerStep, umPerStep } = grinder;
  return [
    `Dial ${min} to ${max} in steps of ${stepSize}`,
    `${finerIs} is finer`,
    `keeps ${massWords(retentionG, units)}`,
    ...(secondsPerStep === undefined ? [] : [`${secondsPerStep} s a step`]),
    ...(umPerStep === undefined ? [] : [`${umPerStep} µm a step`]),
  ].join(', ');
}

export function basketWords(basket: StoredBasket, units: Units): string {
  const { diameterMm, ratedG, pressurised } = basket;
  const rated = `${diameterMm} mm, rated ${massWords(ratedG, units)}`;
  return pressurised ? `${rated}, pressurised: no grind can be dialled in on it` : rated;
}

function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}
