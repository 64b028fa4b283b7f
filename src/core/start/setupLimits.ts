/**
 * What a setup can and cannot do with a recipe, and the nearest it can. House heuristic (model.md §8).
 */
import { STYLE_LABELS, type BrewStyle } from '../vocabulary';
import type { Basket, Machine, Setup } from '../schema/setup';
import { dialWords, type Notation } from '../grinder/notation';
import type { StartDial } from './startDial';
import { temperatureStepWords, temperatureWords, type Units } from '../units';

export interface Warning {
  readonly code: string;
  readonly text: string;
}

const NEEDS_CONTROL: Partial<Record<BrewStyle, { nearest: BrewStyle; lost: string }>> = {
  longQuick: {
    nearest: 'classic',
    lost: 'the low pressure that keeps a long, quick cup from turning harsh',
  },
  fastCoarse: {
    nearest: 'classic',
    lost: 'the high flow that lets a coarse grind give sweetness in under 25 s',
  },
  soakFirst: {
    nearest: 'classic',
    lost: 'the pause that lets a very fine grind swell before full pressure',
  },
};

/** What a machine without control makes instead of a style it cannot; the others it can. */
export const NEAREST_STYLE: Partial<Record<BrewStyle, BrewStyle>> = Object.fromEntries(
  Object.entries(NEEDS_CONTROL).map(([style, { nearest }]) => [style, nearest]),
);

/** Below this difference display and group count as one. House heuristic: half of what machines set. */
const OFFSET_COUNTS_FROM_C = 0.25;

/** Warnings for a style on a machine; none when the machine's abilities are not known. */
export function styleWarnings(style: BrewStyle, machine: Machine | undefined): Warning[] {
  const need = NEEDS_CONTROL[style];
  if (!need || machine?.pressureControl !== false || machine.flowControl) return [];
  const styleWords = STYLE_LABELS[style].toLowerCase();
  const nearest = STYLE_LABELS[need.nearest].toLowerCase();
  if (style === 'soakFirst' && machine.preinfusion)
    return [
      {
        code: 'styleOutOfReach',
        text: `This machine can pause with its pre-infusion but not let the flow rise slowly, so it makes ${styleWords} only in part. The nearest it can make is ${nearest} with its longest pre-infusion; lost is the slow rise to full pressure.`,
      },
    ];
  return [
    {
      code: 'styleOutOfReach',
      text: `This machine has no pressure or flow control, so it cannot make ${styleWords}. The nearest it can make is ${nearest}; lost is ${need.lost}.`,
    },
  ];
}

/** A pressurised basket makes its own resistance: no grind can be dialled in on it. */
export function basketWarnings({ pressurised }: Pick<Basket, 'pressurised'>): Warning[] {
  if (!pressurised) return [];
  return [
    {
      code: 'pressurised',
      text: 'This basket is pressurised: a valve makes the resistance, so the grind cannot be dialled in and times say little. Use an open basket to find a recipe.',
    },
  ];
}

/** What to set on the display for a temperature at the group; null where the two agree. */
export function displayTemperatureC(
  temperatureC: number,
  machine: Pick<Machine, 'displayOffsetC'> | undefined,
): number | null {
  const offsetC = machine?.displayOffsetC ?? 0;
  return Math.abs(offsetC) < OFFSET_COUNTS_FROM_C ? null : temperatureC + offsetC;
}

/** Mass in the cup at which the pump is to stop, so that what runs on makes the yield. */
export function stopAtG(
  yieldG: number,
  machine: Pick<Machine, 'overrunG'> | undefined,
): number | undefined {
  const overrunG = machine?.overrunG ?? 0;
  return overrunG > 0 && overrunG < yieldG ? yieldG - overrunG : undefined;
}

/** Where the grind the model wants is not on the dial. */
export function dialWarnings(startDial: StartDial | null, grinder: Notation = {}): Warning[] {
  const dial = startDial && dialWords(grinder, startDial.dial);
  switch (startDial?.heldBy) {
    case 'choke':
      return [
        {
          code: 'chokePoint',
          text: `The model wants a finer grind than the setting this grinder chokes at: ${dial} is the finest it still gets through. Answer what is missing with a longer ratio or a hotter cup.`,
        },
      ];
    case 'range':
      return [
        {
          code: 'dialRange',
          text: `The model wants a grind beyond this grinder’s dial: ${dial} is the nearest it has. Answer what is missing with the dose, within the basket.`,
        },
      ];
    default:
      return [];
  }
}

/** A heat exchanger stands above brewing heat until its group is flushed. */
function flushWarnings(machine: Setup['machine']): Warning[] {
  if (machine?.boiler !== 'heatExchanger' || machine.flushS !== undefined) return [];
  return [
    {
      code: 'flush',
      text: 'This machine heats its brewing water in the steam boiler: after a pause the first water is too hot. Flush until it stops spitting, clear of hands, and note the seconds in Equipment.',
    },
  ];
}

/** Warnings of a setup for a proposed temperature. */
export function setupWarnings(
  setup: Setup | undefined,
  { temperatureC, units }: { temperatureC: number; units: Units },
): Warning[] {
  if (!setup) return [];
  const displayC = displayTemperatureC(temperatureC, setup.machine);
  const offset: Warning[] =
    displayC === null
      ? []
      : [
          {
            code: 'displayOffset',
            text: `This machine shows ${temperatureStepWords(Math.abs(displayC - temperatureC), units)} ${displayC > temperatureC ? 'more' : 'less'} than its group has: set ${temperatureWords(displayC, units)} for ${temperatureWords(temperatureC, units)} at the group.`,
          },
        ];
  return [
    ...(setup.basket ? basketWarnings(setup.basket) : []),
    ...flushWarnings(setup.machine),
    ...offset,
  ];
}
