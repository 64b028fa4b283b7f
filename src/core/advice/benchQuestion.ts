/** The question the advice of a bench answers, from what a house stores of it. Pure data in, pure data out. */
import { dialToday, type CalibrationPeriod } from '../grinder/calibrationPeriod';
import { isSameDial } from '../grinder/dial';
import type { Recipe } from '../schema/recipe';
import type { Basket, Grinder, Machine } from '../schema/setup';
import type { Shot, Taste } from '../schema/shot';
import { targetSchema, type Target } from '../schema/target';
import { yieldTolerance } from '../tolerance';
import { isCupFor, type DoseSchool, type Drink, type TasteLevers } from '../vocabulary';
import { firstsAfterBreak } from './breaks';
import type { JudgingRules, NextInput } from './types';

/** What a house says of how it judges. */
export interface HouseJudging {
  readonly doseSchool: DoseSchool;
  readonly proofGoalPct: number;
  readonly leastLiking: number;
  readonly tasteLevers: TasteLevers;
  readonly doseToleranceG: number;
  readonly yieldToleranceG: number;
  readonly tasteFirst: boolean;
}

/** How the house judges the dial-ins of a release: its own school of the dose comes first. */
export function judgingOf(
  { doseSchool, proofGoalPct, leastLiking, tasteLevers }: HouseJudging,
  release: { readonly doseSchool: DoseSchool | undefined },
): JudgingRules {
  return {
    doseSchool: release.doseSchool ?? doseSchool,
    proofGoal: proofGoalPct / 100,
    leastLiking,
    levers: tasteLevers,
  };
}

/** A recipe as the bench is set to it. */
export interface BenchDraft {
  readonly id: string;
  readonly recipe: Recipe;
  readonly startDial: number;
  readonly createdAt: string;
  readonly drink: Drink;
}

/**
 * What a shot of a recipe is judged against.
 * @param roast its level, 0 where nobody knows; `opensOn` the rest day its coffee opens.
 */
export function targetOf(
  house: HouseJudging,
  draft: Pick<BenchDraft, 'recipe' | 'startDial'>,
  {
    roast,
    opensOn,
  }: { readonly roast: { readonly level: number | null }; readonly opensOn: number },
): Target {
  return targetSchema.parse({
    ...draft.recipe,
    doseToleranceG: house.doseToleranceG,
    yieldToleranceG: yieldTolerance(house.yieldToleranceG, draft.recipe.yieldG),
    startDial: draft.startDial,
    tasteFirst: house.tasteFirst,
    openDay: Math.round(opensOn),
    roastLevel: roast.level ?? 0,
  });
}

export interface CupOfShot {
  readonly shotId: string;
  readonly serving: string;
  readonly scales: Taste;
}

/** A stored shot as the advisor takes it, with its latest tasting of the kind the recipe is for. */
export function advisedShot<S extends Omit<Shot, 'taste'> & { readonly id: string }>(
  shot: S,
  tastings: readonly CupOfShot[],
  drink: Drink = 'straight',
): S & { readonly taste: Taste | undefined } {
  const taste = tastings.findLast(
    (tasting) => tasting.shotId === shot.id && isCupFor(drink, tasting.serving),
  )?.scales;
  return { ...shot, taste };
}

/** A shot of a dial-in with its cups. */
export interface BenchShotFacts extends Omit<Shot, 'taste'> {
  readonly id: string;
  readonly draftId: string;
  readonly pulledAt: string;
  /** What its recipe is for. */
  readonly drink: Drink;
  /** Pulled for a blind flight: to its figures, which may not be the recipe's. */
  readonly isOfFlight: boolean;
  readonly tastings: readonly CupOfShot[];
}

/** A machine is set by half a degree. House heuristic. */
const SAME_C = 0.25;

/** Pulled to other figures than the recipe's. */
function isOther(shot: BenchShotFacts, target: Target): boolean {
  const isAsHot =
    target.temperatureC === undefined ||
    shot.temperatureC === undefined ||
    Math.abs(shot.temperatureC - target.temperatureC) <= SAME_C;
  const isAsLong = Math.abs(shot.yieldG - target.yieldG) <= 2 * target.yieldToleranceG;
  return !isAsHot || !isAsLong || shot.beans !== 'room';
}

/**
 * The shots that speak of the recipe on the bench. A cup of a flight does so where it was pulled to the recipe's figures
 * at the dial the bench stood at: else it says nothing for or against it, and moves nothing. Shots of the straight recipe
 * teach the first one for milk its grind; later ones would only stand between.
 */
export function shotsOfRecipe<S extends BenchShotFacts>(
  shots: readonly S[],
  target: Target,
  drink: Drink,
): readonly S[] {
  const firstOwn = shots.findIndex((shot) => shot.drink === drink);
  let dial = target.startDial;
  return shots.filter((shot, i) => {
    if (
      shot.isOfFlight &&
      (isOther(shot, target) || (dial !== undefined && !isSameDial(shot.dial, dial)))
    )
      return false;
    if (!shot.isOfFlight) dial = shot.dial;
    return shot.drink === drink || firstOwn < 0 || i < firstOwn;
  });
}

export interface BenchAsked {
  readonly target: Target;
  readonly setup: {
    readonly grinder: Grinder;
    readonly basket: Basket;
    readonly machine: Machine;
  };
  readonly shots: readonly BenchShotFacts[];
  readonly draft: BenchDraft;
  readonly judging: JudgingRules;
  /** When the grinder's numbers began to mean something else, oldest first. */
  readonly periods: readonly CalibrationPeriod[];
}

/** The question the advice of a bench answers; what was pulled or written on an older scale is judged on today's. */
export function benchQuestion({
  target,
  setup,
  shots,
  draft,
  judging,
  periods,
}: BenchAsked): NextInput {
  const firsts = firstsAfterBreak(shots.map(({ pulledAt }) => pulledAt));
  return {
    target: {
      ...target,
      startDial: dialToday(draft.startDial, draft.createdAt, periods) ?? draft.startDial,
    },
    grinder: setup.grinder,
    basket: setup.basket,
    machine: setup.machine,
    shots: shots.map((shot, i) => {
      const dial = dialToday(shot.dial, shot.pulledAt, periods);
      return {
        ...advisedShot(shot, shot.tastings, draft.drink),
        dial: dial ?? shot.dial,
        onOldScale: dial === null,
        isFirst: firsts[i],
      };
    }),
    targetFrom: shots.findLastIndex((shot) => shot.draftId !== draft.id) + 1,
    ...judging,
  };
}
