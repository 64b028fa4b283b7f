/**
 * From a cup sheet to a direction: under, over, uneven, weak, strong, or right (model.md §4).
 * Scales 0-10, strength −2 weak … +2 strong. House heuristic throughout: the signs are the trade's,
 * the thresholds ours. A light coffee should be bright and a dark one may be bitter, so the
 * thresholds move with the roast.
 */
import type { Message } from '../message';
import type { Taste } from '../schema/shot';
import type { TasteSign } from '../vocabulary';

export type Verdict =
  'right' | 'under' | 'over' | 'uneven' | 'weak' | 'strong' | 'flat' | 'unclear';
export type Size = 'small' | 'medium' | 'large';

export interface Direction {
  readonly verdict: Verdict;
  /** Size of |u|; null where no step follows from it. */
  readonly size: Size | null;
  /** Strength of the under and over signs, about 0-10. */
  readonly under: number;
  readonly over: number;
  /** −2 weak … +2 strong; a thin cup that nobody called weak is a little weak. */
  readonly strength: number;
  readonly message: Message;
  /** What the scales alone would say of a cup that is liked too much to change: worth a try, no more. */
  readonly worthTrying?: Direction | undefined;
}

/** The one side each sign speaks for; a new sign must say its own. Source: trade practice. */
const SIDE_OF: Record<TasteSign, 'under' | 'over'> = {
  salty: 'under',
  grassy: 'under',
  papery: 'under',
  burnt: 'over',
  hollow: 'over',
};
/** What one ticked word adds to its side. */
const SIGN_POINTS = 1.5;

/** Below these nothing is a fault: some edge, bitterness and dryness belong to espresso. */
const TOLERATED = { sharpness: 3, bitterness: 4, dryness: 3, thinBody: 3.5 } as const;
/** How far the tolerance moves per roast step. */
const ROAST_ALLOWANCE = 1;
/** A light coffee may be brighter as far as it is liked: from the upper liking on wholly, below the lower not at all. */
const BRIGHT_LIKED = { none: 3, whole: 6 } as const;

const UNEVEN_FROM = 1.5;
const SIZE_FROM = { small: 1, medium: 2.5, large: 4.5 } as const;
const STRENGTH_FROM = 1;
/** A thin body is sour only beside this sharpness; without it the cup is weak, from this body on. */
const THIN = { sharpFrom: 5, weakBody: 2 } as const;
/** A cup that is liked so much wins over its scales, unless one of these is above what belongs to it. */
const WELL_LIKED = { liking: 8, sweetness: 6, bitterness: 4, dryness: 4 } as const;

/** Without a fault, but nobody wants it: little sweetness, or little liked. */
const FLAT = { sweetness: 3, liking: 4 } as const;

/**
 * The direction a cup sheet points in, for a coffee of this roast level. A cup that is well liked stays as it is: what
 * its sharpness would ask for is worth trying, no more.
 * @param ranFast the shot was too fast: dryness without bitterness is then the astringency of that.
 */
export function tasteDirection(taste: Taste, roastLevel: number, ranFast = false): Direction {
  const found = ofScales(taste, roastLevel, ranFast);
  const isWon =
    found.verdict === 'under' && isWellLiked(taste) && (roastLevel < 0 || found.size === 'small');
  return isWon ? { ...right(found), worthTrying: found } : found;
}

/** Liked very much, sweet, and neither bitter nor drying. */
export const isWellLiked = ({ liking, sweetness, bitterness, dryness }: Taste): boolean =>
  (liking ?? 0) >= WELL_LIKED.liking &&
  (sweetness ?? WELL_LIKED.sweetness) >= WELL_LIKED.sweetness &&
  (bitterness ?? 0) <= WELL_LIKED.bitterness &&
  (dryness ?? 0) <= WELL_LIKED.dryness;

