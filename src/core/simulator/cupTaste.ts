/**
 * Taste of a simulated cup on the scales of the cup sheet (model.md §7): sourness from the acid share and
 * the lightness of the roast, sweetness from the middle share where nothing masks it, bitterness and
 * dryness from the bitter share, heat and channelling, body from strength. House heuristic throughout:
 * the signs are the trade's, every figure is invented. For practice and trials of the advice only.
 */
import type { Taste } from '../schema/shot';
import { tasteDirection } from '../taste/direction';
import type { CupPart } from './types';

export interface TastedCup {
  readonly cup: Pick<CupPart, 'tdsPct' | 'solutesG'>;
  /** ρ, −2 ultra light … +2 very dark. */
  readonly roastLevel: number;
  readonly temperatureC: number;
  /** Share of the water that went through the channel, 0-1. */
  readonly channelled: number;
}

export type CupTaste = Record<Exclude<keyof Taste, 'signs'>, number>;

/** Shares and strength of the reference shot, around which the scales are laid. */
const REFERENCE = { acid: 0.322, middle: 0.453, bitter: 0.225, tdsPct: 9.8, temperatureC: 93 };
/** A shot channels this much without anyone tasting it. */
const CHANNEL_UNNOTICED = 0.1;
/** TDS over which body grows by 1/e of what is left to the top of its scale, %. */
const BODY_TDS_PCT = 12;
/** Masking begins where the trade calls a cup sharp or bitter; a cup thinner than this tastes less sweet. */
const MASKED_FROM = { sharpness: 3, bitterness: 4, thinBody: 5 };

/** The sheet a taster of perfect palate would fill in; a cup without solutes is water. */
export function tasteOfCup({ cup, roastLevel, temperatureC, channelled }: TastedCup): CupTaste {
  const { acid, middle, bitter } = cup.solutesG;
  const total = acid + middle + bitter;
  // In percentage points of all that is dissolved, from the reference shot.
  const more = (kind: 'acid' | 'middle' | 'bitter') =>
    total > 0 ? 100 * (cup.solutesG[kind] / total - REFERENCE[kind]) : 0;
  const [acidPts, middlePts, bitterPts] = [more('acid'), more('middle'), more('bitter')];
  const uneven = Math.max(0, channelled - CHANNEL_UNNOTICED);
  const hotterC = temperatureC - REFERENCE.temperatureC;
  const sharpness = onScale(2.3 + 1.7 * acidPts - roastLevel + 16 * uneven);
  const bitterness = onScale(3.2 + 1.6 * bitterPts + roastLevel + 0.25 * hotterC + 18 * uneven);
  const dryness = onScale(2 + 1.6 * bitterPts + 0.5 * Math.max(0, roastLevel) + 8 * uneven);
  const body = onScale(10 * (1 - Math.exp(-cup.tdsPct / BODY_TDS_PCT)));
  const masked =
    0.5 * Math.max(0, sharpness - MASKED_FROM.sharpness) +
    0.5 * Math.max(0, bitterness - MASKED_FROM.bitterness);
  const sweetness = onScale(
    Math.min(1, body / MASKED_FROM.thinBody) * (7 + 0.4 * middlePts - masked),
  );
  const sheet = {
    acidity: onScale(3.5 + 0.6 * acidPts - 1.2 * roastLevel),
    sharpness,
    sweetness,
    bitterness,
    dryness,
    body,
    clarity: onScale(6.5 - 15 * uneven - 0.4 * Math.max(0, bitterPts)),
    strength: Math.max(-2, Math.min(2, (cup.tdsPct - REFERENCE.tdsPct) / 2.5)),
  };
  const { under, over } = tasteDirection(sheet, roastLevel);
  const liking = onScale(8 - 0.7 * (under + over) + 0.3 * (sweetness - 6));
  return { ...sheet, liking };
}

/** Sheets are filled in by tenths, 0-10. */
function onScale(value: number): number {
  return Math.round(10 * Math.min(10, Math.max(0, value))) / 10;
}
