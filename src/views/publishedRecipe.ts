/** The card of a release that is public now, and what it means on a café's own setup. Server only. */
import { fitRecipe, type Fit, type FittedRecipe } from '@/core/fits/fit';
import type { PartnerRow } from '@/core/entity/partner';
import type { Db } from '@/data/database';
import type { House } from '@/data/house';
import { findAddress, findEarlier, findPublished, versionsOfReleases } from '@/data/publications';
import type { RecipeBody } from '@/formats/recipe/document';
import { readDocument } from '@/formats/recipe/readers';

export interface PublicRecipe {
  readonly releaseId: string;
  readonly token: string;
  readonly body: RecipeBody;
}

/** Null where nothing is public, or it was withdrawn. */
export function publicRecipe(db: Db, releaseId: string): PublicRecipe | null {
  const address = findAddress(db, releaseId);
  if (address === null || address.withdrawnAt !== null) return null;
  const version = findPublished(db, address.token);
  if (version === null) return null;
  return { releaseId, token: address.token, body: readDocument(version.document).body };
}

/** The card that was in force at a moment: a check that arrives late is judged by the card its café had. */
export function recipeInForce(db: Db, releaseId: string, moment: string): PublicRecipe | null {
  const newest = publicRecipe(db, releaseId);
  if (newest === null) return null;
  const lines = versionsOfReleases(db, [releaseId])(releaseId);
  const then = lines.find(({ publishedAt }) => publishedAt <= moment) ?? lines.at(-1)!;
  if (then.number === newest.body.version) return newest;
  const { document } = findEarlier(db, newest.token, then.number)!;
  return { ...newest, body: readDocument(document).body };
}

type Setup = Pick<PartnerRow, 'diameterMm' | 'ratedG' | 'fixedTemperatureC' | 'canShape' | 'clock'>;

/** The card's recipe on the café's setup; none is lost: a café has a scale and a basket without a valve. */
export function recipeAt(
  { cremaGPerMl }: Pick<House, 'cremaGPerMl'>,
  { recipe, style, setup, fitting }: Pick<RecipeBody, 'recipe' | 'style' | 'setup' | 'fitting'>,
  partner: Setup,
): Fit & { readonly recipe: FittedRecipe } {
  const { diameterMm, ratedG, fixedTemperatureC, canShape, clock } = partner;
  const fit = fitRecipe({
    recipe,
    style,
    from: setup,
    factors: fitting,
    to: {
      ...{ diameterMm, ratedG, fixedTemperatureC, canShape, clock },
      hasScale: true,
      isPressurised: false,
    },
    cremaGPerMl,
  });
  return { ...fit, recipe: fit.recipe! };
}
