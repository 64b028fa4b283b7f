/**
 * Starting programmes of the brew styles: what the trade means by their names (source: trade practice;
 * the figures are a house heuristic).
 */
import type { BrewStyle } from '../vocabulary';
import type { Programme, Step } from './step';

const flat = (level: number): Step[] => [{ drive: 'pressure', level, seconds: 30, ramp: false }];

export const STYLE_STEPS: Record<BrewStyle, readonly Step[]> = {
  classic: flat(9),
  longQuick: flat(6.5),
  fastCoarse: [{ drive: 'flow', level: 7, seconds: 30, ramp: false, limitBar: 6 }],
  soakFirst: [
    { drive: 'flow', level: 8, seconds: 4, ramp: false, limitBar: 3 },
    { drive: 'flow', level: 0, seconds: 30, ramp: false },
    { drive: 'flow', level: 2.5, seconds: 30, ramp: false, limitBar: 9 },
  ],
  shortDense: flat(9),
  declining: [
    { drive: 'pressure', level: 9, seconds: 10, ramp: false },
    { drive: 'pressure', level: 6, seconds: 25, ramp: true },
  ],
};

/** The steps of a draft's recipe: its own, else those its style starts with. */
export function programmeOf({
  recipe,
  style,
}: {
  readonly recipe: { readonly steps?: Programme | undefined };
  readonly style: BrewStyle;
}): Programme {
  return recipe.steps ?? STYLE_STEPS[style];
}
