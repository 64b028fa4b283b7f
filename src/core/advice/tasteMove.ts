/**
 * From a direction to a change of the recipe (model.md §4), by the lever the house reaches for first; where it names
 * none, by size: large → ratio, medium → grind and accept the time, small → temperature. Weak or strong → ratio.
 * House heuristic.
 */
import { settableG } from '../extraction/settable';
import { finerSign, grindWord, isSameDial, roundDial } from '../grinder/dial';
import { dialMoveWords } from '../grinder/notation';
import type { Message } from '../message';
import type { Grinder, Machine } from '../schema/setup';
import type { Direction, Size } from '../taste/direction';
import { RATIO_LIMIT, TEMPERATURE_LIMIT_C } from '../trials/proposalLimits';
import type { TasteLevers } from '../vocabulary';

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
  readonly levers?: TasteLevers | undefined;
}

/** By how much the ratio moves, between two sizes of the fault in points. */
const SMALL_RATIO = { least: 0.1, most: 0.25, leastAtPoints: 1, mostAtPoints: 4.5 } as const;
const LARGE_RATIO = { least: 0.25, most: 0.4, leastAtPoints: 4.5, mostAtPoints: 8 } as const;
/** A light coffee that is far under goes straight towards the longer ratio of its style; one between, part of the way. */
const FAR_UNDER_LIGHT = { ...LARGE_RATIO, most: 0.75, mostAtPoints: 6.5 } as const;
const FLAT_RATIO = 0.25;
/** Of the yield, by how weak or strong the cup is called. */
const STRENGTH_SHARE = { little: 0.08, much: 0.15 } as const;
const HEAT_C: Record<Size, number> = { small: 1, medium: 1.5, large: 2 };
const TWO_STEPS_FROM = 3.5;

type Lever = 'ratio' | 'heat' | 'grind';

/** What is tried first, and what in its stead. */
const ORDER: Record<Exclude<TasteLevers, 'bySize'> | Size, readonly Lever[]> = {
  ratioFirst: ['ratio', 'heat', 'grind'],
  heatFirst: ['heat', 'ratio', 'grind'],
  grindFirst: ['grind', 'ratio', 'heat'],
  large: ['ratio', 'heat', 'grind'],
  medium: ['grind', 'ratio', 'heat'],
  small: ['heat', 'ratio', 'grind'],
};

/**
 * The changes a direction asks for, in the order the house reaches for them; none where nothing, or only the
 * preparation, is to change. The first is the step, the second the other way.
 */
export function tasteMoves(input: TasteMoveInput): readonly TasteMove[] {
  const { direction, levers = 'bySize' } = input;
  switch (direction.verdict) {
    case 'right':
    case 'uneven':
    case 'unclear':
      return [];
    case 'flat':
      return [...heatMove(input, HEAT_C.small), ...ratioMove(input, FLAT_RATIO)];
    case 'weak':
      return yieldMove(input, -strengthShare(input));
    case 'strong':
      return yieldMove(input, strengthShare(input));
    case 'under':
    case 'over': {
      const order = ORDER[levers === 'bySize' ? (direction.size ?? 'small') : levers];
      return order.flatMap((lever) => moveBy(lever, input));
    }
  }
}

/** The one change a direction asks for; null where there is none. */
export const tasteMove = (input: TasteMoveInput): TasteMove | null => tasteMoves(input)[0] ?? null;

/** By how far the cup is off. */
function moveBy(lever: Lever, input: TasteMoveInput): TasteMove[] {
  const { verdict, size, under, over } = input.direction;
  const points = Math.abs(under - over);
  const isUnder = verdict === 'under';
  switch (lever) {
    case 'ratio':
      return ratioMove(
        input,
        (isUnder ? 1 : -1) * ratioChange(points, isUnder ? lightness(input.roastLevel) : 0),
      );
    case 'heat':
      return heatMove(input, (isUnder ? 1 : -1) * HEAT_C[size ?? 'small']);
    case 'grind':
      return grindMove(input, isUnder, points >= TWO_STEPS_FROM ? 2 : 1);
  }
}

const lightness = (roastLevel: number) => Math.min(1, Math.max(0, -roastLevel));

/** @param light 0 for a medium roast or a darker one, 1 for a light one. */
function ratioChange(points: number, light: number): number {
  if (points < LARGE_RATIO.leastAtPoints)
    return between(points, { ...SMALL_RATIO, most: LARGE_RATIO.least });
  return (1 - light) * between(points, LARGE_RATIO) + light * between(points, FAR_UNDER_LIGHT);
}

function between(
  points: number,
  { least, most, leastAtPoints, mostAtPoints }: Record<keyof typeof LARGE_RATIO, number>,
): number {
  const share = (points - leastAtPoints) / (mostAtPoints - leastAtPoints);
  return least + Math.min(1, Math.max(0, share)) * (most - least);
}

const ratioMove = (input: TasteMoveInput, ratioBy: number): TasteMove[] =>
  yieldMove(input, (ratioBy * input.target.doseG) / input.target.yieldG);

/** Twice as weak moves further. */
const strengthShare = ({ direction: { strength } }: TasteMoveInput): number =>
  Math.abs(strength) >= 2 ? STRENGTH_SHARE.much : STRENGTH_SHARE.little;

/** @param share of the yield, more or less of it; none beyond what is still espresso. */
function yieldMove({ target: { doseG, yieldG } }: TasteMoveInput, share: number): TasteMove[] {
  const to = settableG(yieldG * (1 + share));
  const [least, most] = RATIO_LIMIT;
  if (share > 0 ? to > most * doseG : to < least * doseG) return [];
  return [
    {
      variable: 'yieldG',
      from: yieldG,
      to,
      message: {
        id: 'advice.move.yield',
        values: {
          at: 'start',
          side: share > 0 ? 'longer' : 'shorter',
          fromG: yieldG,
          toG: to,
          ratio: to / doseG,
        },
      },
    },
  ];
}

function grindMove({ dial, grinder }: TasteMoveInput, finer: boolean, steps: number): TasteMove[] {
  const change = (finer ? 1 : -1) * finerSign(grinder) * steps * grinder.stepSize;
  const to = roundDial(Math.min(grinder.max, Math.max(grinder.min, dial + change)));
  if (isSameDial(to, dial)) return [];
  return [
    {
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
    },
  ];
}

/** None where the machine sets no temperature, or the water would be out of range. */
function heatMove({ target, machine }: TasteMoveInput, byC: number): TasteMove[] {
  const from = target.temperatureC;
  if (from === undefined || machine?.settableTemperature === false) return [];
  const to = from + byC;
  const [coolest, hottest] = TEMPERATURE_LIMIT_C;
  if (to < coolest || to > hottest) return [];
  return [
    {
      variable: 'temperatureC',
      from,
      to,
      message: {
        id: 'advice.move.temperature',
        values: { at: 'start', side: byC > 0 ? 'hotter' : 'cooler', fromC: from, toC: to },
      },
    },
  ];
}
