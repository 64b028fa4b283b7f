/**
 * The recipe document: one published version as a file. Format name and version are ours; the hash
 * covers the canonical body, so a changed figure is noticed when the file is read back. What stands in
 * it is a list: the fields that say they are published, and nothing else.
 */
import { z } from 'zod';
import { BATCH } from '@/core/entity/batch';
import { COMPONENT } from '@/core/entity/component';
import { publishedSchema } from '@/core/entity/published';
import { RECIPE } from '@/core/entity/recipe';
import { RELEASE } from '@/core/entity/release';
import { oneOf } from '@/core/schema/fields';
import type { Recipe } from '@/core/schema/recipe';
import { STYLES, TEMPERATURE_SCHOOLS } from '@/core/vocabulary';
import { canonicalSha256 } from './canonical';
import { partsShape } from './parts';

export const FORMAT = 'kettlebrand-recipe';
export const FORMAT_VERSION = 2;
/** Path under which every Kettlebrand serves the JSON Schema of a version of the format. */
export const schemaPath = (version: number) => `/schema/recipe-document-${version}.json`;

const figure = z.number();
const name = z.string().max(400);
const sentences = z.string().max(4000);

/** Format 2. Facts may be added to it later: a reader lets those by that it does not know. */
export const recipeBodySchema = z.object({
  roastery: name,
  coffee: z.intersection(
    z.intersection(publishedSchema(RELEASE), publishedSchema(BATCH)),
    z.object({
      components: z.array(publishedSchema(COMPONENT)).min(1),
      /** As the house reads it, by word or colour. */
      roastLevel: figure.optional(),
    }),
  ),
  recipe: z.intersection(publishedSchema(RECIPE), z.object({ ratio: figure })) as z.ZodType<Recipe>,
  style: oneOf('Style', STYLES),
  temperatureSchool: oneOf('Temperature school', TEMPERATURE_SCHOOLS),
  temperatureMeasured: name,
  tolerance: z.object({ doseG: figure.positive(), yieldG: figure.positive() }),
  setup: z.object({
    machine: name,
    grinder: name,
    dial: figure,
    /** As its grinder writes it, where that is no plain number. */
    dialWords: name.optional(),
    basket: name,
    diameterMm: figure,
    ratedG: figure,
  }),
  sensory: z.object({ right: sentences, short: sentences, long: sentences }),
  ...partsShape,
  confirmedShots: z.number().int().min(0),
  version: z.number().int().min(1),
  publishedOn: z.iso.date(),
  whatChanged: sentences,
});
export type RecipeBody = z.output<typeof recipeBodySchema>;

export interface RecipeDocument {
  readonly $schema: string;
  readonly format: typeof FORMAT;
  readonly formatVersion: number;
  readonly body: RecipeBody;
  readonly sha256: string;
}

/** The document of a body, hashed. */
export function makeDocument(body: RecipeBody): RecipeDocument {
  return {
    $schema: schemaPath(FORMAT_VERSION),
    format: FORMAT,
    formatVersion: FORMAT_VERSION,
    body,
    sha256: canonicalSha256(body),
  };
}

/** The text of a document, for people to open as well. */
export function writeDocument(document: RecipeDocument): string {
  return `${JSON.stringify(document, null, 2)}\n`;
}
