/**
 * What the staged cups of a shot say: strength and extraction as they build up, where to cut the yield, and which
 * way the recipe should go. Masses g, strengths % TDS. Source: arithmetic; the words and the cut are trade practice
 * (heuristic): first sour, salty, thick; then sweet; then thin, woody, bitter.
 */
import type { Message } from '../message';

export const STAGE_TASTES = ['sour', 'sweet', 'thin'] as const;
export type StageTaste = (typeof STAGE_TASTES)[number];
export const STAGE_TASTE_LABELS: Readonly<Record<StageTaste, string>> = {
  sour: 'sour, salty, thick',
  sweet: 'sweet',
  thin: 'thin, woody, bitter',
};

/** Which cup the whole shot is most like. */
export const LIKENESSES = ['first', 'middle', 'last'] as const;
export type Likeness = (typeof LIKENESSES)[number];
export const LIKENESS_LABELS: Readonly<Record<Likeness, string>> = {
  first: 'the first cup',
  middle: 'one in the middle',
  last: 'the last cup',
};

export const MOST_STAGES = 8;

export interface StagedCup {
  readonly massG: number;
  readonly tdsPct?: number | undefined;
  readonly taste?: StageTaste | undefined;
}

/** The shot as far as a cup, from its beginning. */
export interface BuiltUp {
  readonly massG: number;
  /** Null from the first cup without a reading on. */
  readonly strengthPct: number | null;
  readonly extractionPct: number | null;
}

export function builtUp(cups: readonly StagedCup[], doseG: number): BuiltUp[] {
  let massG = 0;
  let solublesG: number | null = 0;
  return cups.map((cup) => {
    massG += cup.massG;
    solublesG =
      solublesG === null || cup.tdsPct === undefined
        ? null
        : solublesG + (cup.massG * cup.tdsPct) / 100;
    return {
      massG,
      strengthPct: solublesG === null || massG === 0 ? null : (100 * solublesG) / massG,
      extractionPct: solublesG === null ? null : (100 * solublesG) / doseG,
    };
  });
}

export interface Cut {
  /** Where to stop the shot; null where the cups do not say. */
  readonly yieldG: number | null;
  readonly message: Message;
}

/** Where to cut the yield, and why; null before any cup was tasted. */
export function cutOf(cups: readonly StagedCup[]): Cut | null {
  const tastes = cups.map(({ taste }) => taste);
  if (tastes.every((taste) => taste === undefined)) return null;
  const lastSweet = tastes.lastIndexOf('sweet');
  const none = (name: string): Cut => ({ yieldG: null, message: { id: `tasting.staged.${name}` } });
  if (lastSweet < 0) {
    const known = tastes.filter((taste) => taste !== undefined);
    if (known.every((taste) => taste === 'sour')) return none('allSour');
    if (known.every((taste) => taste === 'thin')) return none('allThin');
    return none('noSweet');
  }
  const yieldG = cups.slice(0, lastSweet + 1).reduce((sum, { massG }) => sum + massG, 0);
  const after = tastes.slice(lastSweet + 1).filter((taste) => taste !== undefined);
  if (after.length === 0) return { yieldG, message: { id: 'tasting.staged.stillSweet' } };
  return {
    yieldG,
    message: { id: 'tasting.staged.cut', values: { yieldG } },
  };
}

/** Where the recipe should go, by the cup the whole shot is most like. */
export const likenessMessage = (likeness: Likeness): Message => ({
  id: `tasting.likeness.${likeness}`,
});
