import { slopePrior } from '../grinder/dial';
import type { Machine } from '../schema/setup';
import { say } from '@/words/say';
import { propose } from './propose';
import {
  dialWarnings,
  displayTemperatureC,
  setupWarnings,
  stopAtG,
  styleWarnings,
} from './setupLimits';

const RELEASE = {
  roastLevel: 0,
  process: 'washed',
  varietyClass: 'ordinary',
  restDays: 14,
} as const;
const QUESTION = {
  release: RELEASE,
  style: 'classic',
  temperatureSchool: 'both',
  history: [],
} as const;
const codes = (warnings: readonly { code: string }[]) => warnings.map(({ code }) => code);

describe('what a machine can do with a style', () => {
  it('needs pressure or flow control for the low-pressure styles', () => {
    expect(codes(styleWarnings('soakFirst', { pressureControl: false }))).toEqual([
      'styleOutOfReach',
    ]);
    expect(styleWarnings('soakFirst', { pressureControl: false, flowControl: true })).toEqual([]);
    expect(styleWarnings('soakFirst', { pressureControl: true })).toEqual([]);
    expect(styleWarnings('classic', { pressureControl: false })).toEqual([]);
    expect(styleWarnings('soakFirst', undefined)).toEqual([]);
  });

  it('says what pre-infusion alone gives of a soak', () => {
    const [warning] = styleWarnings('soakFirst', { pressureControl: false, preinfusion: true });
    expect(say(warning!.message)).toMatch(/pause with its pre-infusion.*lost is the slow rise/);
  });
});

describe('a proposal on a setup', () => {
  it('says what to set where display and group differ, in the reader’s unit', () => {
    const setup = { machine: { displayOffsetC: 1.5 } };
    const { warnings, recipe } = propose({ ...QUESTION, setup });
    expect(recipe.temperatureC).toBe(92);
    expect(say(warnings[0]!.message)).toBe(
      'This machine shows 1.5 °C more than its group has: set 93.5 °C for 92.0 °C at the group.',
    );
    const units = { volume: 'flOz', temperature: 'F' } as const;
    expect(say(propose({ ...QUESTION, setup }).warnings[0]!.message, units)).toMatch(
      /2\.7 °F more.*set 200\.3 °F for 197\.6 °F/,
    );
    expect(displayTemperatureC(92, { displayOffsetC: 0.1 })).toBeNull();
  });

  it('does not dial in on a pressurised basket', () => {
    const setup = { basket: { ratedG: 14, pressurised: true } };
    expect(codes(propose({ ...QUESTION, setup }).warnings)).toEqual(['pressurised']);
  });

  it('writes the window on the house’s clock', () => {
    const pump = propose(QUESTION).recipe;
    const drip = propose({ ...QUESTION, clock: 'firstDrip' }).recipe;
    expect(pump.timeS).toEqual([26, 30]);
    expect(drip).toMatchObject({ clock: 'firstDrip', timeS: [19, 23] });
  });
});

it('believes measured seconds of a step before its burr travel', () => {
  const grinder = { stepSize: 0.5, finerIs: 'higher', min: 0, max: 30, retentionG: 2 } as const;
  const { mean } = slopePrior({ ...grinder, secondsPerStep: 2, umPerStep: 20 });
  expect(mean).toBeCloseTo(Math.log(30 / 28) / 0.5, 12);
});

describe('what a machine does around the shot', () => {
  it('says where to stop the pump, and nothing where nothing runs on', () => {
    expect(stopAtG(36, { overrunG: 1.5 })).toBe(34.5);
    expect(stopAtG(36, {})).toBeUndefined();
    expect(stopAtG(1, { overrunG: 1.5 })).toBeUndefined();
  });

  it('warns of a heat exchanger until its flush is known', () => {
    const codes = (machine: Machine) =>
      setupWarnings({ machine }, { temperatureC: 93 }).map(({ code }) => code);
    expect(codes({ boiler: 'heatExchanger' })).toEqual(['flush']);
    expect(codes({ boiler: 'heatExchanger', flushS: 4 })).toEqual([]);
    expect(codes({ boiler: 'dual' })).toEqual([]);
  });

  it('names the dial a grind is held at, and by what', () => {
    const held = (heldBy: 'range' | 'choke' | null) =>
      dialWarnings({ dial: 8, interval80: [6, 9], heldBy });
    expect(say(held('choke')[0]!.message)).toMatch(/8 is the finest/);
    expect(say(held('range')[0]!.message)).toMatch(/8 is the nearest/);
    expect(held(null)).toEqual([]);
    expect(dialWarnings(null)).toEqual([]);
  });
});
