/** How many cups a trial may still pull, by the recipes it may taste and the coffee there is. */
import { PURGE_TIMES_RETENTION } from '../grinder/retention';

/** Cups of one flight. House heuristic (model.md §4b). */
const FLIGHT = 3;

export interface Room {
  /** Cups of the next flight, 0-3. */
  readonly flight: number;
  /** Grams a cup takes, with its purge. */
  readonly perCupG: number;
  /** What leaves no room; null where there is some. */
  readonly endedBy: 'recipes' | 'coffee' | null;
}

/**
 * @param recipes tasted so far.
 * @param leftG of the batch; null where nobody said how much was set aside.
 */
export function roomOf({
  doseG,
  retentionG,
  recipes,
  mostRecipes = Infinity,
  leftG,
  keepG = 0,
}: {
  readonly doseG: number;
  readonly retentionG: number;
  readonly recipes: number;
  readonly mostRecipes?: number | undefined;
  readonly leftG: number | null;
  readonly keepG?: number | undefined;
}): Room {
  const perCupG = doseG + PURGE_TIMES_RETENTION * retentionG;
  const byRecipes = Math.max(0, mostRecipes - recipes);
  const byCoffee = leftG === null ? Infinity : Math.max(0, Math.floor((leftG - keepG) / perCupG));
  return {
    flight: Math.min(FLIGHT, byRecipes, byCoffee),
    perCupG,
    endedBy: byRecipes === 0 ? 'recipes' : byCoffee === 0 ? 'coffee' : null,
  };
}
