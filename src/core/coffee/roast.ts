/**
 * Roast level ρ from a ground-colour reading. ρ: -2 ultra light … 0 medium … +2 very dark.
 * The default map is a house heuristic on a scale where lighter coffee reads higher; every house
 * should replace it with readings of its own named levels.
 */
import { userFault } from '../errors';

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
    throw userFault(
      'badInput',
      'colourMap',
      'A colour map needs at least two levels at different colours. Add a level or change a colour.',
    );
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
}

export interface RoastReading {
  /** ρ, or null when neither word nor usable colour is known. */
  readonly level: number | null;
  readonly source: 'ground' | 'bean' | 'word' | null;
  /** ρ by colour minus ρ by word, where both are known. */
  readonly colourMinusWord: number | null;
}

/**
 * ρ of a batch: ground colour before bean colour before the word. A bean reading counts only through
 * the house's own map, a ground reading also through the default one. House heuristic.
 */
export function readRoast(batch: RoastFacts, map: readonly RoastMapLevel[]): RoastReading {
  const ground = levelsOf(map, 'colourGround');
  const bean = levelsOf(map, 'colourBean');
  const word = batch.roastLevel ?? null;
  const byColour = (level: number, source: 'ground' | 'bean'): RoastReading => ({
    level,
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
  return { level: word, source: word === null ? null : 'word', colourMinusWord: null };
}

function levelsOf(
  map: readonly RoastMapLevel[],
  reading: 'colourBean' | 'colourGround',
): ColourLevel[] {
  return map.flatMap(({ roastLevel, [reading]: colour }) =>
    colour === undefined ? [] : [{ colour, roastLevel }],
  );
}
