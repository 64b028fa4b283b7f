/**
 * Whom a card is fitted for: the setups strangers usually have. House heuristic: the middle of what the trade sells.
 */
import { USUAL_CREMA_G_PER_ML } from '../extraction/volume';
import type { Clock } from '../vocabulary';
import { fitRecipe, type Fit, type FitInput, type FitPlace } from './fit';

export const AUDIENCES = [
  'cafe',
  'cafeFixed',
  'home54',
  'homeLever',
  'noScale',
  'pressurised',
] as const;
export type Audience = (typeof AUDIENCES)[number];

export const AUDIENCE_LABELS: Readonly<Record<Audience, string>> = {
  cafe: 'Café, 58 mm, temperature and pressure can be set',
  cafeFixed: 'Café, 58 mm, fixed temperature',
  home54: 'Home, 54 mm',
  homeLever: 'Home, small lever, 46-51 mm',
  noScale: 'No scale',
  pressurised: 'Pressurised basket',
};

type Usual = Omit<FitPlace, 'clock' | 'ratedG'> & { readonly ratedG?: number };

/** Without a rating of its own a place has a basket like the house's. */
const PLACES: Readonly<Record<Audience, Usual>> = {
  cafe: { diameterMm: 58, canShape: true, hasScale: true, isPressurised: false },
  cafeFixed: {
    diameterMm: 58,
    fixedTemperatureC: 93,
    runsHot: true,
    canShape: false,
    hasScale: true,
    isPressurised: false,
  },
  home54: { diameterMm: 54, ratedG: 18, canShape: false, hasScale: true, isPressurised: false },
  homeLever: {
    diameterMm: 46,
    ratedG: 16,
    fixedTemperatureC: 92,
    // A hand shapes the pressure of a lever.
    canShape: true,
    soaksByHand: true,
    hasScale: true,
    isPressurised: false,
  },
  noScale: { diameterMm: 58, canShape: false, hasScale: false, isPressurised: false },
  pressurised: {
    diameterMm: 54,
    ratedG: 16,
    fixedTemperatureC: 92,
    canShape: false,
    hasScale: true,
    isPressurised: true,
  },
};

/** A café's own basket counts as the usual one up to so far. */
const SAME_MM = 1;

/** The audience a café is of; null on another basket. */
export function cafeAudience({
  diameterMm,
  fixedTemperatureC,
}: Pick<FitPlace, 'diameterMm' | 'fixedTemperatureC'>): 'cafe' | 'cafeFixed' | null {
  if (Math.abs(diameterMm - PLACES.cafe.diameterMm) > SAME_MM) return null;
  return fixedTemperatureC === undefined ? 'cafe' : 'cafeFixed';
}

/** The usual setup of an audience; the clock is the card's own. */
export function placeOf(audience: Audience, houseRatedG: number, clock: Clock): FitPlace {
  return { ratedG: houseRatedG, ...PLACES[audience], clock };
}

/** The recipe for an audience. */
export function fitFor(
  audience: Audience,
  input: Omit<FitInput, 'to' | 'cremaGPerMl'> & { readonly cremaGPerMl?: number },
): Fit {
  return fitRecipe({
    cremaGPerMl: USUAL_CREMA_G_PER_ML,
    ...input,
    to: placeOf(audience, input.from.ratedG, input.recipe.clock),
  });
}
