/**
 * From a direction to one change of the recipe (model.md §4): large → ratio by .25-.4, medium → grind
 * by 1-2 steps and accept the time, small → temperature by 1 °C; weak or strong → ratio.
 * House heuristic.
 */
import type { Grinder, Machine } from '../schema/setup';
import { finerSign, grindWord, roundDial } from '../grinder/dial';
import { dialMoveWords } from '../grinder/notation';
import type { Message } from '../message';
import type { Direction } from '../taste/direction';

export interface TasteMove {
  readonly variable: 'yieldG' | 'dial' | 'temperatureC';
  readonly from: number;
  readonly to: number;
  readonly message: Message;
}

export interface TasteMoveInput {
  readonly direction: Direction;
  readonly target: {
    readonly doseG: number;
    readonly yieldG: number;
    readonly temperatureC?: number | undefined;
  };
  readonly roastLevel: number;
  readonly dial: number;
  readonly grinder: Grinder;
  readonly machine?: Machine | undefined;
}

const LARGE_RATIO = { least: 0.25, most: 0.4, mostAtPoints: 8, leastAtPoints: 4.5 } as const;
/** A light coffee that is far under goes straight towards the longer ratio of its style. */
const FAR_UNDER_LIGHT = { ...LARGE_RATIO, most: 0.75, mostAtPoints: 6.5 } as const;
const FLAT_RATIO = 0.25;
const SMALL_RATIO = 0.1;
/** Of the yield, by how weak or strong the cup is called. */
const STRENGTH_SHARE = { little: 0.08, much: 0.15 } as const;
const TEMPERATURE_STEP_C = 1;
const TWO_STEPS_FROM = 3.5;

/** The one change a direction asks for; null when nothing, or only the preparation, is to change. */
export function tasteMove(input: TasteMoveInput): TasteMove | null {
  const { direction } = input;
  const points = Math.abs(direction.under - direction.over);
  const more = direction.verdict === 'under';
  switch (direction.verdict) {
    case 'right':
    case 'uneven':
    case 'unclear':
      return null;
    case 'flat':
      return smallMove(input, true);
    case 'weak':
      return yieldMove(input, -strengthShare(input));
    case 'strong':
      return yieldMove(input, strengthShare(input));
    case 'under':
    case 'over':
      if (direction.size === 'large')
        return ratioMove(input, (more ? 1 : -1) * largeRatio(points, more && input.roastLevel < 0));
      if (direction.size === 'medium')
        return grindMove(input, more, points >= TWO_STEPS_FROM ? 2 : 1);
      return smallMove(input, more);
  }
}

/** The other way out of a flat cup, to be tasted beside the first. */
export function otherFlatMove(input: TasteMoveInput): TasteMove {
  return ratioMove(input, FLAT_RATIO);
}

function largeRatio(points: number, isLightUnder: boolean): number {
  const { least, most, mostAtPoints, leastAtPoints } = isLightUnder ? FAR_UNDER_LIGHT : LARGE_RATIO;
  const share = Math.min(1, (points - leastAtPoints) / (mostAtPoints - leastAtPoints));
  return least + share * (most - least);
}

const ratioMove = (input: TasteMoveInput, ratioChange: number): TasteMove =>
  yieldMove(input, (ratioChange * input.target.doseG) / input.target.yieldG);

/** Twice as weak moves further. */
const strengthShare = ({ direction: { strength } }: TasteMoveInput): number =>
  Math.abs(strength) >= 2 ? STRENGTH_SHARE.much : STRENGTH_SHARE.little;

/** @param share of the yield, more or less of it. */
function yieldMove({ target }: TasteMoveInput, share: number): TasteMove {
  const to = Math.round(2 * target.yieldG * (1 + share)) / 2;
  return {
    variable: 'yieldG',
    from: target.yieldG,
    to,
    message: {
      id: 'advice.move.yield',
      values: {
        at: 'start',
        side: share > 0 ? 'longer' : 'shorter',
        fromG: target.yieldG,
        toG: to,
        ratio: to / target.doseG,
      },
    },
  };
}

function grindMove({ dial, grinder }: TasteMoveInput, finer: boolean, steps: number): TasteMove {
  const change = (finer ? 1 : -1) * finerSign(grinder) * steps * grinder.stepSize;
  const to = roundDial(Math.min(grinder.max, Math.max(grinder.min, dial + change)));
  return {
    variable: 'dial',
    from: dial,
    to,
    message: {
      id: 'advice.move.grindByTaste',
      values: {
        at: 'start',
        side: grindWord(grinder, dial, to),
        dials: dialMoveWords(grinder, dial, to),
      },
    },
  };
}

function smallMove(input: TasteMoveInput, hotter: boolean): TasteMove {
  const from = input.target.temperatureC;
  if (from === undefined || input.machine?.settableTemperature === false)
    return ratioMove(input, hotter ? SMALL_RATIO : -SMALL_RATIO);
  const to = from + (hotter ? TEMPERATURE_STEP_C : -TEMPERATURE_STEP_C);
  return {
    variable: 'temperatureC',
    from,
    to,
    message: {
      id: 'advice.move.temperature',
      values: { at: 'start', side: hotter ? 'hotter' : 'cooler', fromC: from, toC: to },
    },
  };
}
