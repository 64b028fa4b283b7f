/** A part in one line. */
import type { StoredBasket, StoredGrinder, StoredMachine } from '@/data/equipment';
import type { Taught } from '@/core/grinder/taught';
import { BOILER_LABELS } from '@/core/vocabulary';
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
  const words = [
    ...(machine.boiler ? [BOILER_LABELS[machine.boiler].toLowerCase()] : []),
    temperature,
    ...offset,
    water,
    ...(machine.preinfusion ? ['pre-infusion'] : []),
    ...(machine.flushS === undefined ? [] : [`flush ${machine.flushS} s`]),
    ...(machine.overrunG === undefined
      ? []
      : [`drips ${massWords(machine.overrunG, units)} after the stop`]),
  ];
  return capital(words.join(', '));
}

export function grinderWords(grinder: StoredGrinder, units: Units): string {
  const { min, max, stepSize, finerIs, retentionG, secondsPerStep, umPerStep } = grinder;
  const { secondsPerStepHalf80, referenceDial, chokesAt, stepless } = grinder;
  const half = secondsPerStepHalf80 === undefined ? '' : ` (± ${secondsPerStepHalf80})`;
  return [
    stepless
      ? `Dial ${min} to ${max} without steps, repeated to ${stepSize}`
      : `Dial ${min} to ${max} in steps of ${stepSize}`,
    `${finerIs} is finer`,
    `keeps ${massWords(retentionG, units)}`,
    ...(secondsPerStep === undefined ? [] : [`${secondsPerStep} s${half} a step`]),
    ...(umPerStep === undefined ? [] : [`${umPerStep} µm a step`]),
    referenceDial === undefined ? 'not calibrated' : `usual coffee at ${referenceDial}`,
    ...(chokesAt === undefined ? [] : [`chokes beyond ${chokesAt}`]),
  ].join(', ');
}

/** What past dial-ins taught of a grinder; nothing where there were none. */
export function taughtWords(taught: Taught | undefined): string[] {
  if (!taught) return [];
  const { dialIns, stepS, stepHalf80S, scatterPct, usualDials } = taught;
  const from = dialIns === 1 ? 'One dial-in' : `${dialIns} dial-ins`;
  return [
    `${from} taught: a step finer adds ${stepS.toFixed(1)} ± ${stepHalf80S.toFixed(1)} s to a shot of 28 s, like shots scatter by ${scatterPct.toFixed(1)} %, a washed coffee runs 28 s at about ${usualDials.light} light, ${usualDials.medium} medium, ${usualDials.dark} dark`,
  ];
}

export function basketWords(basket: StoredBasket, units: Units): string {
  const { diameterMm, depthMm, ratedG, pressurised } = basket;
  const size = depthMm === undefined ? `${diameterMm} mm` : `${diameterMm} mm, ${depthMm} mm deep`;
  const rated = `${size}, rated ${massWords(ratedG, units)}`;
  return pressurised ? `${rated}, pressurised: no grind can be dialled in on it` : rated;
}

function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}
