/** Cups of shots that ran, as the recipe is meant to be drunk, each where its shot really was: what a surface is fitted to. */
import { CHOKED, GUSHING_UNDER_S } from '../choked';
import { fromPump } from '../extraction/clock';
import type { Taste } from '../schema/shot';
import { tasteDirection } from '../taste/direction';
import { isCupFor, type Clock, type Drink } from '../vocabulary';
import type { ScoredCup } from './bestRecipe';

export interface TastedShot {
  readonly doseG: number;
  readonly yieldG: number;
  readonly timeS: number;
  readonly firstDripS?: number | undefined;
  readonly clock: Clock;
  readonly temperatureC: number;
  readonly seen: readonly string[];
  readonly tastings: readonly {
    readonly serving: string;
    readonly scales: Taste;
    readonly tastedById: string;
  }[];
}

/**
 * @param recipe the window the shots were meant to run in: a cup of one that ran fast is dry from that.
 * @param roastLevel of the coffee: what is sharp for it.
 * @param drink straight cups alone, or those in milk.
 */
export function cupsOfShots(
  shots: readonly TastedShot[],
  recipe: { readonly timeS: readonly [number, number]; readonly clock: Clock },
  roastLevel: number,
  drink: Drink = 'straight',
): ScoredCup[] {
  const fastUnderS = fromPump(recipe.timeS[0], recipe.clock);
  return shots.flatMap((shot) => {
    const timeS = fromPump(shot.timeS, shot.clock, shot.firstDripS);
    const isChoked = shot.seen.includes('choke') || shot.yieldG < CHOKED.underG;
    if (isChoked || shot.timeS < GUSHING_UNDER_S) return [];
    return shot.tastings.flatMap(({ scales, serving, tastedById }): ScoredCup[] => {
      const { liking } = scales;
      if (liking === undefined || !isCupFor(drink, serving)) return [];
      const ranFast = timeS < fastUnderS;
      const { verdict, under, over } = tasteDirection(scales, roastLevel, ranFast);
      return [
        {
          ratio: shot.yieldG / shot.doseG,
          temperatureC: shot.temperatureC,
          timeS,
          taster: tastedById,
          liking,
          // A sheet that points nowhere says nothing; an uneven cup speaks of its preparation.
          u: verdict === 'unclear' || verdict === 'uneven' ? undefined : under - over,
        },
      ];
    });
  });
}
