/**
 * What a setup can and cannot do with a brew style, and the nearest it can. House heuristic (model.md §8).
 */
import { STYLE_LABELS, type BrewStyle } from '../vocabulary';
import type { Machine } from '../schema/setup';

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

/** Warnings for a style on a machine; none when the machine's abilities are not known. */
export function styleWarnings(style: BrewStyle, machine: Machine | undefined): Warning[] {
  const need = NEEDS_CONTROL[style];
  if (!need || machine?.pressureControl !== false) return [];
  return [
    {
      code: 'styleOutOfReach',
      text: `This machine has no pressure or flow control, so it cannot make ${STYLE_LABELS[style].toLowerCase()}. The nearest it can make is ${STYLE_LABELS[need.nearest].toLowerCase()}; lost is ${need.lost}.`,
    },
  ];
}
