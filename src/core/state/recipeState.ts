/**
 * What is so of the recipe on the bench: how far it is, who tasted it, what of it is public. Every screen, card, message
 * and document reads this; none counts again. Pure. House heuristic: the scale trying, on target, approved, public.
 */
import { shotsOfRecipe, type BenchShotFacts, type CupOfShot } from '../advice/benchQuestion';
import { doseInForce } from '../advice/setting';
import { isOnTargetStatus, type Advice, type ShotMark } from '../advice/types';
import { dialToday, type CalibrationPeriod } from '../grinder/calibrationPeriod';
import { isSameDial } from '../grinder/dial';
import type { Recipe } from '../schema/recipe';
import type { Target } from '../schema/target';
import type { Clock, Drink } from '../vocabulary';

/** The figures by which a hand brews. */
export interface RecipeFigures {
  readonly doseG: number;
  readonly yieldG: number;
  readonly timeS: readonly [number, number];
  readonly clock: Clock;
  readonly temperatureC: number;
}

export type DifferingFigure = 'doseG' | 'yieldG' | 'timeS' | 'temperatureC';

/** The newest version against the recipe on the bench. */
export interface PublicState {
  readonly number: number;
  readonly isWithdrawn: boolean;
  /** Made from this very revision. */
  readonly isThis: boolean;
  readonly recipe: RecipeFigures;
  /** What a hand would brew otherwise by the card than by the bench; nothing of what is withdrawn. */
  readonly differs: readonly DifferingFigure[];
}

/** Closer than this two figures are printed alike: g, °C, s. */
const ALIKE = 0.05;

const isAlike = (a: number, b: number) => Math.abs(a - b) < ALIKE;

function differing(own: RecipeFigures, other: RecipeFigures): DifferingFigure[] {
  const [low, high] = own.timeS;
  const isTimeAlike =
    own.clock === other.clock && isAlike(low, other.timeS[0]) && isAlike(high, other.timeS[1]);
  return [
    ...(isAlike(own.doseG, other.doseG) ? [] : ['doseG' as const]),
    ...(isAlike(own.yieldG, other.yieldG) ? [] : ['yieldG' as const]),
    ...(isTimeAlike ? [] : ['timeS' as const]),
    ...(isAlike(own.temperatureC, other.temperatureC) ? [] : ['temperatureC' as const]),
  ];
}

/** @param newest version of the release; null where nothing was published. */
export function publicState(
  newest: {
    readonly number: number;
    readonly draftId: string | null;
    readonly recipe: RecipeFigures;
  } | null,
  {
    isWithdrawn,
    draft,
  }: {
    readonly isWithdrawn: boolean;
    readonly draft: { readonly id: string; readonly recipe: RecipeFigures } | null;
  },
): PublicState | null {
  if (newest === null) return null;
  const { number, draftId, recipe } = newest;
  return {
    number,
    isWithdrawn,
    isThis: draft !== null && draftId === draft.id,
    recipe,
    differs: draft === null || isWithdrawn ? [] : differing(draft.recipe, recipe),
  };
}

/** A bench as far as its state goes. */
export interface BenchFacts<S> {
  readonly draft: {
    readonly id: string;
    readonly recipe: Recipe;
    readonly drink: Drink;
  };
  readonly target: Target;
  readonly periods: readonly CalibrationPeriod[];
  readonly advice: Pick<Advice, 'status' | 'setting'>;
  /** In the order they were pulled. */
  readonly shots: readonly S[];
}

interface Cup extends CupOfShot {
  readonly tastedById: string;
  readonly notesFound: readonly string[];
}

interface JudgedShot extends Omit<BenchShotFacts, 'tastings'> {
  readonly mark: Pick<ShotMark, 'valid'>;
  readonly tastings: readonly Cup[];
}

/** Shots of this very recipe: cups that a flight pulled to other figures are none of them. */
export const shotsOfThis = <S extends JudgedShot>({
  shots,
  draft,
  target,
}: BenchFacts<S>): readonly S[] =>
  shotsOfRecipe(shots, target, draft.drink).filter(({ draftId }) => draftId === draft.id);

/**
 * The good shots of this recipe at the setting it stands at: what shows that it holds. None while it is not on target,
 * however many were in the window. One count for Publish, card and document.
 */
export function repeatsOf<S extends JudgedShot>(bench: BenchFacts<S>): readonly S[] {
  const { draft, advice, periods } = bench;
  if (!isOnTargetStatus(advice.status)) return [];
  const { dial: at, doseG } = advice.setting;
  return shotsOfThis(bench).filter((shot) => {
    const dial = dialToday(shot.dial, shot.pulledAt, periods);
    return (
      dial !== null &&
      isSameDial(dial, at) &&
      isAlike(doseInForce(shot, draft.recipe), doseG) &&
      shot.mark.valid
    );
  });
}

/** People who tasted this recipe, this revision of it; cups of a flight pulled otherwise are of another. */
export const tastersOf = (bench: BenchFacts<JudgedShot>): ReadonlySet<string> =>
  new Set(
    shotsOfThis(bench).flatMap(({ tastings }) => tastings.map(({ tastedById }) => tastedById)),
  );

/** Notes found in straight cups of this recipe, the most often found first. */
export function notesFoundIn(bench: BenchFacts<JudgedShot>): string[] {
  const counts = new Map<string, number>();
  for (const { tastings } of shotsOfThis(bench))
    for (const { notesFound, serving } of tastings)
      if (serving === 'straight')
        for (const note of notesFound) counts.set(note, (counts.get(note) ?? 0) + 1);
  return [...counts].sort(([, a], [, b]) => b - a).map(([note]) => note);
}
