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
  readonly message: Message;
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

const UNEVEN_FROM = 1.5;
const SIZE_FROM = { small: 1, medium: 2.5, large: 4.5 } as const;
const STRENGTH_FROM = 1;

/** Without a fault, but nobody wants it: little sweetness, or little liked. */
const FLAT = { sweetness: 3, liking: 4 } as const;

/**
 * The direction a cup sheet points in, for a coffee of this roast level.
 * @param ranFast the shot was too fast: dryness without bitterness is then the astringency of that.
 */
export function tasteDirection(taste: Taste, roastLevel: number, ranFast = false): Direction {
  const sour = underPoints(taste, roastLevel);
  const bitter = bitterPoints(taste, roastLevel);
  const dry = Math.max(0, (taste.dryness ?? 0) - TOLERATED.dryness);
  const isAstringent = bitter === 0 && (sour > 0 || ranFast);
  const under = sour + (isAstringent ? dry : 0);
  // Bitter and dry are two faces of one fault; their mean would hide a cup that is only drying.
  const over = isAstringent ? 0 : Math.max(bitter, dry) + 0.5 * Math.min(bitter, dry);
  const found = (verdict: Verdict, size: Size | null = null) => ({
    verdict,
    size,
    under,
    over,
    message: { id: `advice.taste.${verdict}`, values: size === null ? {} : { size } },
  });
  if (Math.min(sour, bitter) >= UNEVEN_FROM) return found('uneven');
  const size = sizeOf(Math.abs(under - over));
  if (size !== null) {
    const verdict = under > over ? 'under' : 'over';
    return found(verdict, size);
  }
  const strength = taste.strength ?? 0;
  if (Math.abs(strength) >= STRENGTH_FROM) {
    const verdict = strength < 0 ? 'weak' : 'strong';
    return found(verdict);
  }
  if ((taste.sweetness ?? 10) <= FLAT.sweetness || (taste.liking ?? 10) <= FLAT.liking)
    return found('flat');
  return found(hasEvidence(taste) ? 'right' : 'unclear');
}

/** Balance is said only of what was asked: both sides, and whether it pleases. */
const hasEvidence = ({ sharpness, bitterness, dryness, sweetness, liking }: Taste): boolean =>
  sharpness !== undefined &&
  (bitterness !== undefined || dryness !== undefined) &&
  (sweetness !== undefined || liking !== undefined);

function underPoints(taste: Taste, roastLevel: number): number {
  const brightAllowed = TOLERATED.sharpness + ROAST_ALLOWANCE * Math.max(0, -roastLevel);
  const thinBelow = TOLERATED.thinBody - ROAST_ALLOWANCE * Math.max(0, -roastLevel);
  return (
    Math.max(0, (taste.sharpness ?? 0) - brightAllowed) +
    0.5 * Math.max(0, thinBelow - (taste.body ?? 5)) +
    signPoints(taste, 'under')
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
