/** Signs that the preparation, not the recipe, made a shot what it was. Source: trade practice. */
import type { Shot } from '../schema/shot';

const PREP_SIGNS = ['spurt', 'oneSided', 'holes', 'coldMetal'] as const;
export type PrepSign = (typeof PREP_SIGNS)[number];

/** The signs of bad preparation that were seen on a shot. */
export function prepSigns({ seen }: Pick<Shot, 'seen'>): PrepSign[] {
  return PREP_SIGNS.filter((sign) => seen.includes(sign));
}
