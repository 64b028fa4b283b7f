/**
 * What the staged cups of a shot say: strength and extraction as they build up, where to cut the yield, and which
 * way the recipe should go. Masses g, strengths % TDS. Source: arithmetic; the words and the cut are trade practice
 * (heuristic): first sour, salty, thick; then sweet; then thin, woody, bitter.
 */
import { figure } from '../figure';

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
  readonly words: string;
}

/** Where to cut the yield, and why; null before any cup was tasted. */
export function cutOf(cups: readonly StagedCup[]): Cut | null {
  const tastes = cups.map(({ taste }) => taste);
  if (tastes.every((taste) => taste === undefined)) return null;
  const lastSweet = tastes.lastIndexOf('sweet');
  const none = (words: string): Cut => ({ yieldG: null, words });
  if (lastSweet < 0) {
    const known = tastes.filter((taste) => taste !== undefined);
    if (known.every((taste) => taste === 'sour'))
      return none('No cup was sweet yet, all were sour: let it run longer, or grind finer.');
    if (known.every((taste) => taste === 'thin'))
      return none('No cup was sweet, all were thin: grind coarser, or go cooler.');
    return none(
      'It goes from sour to thin without a sweet cup: the extraction is uneven. Mend distribution and tamp first.',
    );
  }
  const yieldG = cups.slice(0, lastSweet + 1).reduce((sum, { massG }) => sum + massG, 0);
  const after = tastes.slice(lastSweet + 1).filter((taste) => taste !== undefined);
  if (after.length === 0)
    return { yieldG, words: 'The last cup is still sweet: it can run longer. Add a cup and see.' };
  return {
    yieldG,
    words: `Cut at about ${figure(yieldG, 0)} g: what comes after it is no longer sweet.`,
  };
}

/** Where the recipe should go, by the cup the whole shot is most like. */
export function likenessWords(likeness: Likeness): string {
  switch (likeness) {
    case 'first':
      return 'The whole shot is like its first cup: under-extracted. Longer, then finer, then hotter.';
    case 'middle':
      return 'The whole shot is like its sweet part: as it should be.';
    case 'last':
      return 'The whole shot is like its last cup: over-extracted. Shorter, then coarser, then cooler.';
  }
}
