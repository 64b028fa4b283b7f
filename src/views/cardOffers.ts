/** What a card of the recipe on the bench could say beside the recipe: phases, milk, cups. Server only. */
import type { Drink } from '@/core/fits/drinks';
import { keptShare, phaseCount, phasesOf } from '@/core/rest/phases';
import { printedPhases, type PrintedPhase } from '@/core/rest/printedPhases';
import type { LearntFactors } from '@/core/fits/learnFactors';
import type { Db } from '@/data/database';
import { listOpenDrafts, type StoredRecipe } from '@/data/dialIns';
import type { House } from '@/data/house';
import { ageingOf } from './batchLevels';
import { triedFactors } from './cafeTastes';
import type { Bench, ReleaseView } from './release';

/** Strangers' grinders are not known: hints count reference steps of .10 in ln time. */
const LN_TIME_PER_STEP = 0.1;
const MOST_PHASES = 3;

export interface PhaseOffer {
  readonly list: readonly PrintedPhase[];
  /** Café shots in 100 within 2.5 s of the middle. */
  readonly kept: number;
}

export interface CardOffers {
  /** For one, two and three phases; none before a shot says how the coffee ages. */
  readonly phases: readonly PhaseOffer[];
  /** How many the ageing asks for. */
  readonly phaseCount: number;
  /** Rest day the card's own setting is for. */
  readonly cardDay: number;
  /** The recipe for milk drinks of the same dial-in; null where there is none. */
  readonly milk: StoredRecipe | null;
  readonly drinks: readonly Drink[];
  readonly cremaGPerMl: number;
  /** What cafés on other baskets and at other heat taught of fits; absent where none was. */
  readonly tried?: LearntFactors | undefined;
}

/** @param printed the number of phases on the last card. */
export function readCardOffers(
  db: Db,
  house: House,
  { release, batch }: ReleaseView,
  { bench, printed }: { readonly bench: Bench; readonly printed?: number | undefined },
): CardOffers {
  const { draft, setup, advice, shots } = bench;
  const { slope } = ageingOf(db, house, {
    releaseId: release.id,
    batchId: batch.id,
    setup,
    style: draft.style,
    recipe: draft.recipe,
    dial: advice.setting.dial,
    roastLevel: batch.roast.level ?? 0,
  });
  const [from, to] = draft.recipe.restDays;
  const [low, high] = draft.recipe.timeS;
  const span = { from, to };
  const centreS = (low + high) / 2;
  const cardDay = shots.at(-1)?.restDays ?? batch.rest.restDays;
  const hinted = { slope, cardDay, lnTimePerStep: LN_TIME_PER_STEP };
  const isSpan = to - from >= MOST_PHASES;
  const counts = isSpan ? Array.from({ length: MOST_PHASES }, (_, i) => i + 1) : [];
  const milk = listOpenDrafts(db, release.id).find(
    ({ drink, dialInId }) => drink === 'milk' && dialInId === draft.dialInId,
  );
  const tried = triedFactors(db, house);
  return {
    phases: counts.map((count) => ({
      list: printedPhases(phasesOf(span, { ...hinted, count }), {
        isStepless: setup.grinder.stepless,
      }),
      kept: Math.round(100 * keptShare(span, { count, slope, centreS })),
    })),
    phaseCount: isSpan ? phaseCount(span, slope, printed) : 1,
    cardDay,
    milk: milk?.recipe ?? null,
    drinks: house.drinks,
    cremaGPerMl: house.cremaGPerMl,
    ...(tried.baskets + tried.heats > 0 && { tried }),
  };
}
