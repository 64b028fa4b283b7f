/** What the words of cafés say: of a coffee's best point, and of the factors of fits. Server only. */
import { fromPump } from '@/core/extraction/clock';
import { CAFE_RULES } from '@/core/cafes/cafeRules';
import { cafeSigns, type CafeSign, type TastedAt } from '@/core/cafes/cafeTaste';
import { referenceStretch } from '@/core/extraction/basketLaw';
import { learnFactors, type LearntFactors, type TriedFit } from '@/core/fits/learnFactors';
import type { Clock } from '@/core/vocabulary';
import type { Db } from '@/data/database';
import { tastedVersions, type TastedVersion } from '@/data/cafeChecks';
import type { House } from '@/data/house';
import { cached } from '@/data/cache';
import { listPartners, type StoredPartner } from '@/data/partners';
import { listVersions } from '@/data/publications';
import type { RecipeBody } from '@/formats/recipe/document';
import { readDocument } from '@/formats/recipe/readers';
import { sinceDays } from './cafesModel';
import { recipeAt } from './publishedRecipe';

/** What changes it; the days that pass do as well. */
export const TASTE_WORD_TAGS = ['house', 'check', 'partner', 'publication'] as const;

type Tasted = TastedAt & TriedFit;

/** Every café's words; a café that has left no longer counts. */
function readTasted(db: Db, house: House): readonly Tasted[] {
  return cached(db, { name: 'words of cafés', tags: TASTE_WORD_TAGS, key: sinceToday() }, () => {
    const partners = new Map(listPartners(db).map((partner) => [partner.id, partner]));
    const bodies = new Map<string, Map<number, RecipeBody>>();
    const bodyOf = ({ releaseId, versionNumber }: TastedVersion) => {
      const known = bodies.get(releaseId) ?? bodiesOf(db, releaseId);
      bodies.set(releaseId, known);
      return known.get(versionNumber);
    };
    return tastedVersions(db, sinceToday()).flatMap((tasted) => {
      const partner = partners.get(tasted.partnerId);
      const body = bodyOf(tasted);
      return partner && body ? (placed(tasted, house, partner, body) ?? []) : [];
    });
  });
}

/** Words older than what the field model looks at speak of a coffee and a grinder that have changed. */
const sinceToday = () => `${sinceDays(CAFE_RULES.windowDays).slice(0, 10)}T00:00:00.000Z`;

const bodiesOf = (db: Db, releaseId: string) =>
  new Map(
    listVersions(db, releaseId).map(({ number, document }) => [
      number,
      readDocument(document).body,
    ]),
  );

/** Where a café's cups were pulled, as they would run on the card's own basket; null where it brews another style. */
function placed(
  { partnerId, releaseId, clock, ratio, timeS, fine, sour, bitter }: TastedVersion,
  house: House,
  partner: StoredPartner,
  { fitting: _asPublished, ...body }: RecipeBody,
): Tasted | null {
  const fit = recipeAt(house, body, partner);
  if (fit.style !== body.style) return null;
  const there = middleOnPump(fit.recipe);
  const onPump = fromPump(timeS, clock);
  return {
    cafe: partnerId,
    coffee: releaseId,
    ...{ fine, sour, bitter, ratio },
    temperatureC: fit.recipe.temperatureC,
    timeS: (onPump * middleOnPump(body.recipe)) / there,
    lnLaw: fit.lnLaw,
    missingC: fit.missingC,
    lnRatioOff: Math.log(ratio / fit.recipe.ratio),
    lnTimeOff: Math.log(onPump / there),
  };
}

const middleOnPump = ({
  timeS: [from, to],
  clock,
}: {
  timeS: readonly [number, number];
  clock: Clock;
}) => fromPump((from + to) / 2, clock);

export interface CafeTaste extends CafeSign {
  readonly name: string;
}

/**
 * What cafés say of a coffee, most cups first.
 * @param basket of the bench: times are as long as they would be there.
 */
export function cafeTastes(
  db: Db,
  house: House,
  releaseId: string,
  basket: Parameters<typeof referenceStretch>[0],
): CafeTaste[] {
  const tasted = readTasted(db, house);
  if (!tasted.some(({ coffee }) => coffee === releaseId)) return [];
  const nameOf = new Map(listPartners(db).map(({ id, name }) => [id, name]));
  const setup = [...bodiesOf(db, releaseId).values()][0]!.setup;
  const longer = referenceStretch(basket) / referenceStretch(setup);
  return cafeSigns(releaseId, tasted)
    .map((sign) => ({ ...sign, timeS: sign.timeS * longer, name: nameOf.get(sign.cafe)! }))
    .sort((a, b) => b.cups - a.cups || a.name.localeCompare(b.name));
}

/** What cafés on other baskets and at other heat taught of fits. */
export const triedFactors = (db: Db, house: House): LearntFactors =>
  learnFactors(readTasted(db, house));
