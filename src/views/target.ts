/** What a dial-in of the house is judged by. */
import type { JudgingRules } from '@/core/advice/types';
import type { RoastReading } from '@/core/coffee/roast';
import type { Shot } from '@/core/schema/shot';
import { targetSchema, type Target } from '@/core/schema/target';
import { yieldTolerance } from '@/core/tolerance';
import { isCupFor, type Drink } from '@/core/vocabulary';
import type { StoredDraft } from '@/data/dialIns';
import type { House } from '@/data/house';
import type { StoredRelease } from '@/data/releases';
import type { StoredShot } from '@/data/shots';
import type { StoredTasting } from '@/data/tastings';

/** How the house judges the dial-ins of a release. */
export function judgingOf(
  { doseSchool, proofGoalPct, leastLiking }: House,
  release: Pick<StoredRelease, 'doseSchool'>,
): JudgingRules {
  return {
    doseSchool: release.doseSchool ?? doseSchool,
    proofGoal: proofGoalPct / 100,
    leastLiking,
  };
}

/** What a shot of a recipe is judged against. */
export function targetOf(
  house: House,
  draft: StoredDraft,
  { roast, opensOn }: { readonly roast: RoastReading; readonly opensOn: number },
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

/** A stored shot as the advisor takes it, with its latest tasting of the kind the recipe is for. */
export function advisedShot(
  shot: StoredShot,
  tastings: readonly StoredTasting[],
  drink: Drink = 'straight',
): Shot {
  const taste = tastings.findLast(
    (tasting) => tasting.shotId === shot.id && isCupFor(drink, tasting.serving),
  )?.scales;
  return { ...shot, taste };
}
