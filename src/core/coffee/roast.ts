/**
 * Roast level ρ from a ground-colour reading. ρ: -2 ultra light … 0 medium … +2 very dark.
 * The default map is a house heuristic on a scale where lighter coffee reads higher; every house
 * should replace it with readings of its own named levels.
 */
import { userFault } from '../errors';
import { fault } from '../message';

/** sd of ρ over a house's coffees (model.md §1). House heuristic. */
const SPREAD_SD = 0.7;

export interface ColourLevel {
  readonly colour: number;
  readonly roastLevel: number;
}

export const DEFAULT_COLOUR_MAP: readonly ColourLevel[] = [
  { colour: 50, roastLevel: 2 },
  { colour: 65, roastLevel: 1 },
  { colour: 80, roastLevel: 0 },
  { colour: 95, roastLevel: -1 },
  { colour: 110, roastLevel: -2 },
];

/**
 * Piecewise linear through the map's levels, held flat beyond its ends.
 * @throws UserFault when the map has fewer than two levels or two at one colour.
 */
export function roastLevelFromColour(
  colourGround: number,
  map: readonly ColourLevel[] = DEFAULT_COLOUR_MAP,
): number {
  const levels = [...map].sort((a, b) => a.colour - b.colour);
  const distinct = new Set(levels.map((level) => level.colour)).size === levels.length;
  if (levels.length < 2 || !distinct) {
    throw userFault('badInput', 'colourMap', fault('roast.colourMap'));
  }
  const first = levels[0]!;
  const last = levels[levels.length - 1]!;
  if (colourGround <= first.colour) return first.roastLevel;
  if (colourGround >= last.colour) return last.roastLevel;
  const upper = levels.findIndex((level) => level.colour >= colourGround);
  const from = levels[upper - 1]!;
  const to = levels[upper]!;
  const share = (colourGround - from.colour) / (to.colour - from.colour);
  return from.roastLevel + share * (to.roastLevel - from.roastLevel);
}

/** A named roast level of a house with its own colour readings. */
export interface RoastMapLevel {
  readonly roastLevel: number;
  readonly colourBean?: number | undefined;
  readonly colourGround?: number | undefined;
}

export interface RoastFacts {
  /** ρ of the house's word. */
  readonly roastLevel?: number | undefined;
  readonly colourBean?: number | undefined;
  readonly colourGround?: number | undefined;
  /** How a bean gives under the thumb. */
  readonly crush?: Crush | undefined;
}

/** How easily a bean crushes under the thumb: darker is more brittle. */
export const CRUSHES = ['resists', 'cracks', 'crumbles'] as const;
export type Crush = (typeof CRUSHES)[number];

export const CRUSH_LABELS: Record<Crush, string> = {
  resists: 'Resists the thumb',
  cracks: 'Cracks with effort',
  crumbles: 'Crumbles easily',
};

/**
 * ρ a thumb suggests, and its sd; beside it the sd of a roast word, which means different things from
 * house to house. House heuristic: the thumb tells light from dark, hardly more.
 */
const CRUSH_LEVEL: Record<Crush, number> = { resists: -1.2, cracks: 0, crumbles: 1.2 };
const CRUSH_SD = 0.9;
const WORD_SD = 0.45;

export interface RoastReading {
  /** ρ, or null when neither word nor usable colour is known. */
  readonly level: number | null;
  /** sd of the level where only a thumb or a word doubted by it stands behind it; else 0. */
  readonly sd: number;
  readonly source: 'ground' | 'bean' | 'word' | 'thumb' | null;
  /** ρ by colour minus ρ by word, where both are known. */
  readonly colourMinusWord: number | null;
}

/**
 * ρ of a batch: ground colour before bean colour before the word, which a thumb may shift a little. A bean reading counts only through
 * the house's own map, a ground reading also through the default one. House heuristic.
 */
export function readRoast(batch: RoastFacts, map: readonly RoastMapLevel[]): RoastReading {
  const ground = levelsOf(map, 'colourGround');
  const bean = levelsOf(map, 'colourBean');
  const word = batch.roastLevel ?? null;
  const byColour = (level: number, source: 'ground' | 'bean'): RoastReading => ({
    level,
    sd: 0,
    source,
    colourMinusWord: word === null ? null : level - word,
  });
  if (batch.colourGround !== undefined)
    return byColour(
      roastLevelFromColour(batch.colourGround, ground.length >= 2 ? ground : DEFAULT_COLOUR_MAP),
      'ground',
    );
  if (batch.colourBean !== undefined && bean.length >= 2)
    return byColour(roastLevelFromColour(batch.colourBean, bean), 'bean');
  if (batch.crush !== undefined) return byThumb(batch.crush, word);
  return { level: word, sd: 0, source: word === null ? null : 'word', colourMinusWord: null };
}

/**
 * A weak reading: it shifts a word a little, and alone it is drawn to the middle by the spread of the
 * house's coffees. Source: precision-weighted mean (published); its sds are house heuristics.
 */
function byThumb(crush: Crush, word: number | null): RoastReading {
  const before = word ?? 0;
  const beforeSd = word === null ? SPREAD_SD : WORD_SD;
  const share = beforeSd ** 2 / (beforeSd ** 2 + CRUSH_SD ** 2);
  const level = before + share * (CRUSH_LEVEL[crush] - before);
  const sd = word === null ? Math.sqrt(1 - share) * beforeSd : 0;
  return { level, sd, source: word === null ? 'thumb' : 'word', colourMinusWord: null };
}

function levelsOf(
  map: readonly RoastMapLevel[],
  reading: 'colourBean' | 'colourGround',
): ColourLevel[] {
  return map.flatMap(({ roastLevel, [reading]: colour }) =>
    colour === undefined ? [] : [{ colour, roastLevel }],
  );
}
