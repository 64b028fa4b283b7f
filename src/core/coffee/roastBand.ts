/** Light, medium, dark: how roast levels are told apart where a word is enough. */
export const ROAST_BANDS = ['light', 'medium', 'dark'] as const;
export type RoastBand = (typeof ROAST_BANDS)[number];

/** Bounds of the roast bands on the roast scale: half a word from the middle. House heuristic. */
const LIGHT_TO = -0.4;
const DARK_FROM = 0.4;

export function roastBandOf(roastLevel: number): RoastBand {
  if (roastLevel <= LIGHT_TO) return 'light';
  return roastLevel >= DARK_FROM ? 'dark' : 'medium';
}
