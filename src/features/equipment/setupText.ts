import type { StoredSetup } from '@/data/setups';
import { readNumber } from '@/ui/fields';

export interface SetupText {
  readonly name: string;
  readonly machineName: string;
  readonly settableTemperature: boolean;
  readonly fixedTemperatureC: string;
  readonly pressureControl: boolean;
  readonly grinderName: string;
  readonly stepSize: string;
  readonly finerIs: 'lower' | 'higher';
  readonly dialMin: string;
  readonly dialMax: string;
  readonly retentionG: string;
  readonly umPerStep: string;
  readonly basketName: string;
  readonly diameterMm: string;
  readonly ratedG: string;
}

export const NEW_SETUP: SetupText = {
  name: '',
  machineName: '',
  settableTemperature: true,
  fixedTemperatureC: '',
  pressureControl: false,
  grinderName: '',
  stepSize: '1',
  finerIs: 'lower',
  dialMin: '0',
  dialMax: '40',
  retentionG: '2',
  umPerStep: '',
  basketName: '',
  diameterMm: '58',
  ratedG: '18',
};

export function setupTextOf({ name, machine, grinder, basket }: StoredSetup): SetupText {
  const shown = (value: number | undefined) => (value === undefined ? '' : String(value));
  return {
    name,
    machineName: machine.name,
    settableTemperature: machine.settableTemperature,
    fixedTemperatureC: shown(machine.fixedTemperatureC),
    pressureControl: machine.pressureControl,
    grinderName: grinder.name,
    stepSize: shown(grinder.stepSize),
    finerIs: grinder.finerIs,
    dialMin: shown(grinder.min),
    dialMax: shown(grinder.max),
    retentionG: shown(grinder.retentionG),
    umPerStep: shown(grinder.umPerStep),
    basketName: basket.name,
    diameterMm: shown(basket.diameterMm),
    ratedG: shown(basket.ratedG),
  };
}

/** What is sent: figures as numbers, unknown ones left out. */
export function setupInputOf(text: SetupText) {
  const {
    fixedTemperatureC,
    stepSize,
    dialMin,
    dialMax,
    retentionG,
    umPerStep,
    diameterMm,
    ratedG,
  } = text;
  return {
    ...text,
    fixedTemperatureC: text.settableTemperature ? undefined : readNumber(fixedTemperatureC),
    stepSize: readNumber(stepSize),
    dialMin: readNumber(dialMin),
    dialMax: readNumber(dialMax),
    retentionG: readNumber(retentionG),
    umPerStep: readNumber(umPerStep),
    diameterMm: readNumber(diameterMm),
    ratedG: readNumber(ratedG),
  };
}