const right = ({ under, over, strength }: Direction): Direction => ({
  ...{ verdict: 'right', size: null, under, over, strength },
  message: { id: 'advice.taste.right' },
});

function ofScales(taste: Taste, roastLevel: number, ranFast: boolean): Direction {
  const sour = underPoints(taste, roastLevel);
  const bitter = bitterPoints(taste, roastLevel);
  const dry = Math.max(0, (taste.dryness ?? 0) - TOLERATED.dryness);
  const strength = strengthOf(taste);
  const isAstringent = bitter === 0 && (sour > 0 || ranFast);
  const under = sour + (isAstringent ? dry : 0);
  // Bitter and dry are two faces of one fault; their mean would hide a cup that is only drying.
  const over = isAstringent ? 0 : Math.max(bitter, dry) + 0.5 * Math.min(bitter, dry);
  const found = (verdict: Verdict, size: Size | null = null): Direction => ({
    verdict,
    size,
    ...{ under, over, strength },
    message: { id: `advice.taste.${verdict}`, values: size === null ? {} : { size } },
  });
  if (Math.min(sour, bitter) >= UNEVEN_FROM) return found('uneven');
  const size = sizeOf(Math.abs(under - over));
  // Weak without sharpness is weak: more water would thin it further.
  const isWeak = strength <= -STRENGTH_FROM && !isSharp(taste) && over === 0;
  if (isWeak && signPoints(taste, 'under') === 0) return found('weak');
  if (size !== null) return found(under > over ? 'under' : 'over', size);
  if (Math.abs(strength) >= STRENGTH_FROM) return found(strength < 0 ? 'weak' : 'strong');
  if ((taste.sweetness ?? 10) <= FLAT.sweetness || (taste.liking ?? 10) <= FLAT.liking)
    return found('flat');
  return hasEvidence(taste) ? found('right') : found('unclear');
}

const isSharp = ({ sharpness }: Taste): boolean => (sharpness ?? 0) >= THIN.sharpFrom;

function strengthOf(taste: Taste): number {
  const { strength = 0, body = 5 } = taste;
  return strength === 0 && body <= THIN.weakBody && !isSharp(taste) ? -1 : strength;
}

/** Balance is said only of what was asked: both sides, and whether it pleases. */
const hasEvidence = ({ sharpness, bitterness, dryness, sweetness, liking }: Taste): boolean =>
  sharpness !== undefined &&
  (bitterness !== undefined || dryness !== undefined) &&
  (sweetness !== undefined || liking !== undefined);

function underPoints(taste: Taste, roastLevel: number): number {
  const light = Math.max(0, -roastLevel);
  const { none, whole } = BRIGHT_LIKED;
  const liked = Math.min(1, Math.max(0, ((taste.liking ?? whole) - none) / (whole - none)));
  const brightAllowed = TOLERATED.sharpness + ROAST_ALLOWANCE * light * liked;
  const thinBelow = TOLERATED.thinBody - ROAST_ALLOWANCE * light;
  const thin = isSharp(taste) ? Math.max(0, thinBelow - (taste.body ?? 5)) : 0;
  return (
    Math.max(0, (taste.sharpness ?? 0) - brightAllowed) + 0.5 * thin + signPoints(taste, 'under')
  );
}

function bitterPoints(taste: Taste, roastLevel: number): number {
  const allowed = TOLERATED.bitterness + ROAST_ALLOWANCE * Math.max(0, roastLevel);
  return Math.max(0, (taste.bitterness ?? 0) - allowed) + signPoints(taste, 'over');
}

function signPoints(taste: Taste, side: 'under' | 'over'): number {
  return SIGN_POINTS * (taste.signs ?? []).filter((sign) => SIDE_OF[sign] === side).length;
}

function sizeOf(points: number): Size | null {
  if (points >= SIZE_FROM.large) return 'large';
  if (points >= SIZE_FROM.medium) return 'medium';
  return points >= SIZE_FROM.small ? 'small' : null;
}
