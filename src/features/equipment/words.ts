/** A part in one line. */
import type { StoredBasket, StoredGrinder, StoredMachine } from '@/data/equipment';
import { dialWords } from '@/core/grinder/notation';
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
      : [`drips ${massWords(machine.overrunG)} after the stop`]),
  ];
  return capital(words.join(', '));
}

/** What a step is counted in, where it is no dial number. */
const COUNTED: Readonly<Record<string, string>> = { letters: ' letter', marks: ' mark' };

export function grinderWords(grinder: StoredGrinder): string {
  const { min, max, stepSize, finerIs, retentionG, secondsPerStep, umPerStep } = grinder;
  const { secondsPerStepHalf80, referenceDial, chokesAt, stepless } = grinder;
  const at = (dial: number) => dialWords(grinder, dial);
  const ofWhat = COUNTED[grinder.notation] ?? '';
  const half = secondsPerStepHalf80 === undefined ? '' : ` (± ${secondsPerStepHalf80})`;
  return [
    stepless
      ? `Dial ${at(min)} to ${at(max)} without steps, repeated to ${stepSize}`
      : `Dial ${at(min)} to ${at(max)} in steps of ${stepSize}${ofWhat}`,
    `${finerIs} is finer`,
    `keeps ${massWords(retentionG)}`,
    ...(secondsPerStep === undefined ? [] : [`${secondsPerStep} s${half} a step`]),
    ...(umPerStep === undefined ? [] : [`${umPerStep} µm a step`]),
    referenceDial === undefined ? 'not calibrated' : `usual coffee at ${at(referenceDial)}`,
    ...(chokesAt === undefined ? [] : [`chokes beyond ${at(chokesAt)}`]),
  ].join(', ');
}

export function basketWords(basket: StoredBasket): string {
  const { diameterMm, depthMm, ratedG, pressurised } = basket;
  const size = depthMm === undefined ? `${diameterMm} mm` : `${diameterMm} mm, ${depthMm} mm deep`;
  const rated = `${size}, rated ${massWords(ratedG)}`;
  return pressurised ? `${rated}, pressurised: no grind can be dialled in on it` : rated;
}

function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}
