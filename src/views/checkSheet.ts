/** What a café's phone shows: its own coffees by their published cards, and nothing else of the house. Server only. */
import type { PartnerRow } from '@/core/entity/partner';
import { NOTHING_KNOWN, type KnownAtCafe } from '@/core/cafes/atTheBar';
import type { CafeTarget } from '@/core/cafes/check';
import { CAFE_RULES } from '@/core/cafes/cafeRules';
import { slopeAt, whereItLies } from '@/core/cafes/nextAtCafe';
import { cafeWords } from '@/words/cafeWords';
import { fitSentences } from '@/words/fitWords';
import { figureIn } from '@/words/figures';
import type { Db } from '@/data/database';
import { checksOfPartner, type CheckTarget } from '@/data/cafeChecks';
import type { House } from '@/data/house';
import type { StoredPartner } from '@/data/partners';
import { drinksIn, type DrinkLine } from '@/formats/recipe/sections';
import { cafeTargetOf } from './cafeChecksOf';
import { cafesState, sinceWindow } from './cafesModel';
import { publicRecipe, recipeAt } from './publishedRecipe';

export interface SheetCoffee {
  readonly releaseId: string;
  readonly name: string;
  readonly version: number;
  readonly target: CheckTarget;
  readonly temperatureC: number;
  /** What to mind on this setup, in the café's language. */
  readonly notes: readonly string[];
  /** What its machine asks of every shot. */
  readonly habits: readonly string[];
  readonly drinks: readonly DrinkLine[];
  readonly cardAddress: string;
  readonly known: KnownAtCafe;
  /** As the café's grinder counts it; what the last check said. */
  readonly lastDial: number | null;
  readonly lastRoastDate: string | null;
}

export type SheetCafe = Pick<
  PartnerRow,
  | 'name'
  | 'language'
  | 'heatUnit'
  | 'notation'
  | 'divisions'
  | 'stepSize'
  | 'finerIs'
  | 'dialMin'
  | 'dialMax'
>;

export interface CheckSheet {
  readonly house: string;
  readonly cafe: SheetCafe;
  readonly isRoundAsked: boolean;
  readonly coffees: readonly SheetCoffee[];
}

export function readCheckSheet(db: Db, house: House, partner: StoredPartner): CheckSheet {
  const { name, language, heatUnit, notation, divisions, stepSize, finerIs, dialMin, dialMax } =
    partner;
  return {
    house: house.name,
    cafe: { name, language, heatUnit, notation, divisions, stepSize, finerIs, dialMin, dialMax },
    isRoundAsked: partner.roundAskedAt !== null,
    coffees: readCoffees(db, house, partner),
  };
}

function readCoffees(db: Db, house: House, partner: StoredPartner): SheetCoffee[] {
  const { model } = cafesState(db, house);
  const past = checksOfPartner(db, partner.id, sinceWindow());
  return partner.releaseIds
    .flatMap((releaseId): SheetCoffee[] => {
      const published = publicRecipe(db, releaseId);
      if (published === null) return [];
      const { body, token } = published;
      const fit = recipeAt(house, body, partner);
      const own = past.filter((check) => check.releaseId === releaseId);
      const { doseG, yieldG, timeS, clock, temperatureC } = fit.recipe;
      return [
        {
          releaseId,
          name: body.coffee.name,
          version: body.version,
          target: { doseG, yieldG, timeS, clock },
          temperatureC,
          notes: fitSentences(
            partner.language,
            { ...fit, notes: fit.notes.filter(({ code }) => code !== 'same') },
            body.style,
          ),
          habits: habitsOf(partner, yieldG),
          drinks: drinksIn(body, partner.language),
          cardAddress: `/p/${token}${partner.language === 'en' ? '' : `/${partner.language}/`}`,
          known: knownOf(model, partner.id, releaseId, cafeTargetOf(fit.recipe)),
          lastDial: own.findLast(({ dial }) => dial !== undefined)?.dial ?? null,
          lastRoastDate: own.at(-1)?.roastDate ?? null,
        },
      ];
    })
    .sort((a, b) => a.name.localeCompare(b.name));
}

function habitsOf({ language, flushS, overrunG }: StoredPartner, yieldG: number): string[] {
  const say = cafeWords(language);
  return [
    ...(flushS ? [say('flush', { s: `${figureIn(language, flushS, 0)} s` })] : []),
    ...(overrunG ? [say('stopAt', { g: `${figureIn(language, yieldG - overrunG, 1)} g` })] : []),
  ];
}

function knownOf(
  model: ReturnType<typeof cafesState>['model'],
  partnerId: string,
  releaseId: string,
  card: CafeTarget,
): KnownAtCafe {
  const lies = whereItLies(model, partnerId, releaseId, card);
  const { shotSd, visitSd } = model.noise(partnerId);
  const slope = slopeAt(model, partnerId);
  if (lies === null)
    return { ...NOTHING_KNOWN, shotSd, visitSd, slope: { ...slope, sd: CAFE_RULES.slope.sd } };
  const { levelLn, sd, habitLn, last } = lies;
  return { levelLn, sd, habitLn, dial: last.dial, slope, shotSd, visitSd };
}
