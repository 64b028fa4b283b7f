/**
 * What a setup can and cannot do with a recipe, and the nearest it can. House heuristic (model.md §8).
 */
import type { CodedMessage, Message } from '../message';
import type { BrewStyle } from '../vocabulary';
import type { Basket, Machine, Setup } from '../schema/setup';
import { dialWords, type Notation } from '../grinder/notation';
import type { StartDial } from './startDial';

export type Warning = CodedMessage;

/** A warning said by the message of its code, unless by another. */
export const warning = (
  code: string,
  values: Message['values'] = {},
  name = code,
): CodedMessage => ({ code, message: { id: `start.${name}`, values } });

/** What a machine without control makes instead of a style it cannot; the others it can. */
export const NEAREST_STYLE: Partial<Record<BrewStyle, BrewStyle>> = {
  longQuick: 'classic',
  fastCoarse: 'classic',
  soakFirst: 'classic',
};

/** Below this difference display and group count as one. House heuristic: half of what machines set. */
const OFFSET_COUNTS_FROM_C = 0.25;

/** Warnings for a style on a machine; none when the machine's abilities are not known. */
export function styleWarnings(style: BrewStyle, machine: Machine | undefined): Warning[] {
  if (!NEAREST_STYLE[style] || machine?.pressureControl !== false || machine.flowControl) return [];
  const isInPart = style === 'soakFirst' && machine.preinfusion;
  return [
    isInPart ? warning('styleOutOfReach', {}, 'soakInPart') : warning('styleOutOfReach', { style }),
  ];
}

/** More than this over its rating a basket is too full: the puck swells against the screen, g. House heuristic. */
const FULL_FROM_G = 0.5;

/** Is a dose more than a basket is made for? */
export const isTooFull = (doseG: number, { ratedG }: Pick<Basket, 'ratedG'>): boolean =>
  doseG > ratedG + FULL_FROM_G + 1e-9;

export const overRating = (doseG: number, { ratedG }: Pick<Basket, 'ratedG'>): Warning =>
  warning('overRating', { doseG, ratedG });

/** A pressurised basket makes its own resistance: no grind can be dialled in on it. Another can be too full. */
export function basketWarnings(basket: Basket, doseG?: number): Warning[] {
  const { pressurised } = basket;
  return [
    ...(pressurised ? [warning('pressurised')] : []),
    ...(doseG !== undefined && isTooFull(doseG, basket) ? [overRating(doseG, basket)] : []),
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
      return [warning('chokePoint', { dial: dial! })];
    case 'range':
      return [warning('dialRange', { dial: dial! })];
    default:
      return [];
  }
}

/** A heat exchanger stands above brewing heat until its group is flushed. */
function flushWarnings(machine: Setup['machine']): Warning[] {
  if (machine?.boiler !== 'heatExchanger' || machine.flushS !== undefined) return [];
  return [warning('flush')];
}

/** Warnings of a setup for a proposed temperature. */
export function setupWarnings(
  setup: Setup | undefined,
  { temperatureC }: { temperatureC: number },
): Warning[] {
  if (!setup) return [];
  const displayC = displayTemperatureC(temperatureC, setup.machine);
  const offset: Warning[] =
    displayC === null
      ? []
      : [
          warning('displayOffset', {
            offC: Math.abs(displayC - temperatureC),
            side: displayC > temperatureC ? 'more' : 'less',
            displayC,
            temperatureC,
          }),
        ];
  return [
    ...(setup.basket ? basketWarnings(setup.basket) : []),
    ...flushWarnings(setup.machine),
    ...offset,
  ];
}
