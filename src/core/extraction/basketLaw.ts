/**
 * What another basket does to a recipe's time (model.md §8). Dimensionless. Source: Darcy's law for the
 * resistance of a bed (published); that an eighth of it stays in the time is a house heuristic, found on 300 simulated
 * coffees (`npm run bench -- fits`): at equal ratio the same extraction is reached with a grind that follows nearly the
 * whole law. A fourth, as was believed before, over-extracts on 46 mm by up to 1.1 points.
 */

export interface BasketSize {
  readonly diameterMm: number;
  readonly ratedG: number;
}

/** The basket the expected times of the rules are for. House heuristic: the trade's commonest double. */
export const REFERENCE_BASKET: BasketSize = { diameterMm: 58, ratedG: 18 };

/** How much longer the same grind takes at the same ratio: (dose'/dose)²·(area/area')². */
export function basketLaw(from: BasketSize, to: BasketSize): number {
  return (to.ratedG / from.ratedG) ** 2 * (from.diameterMm / to.diameterMm) ** 4;
}

/** Share of ln law that stays in the time; the grind is coarsened by the rest. */
export const TIME_SHARE = 0.125;

/** How much longer a cup is wanted to take there: the eighth root of the law. */
export function timeStretch(from: BasketSize, to: BasketSize): number {
  return basketLaw(from, to) ** TIME_SHARE;
}

/** The stretch of a basket against the reference one; a diameter nobody noted is the reference one's. */
export function referenceStretch(
  basket: { readonly ratedG?: number | undefined; readonly diameterMm?: number | undefined } = {},
): number {
  const { diameterMm = REFERENCE_BASKET.diameterMm, ratedG = REFERENCE_BASKET.ratedG } = basket;
  return timeStretch(REFERENCE_BASKET, { diameterMm, ratedG });
}
