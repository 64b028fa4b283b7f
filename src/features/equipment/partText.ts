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
  /** Empty when not known. */
  readonly boiler: string;
  readonly flushS: string;
  readonly overrunG: string;
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
  readonly secondsPerStepHalf80: string;
  readonly referenceDial: string;
  readonly stepless: boolean;
  readonly chokesAt: string;
}

export interface BasketText {
  readonly name: string;
  readonly diameterMm: string;
  readonly depthMm: string;
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
    boiler: '',
    flushS: '',
    overrunG: '',
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
    secondsPerStepHalf80: '',
    referenceDial: '',
    stepless: false,
    chokesAt: '',
  },
  basket: { name: '', diameterMm: '58', depthMm: '', ratedG: '18', pressurised: false },
};

const shown = (value: number | undefined) => (value === undefined ? '' : String(value));

const TEXT_OF: { [P in Part]: (part: StoredParts[P]) => PartTexts[P] } = {
  machine: ({ name, settableTemperature, pressureControl, flowControl, preinfusion, ...rest }) => ({
    name,
    settableTemperature,
    pressureControl,
    flowControl,
    preinfusion,
    fixedTemperatureC: shown(rest.fixedTemperatureC),
    displayOffsetC: shown(rest.displayOffsetC),
    boiler: rest.boiler ?? '',
    flushS: shown(rest.flushS),
    overrunG: shown(rest.overrunG),
  }),
  grinder: ({ name, finerIs, stepless, ...figures }) => ({
    name,
    finerIs,
    stepless,
    stepSize: shown(figures.stepSize),
    min: shown(figures.min),
    max: shown(figures.max),
    retentionG: shown(figures.retentionG),
    umPerStep: shown(figures.umPerStep),
    secondsPerStep: shown(figures.secondsPerStep),
    secondsPerStepHalf80: shown(figures.secondsPerStepHalf80),
    referenceDial: shown(figures.referenceDial),
    chokesAt: shown(figures.chokesAt),
  }),
  basket: ({ name, diameterMm, depthMm, ratedG, pressurised }) => ({
    name,
    diameterMm: shown(diameterMm),
    depthMm: shown(depthMm),
    ratedG: shown(ratedG),
    pressurised,
  }),
};

export function partTextOf<P extends Part>(part: P, stored: StoredParts[P]): PartTexts[P] {
  return TEXT_OF[part](stored);
}

/** What is sent: figures as numbers, unknown ones left out. */
export function partInputOf<P extends Part>(part: P, text: PartTexts[P]): Record<string, unknown> {
  const words = new Set(['name', 'finerIs', 'boiler']);
  const entries = Object.entries(text).map(([name, value]) => [
    name,
    typeof value === 'string' && !words.has(name) ? readNumber(value) : (value as unknown),
  ]);
  const input = Object.fromEntries(entries) as Record<string, unknown>;
  if (part !== 'machine') return input;
  return {
    ...input,
    // A settable machine stands at no temperature of its own.
    ...(input.settableTemperature === true && { fixedTemperatureC: undefined }),
    boiler: input.boiler === '' ? undefined : input.boiler,
  };
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
    boiler: 'Brewing water comes from',
    flushS: 'Flush before a shot',
    overrunG: 'Runs on after the stop',
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
    secondsPerStepHalf80: 'What one step changes, ±',
    referenceDial: 'Reference coffee at 28 s',
    stepless: 'Steps',
    chokesAt: 'Finest before it chokes',
  },
  basket: {
    name: 'Basket',
    diameterMm: 'Diameter',
    depthMm: 'Depth',
    ratedG: 'Rated for',
    pressurised: 'Pressurised',
  },
};
