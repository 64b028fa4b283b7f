/** The state of the part forms: every figure as typed, and what is sent of it. No DOM. */
import type { Part, StoredParts } from '@/data/equipment';
import { readNumber } from '@/ui/readNumber';

export interface MachineText {
  readonly name: string;
  readonly settableTemperature: boolean;
  readonly fixedTemperatureC: string;
  readonly displayOffsetC: string;
  readonly pressureControl: boolean;
  readonly flowControl: boolean;
  readonly preinfusion: boolean;
}

export interface GrinderText {
  readonly name: string;
  readonly stepSize: string;
  readonly finerIs: 'lower' | 'higher';
  readonly min: string;
  readonly max: string;
  readonly retentionG: string;
  readonly umPerStep: string;
  readonly secondsPerStep: string;
}

export interface BasketText {
  readonly name: string;
  readonly diameterMm: string;
  readonly ratedG: string;
  readonly pressurised: boolean;
}

export interface PartTexts {
  readonly machine: MachineText;
  readonly grinder: GrinderText;
  readonly basket: BasketText;
}

/** A new part begins as the trade's commonest. House heuristic. */
export const NEW_PARTS: PartTexts = {
  machine: {
    name: '',
    settableTemperature: true,
    fixedTemperatureC: '',
    displayOffsetC: '',
    pressureControl: false,
    flowControl: false,
    preinfusion: false,
  },
  grinder: {
    name: '',
    stepSize: '1',
    finerIs: 'lower',
    min: '0',
    max: '40',
    retentionG: '2',
    umPerStep: '',
    secondsPerStep: '',
  },
  basket: { name: '', diameterMm: '58', ratedG: '18', pressurised: false },
};

const shown = (value: number | undefined) => (value === undefined ? '' : String(value));

const TEXT_OF: { [P in Part]: (part: StoredParts[P]) => PartTexts[P] } = {
  machine: ({ id: _id, rowVersion: _rowVersion, fixedTemperatureC, displayOffsetC, ...rest }) => ({
    ...rest,
    fixedTemperatureC: shown(fixedTemperatureC),
    displayOffsetC: shown(displayOffsetC),
  }),
  grinder: ({ name, finerIs, stepSize, min, max, retentionG, umPerStep, secondsPerStep }) => ({
    name,
    finerIs,
    stepSize: shown(stepSize),
    min: shown(min),
    max: shown(max),
    retentionG: shown(retentionG),
    umPerStep: shown(umPerStep),
    secondsPerStep: shown(secondsPerStep),
  }),
  basket: ({ name, diameterMm, ratedG, pressurised }) => ({
    name,
    diameterMm: shown(diameterMm),
    ratedG: shown(ratedG),
    pressurised,
  }),
};

export function partTextOf<P extends Part>(part: P, stored: StoredParts[P]): PartTexts[P] {
  return TEXT_OF[part](stored);
}

/** What is sent: figures as numbers, unknown ones left out. */
export function partInputOf<P extends Part>(part: P, text: PartTexts[P]): Record<string, unknown> {
  const words = new Set(['name', 'finerIs']);
  const entries = Object.entries(text).map(([name, value]) => [
    name,
    typeof value === 'string' && !words.has(name) ? readNumber(value) : (value as unknown),
  ]);
  const input = Object.fromEntries(entries) as Record<string, unknown>;
  // A settable machine stands at no temperature of its own.
  return part === 'machine' && input.settableTemperature
    ? { ...input, fixedTemperatureC: undefined }
    : input;
}

export const PART_LABELS: { [P in Part]: Readonly<Record<keyof PartTexts[P], string>> } = {
  machine: {
    name: 'Machine',
    settableTemperature: 'Temperature can be set',
    fixedTemperatureC: 'It stands at',
    displayOffsetC: 'Display above the group',
    pressureControl: 'Pressure can be programmed',
    flowControl: 'Flow can be programmed',
    preinfusion: 'Pre-infusion',
  },
  grinder: {
    name: 'Grinder',
    stepSize: 'One step on the dial',
    finerIs: 'Finer is',
    min: 'Lowest dial',
    max: 'Highest dial',
    retentionG: 'Retention',
    umPerStep: 'Burr travel of one step',
    secondsPerStep: 'What one step changes',
  },
  basket: {
    name: 'Basket',
    diameterMm: 'Diameter',
    ratedG: 'Rated for',
    pressurised: 'Pressurised',
  },
};
