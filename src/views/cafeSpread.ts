/** How far the house's cafés really stray, for the recipe that forgives and what its card prints. Server only. */
import { spreadOfCafes } from '@/core/cafes/spread';
import { groupBy } from '@/core/groupBy';
import { USUAL_SPREAD, type CafeSpread } from '@/core/trials/robust';
import type { Db } from '@/data/database';
import { checksSince } from '@/data/cafeChecks';
import { sinceWindow } from './cafesModel';

/** Fewer say nothing of cafés in general. House heuristic. */
const LEAST_CAFES = 3;

/** The usual spread until enough cafés have weighed; time and temperature stay the usual ones. */
export function cafeSpread(db: Db): CafeSpread {
  const cafes = [...groupBy(checksSince(db, sinceWindow()), ({ partnerId }) => partnerId).values()];
  if (cafes.length < LEAST_CAFES) return USUAL_SPREAD;
  const both = ({ withinSdG, betweenSdG }: ReturnType<typeof spreadOfCafes>) =>
    Number(Math.hypot(withinSdG, betweenSdG).toFixed(2));
  return {
    ...USUAL_SPREAD,
    doseG: both(
      spreadOfCafes(
        cafes.map((own) => own.map(({ doseG, target }) => doseG - target.doseG)),
        'dose',
      ),
    ),
    yieldG: both(
      spreadOfCafes(
        cafes.map((own) => own.map(({ yieldG, target }) => yieldG - target.yieldG)),
        'yield',
      ),
    ),
  };
}
