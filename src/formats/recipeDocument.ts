/**
 * The recipe document: one published version as a file. Format name and version are ours; the hash
 * covers the canonical body, so a changed figure is noticed when the file is read back.
 */
import { z } from 'zod';
import { userFault } from '@/core/errors';
import { day, oneOf, optionalText, parse, quantity, text } from '@/core/schema/fields';
import { recipeSchema } from '@/core/schema/recipe';
import { componentFields } from '@/core/schema/release';
import { STYLES, TEMPERATURE_SCHOOLS } from '@/core/vocabulary';
import { canonicalSha256 } from './canonical';

export const FORMAT = 'kettlebrand-recipe';
export const FORMAT_VERSION = 1;
/** Path under which every Kettlebrand serves the JSON Schema of this format. */
export const SCHEMA_PATH = '/schema/recipe-document-1.json';

/** Moisture is the house's own affair and is not published. */
const { moisturePct: _moisturePct, ...publishedFields } = componentFields;
const componentSchema = z.strictObject({
  sharePct: z.number().positive().max(100),
  ...publishedFields,
});

export const recipeBodySchema = z.strictObject({
  roastery: text('Roastery', 'name'),
  coffee: z.strictObject({
    name: text('Name of the release', 'name'),
    components: z.array(componentSchema).min(1).max(12),
    roastDate: day('Roast date'),
    roastLevel: quantity('roastLevel').optional(),
    promisedNotes: z.array(text('A promised note', 'note')).max(24),
  }),
  recipe: recipeSchema,
  style: oneOf('Style', STYLES),
  temperatureSchool: oneOf('Temperature school', TEMPERATURE_SCHOOLS),
  temperatureMeasured: text('Where the temperature is measured', 'name'),
  tolerance: z.strictObject({ doseG: z.number().positive(), yieldG: z.number().positive() }),
  setup: z.strictObject({
    machine: text('Machine', 'name'),
    grinder: text('Grinder', 'name'),
    dial: quantity('dial'),
    basket: text('Basket', 'name'),
    diameterMm: quantity('diameterMm'),
    ratedG: quantity('ratedG'),
  }),
  sensory: z.strictObject({
    right: text('How it tastes when right', 'words'),
    short: text('How it tastes when short', 'words'),
    long: text('How it tastes when long', 'words'),
  }),
  /** Translations to other setups; none are made yet. */
  fits: z.array(z.never()).max(0),
  confirmedShots: z.number().int().min(0),
  version: z.number().int().min(1),
  publishedOn: day('Day of publication'),
  whatChanged: optionalText('What changed and why', 'words'),
});
export type RecipeBody = z.output<typeof recipeBodySchema>;

export const recipeDocumentSchema = z.strictObject({
  $schema: z.string().max(200),
  format: z.literal(FORMAT, { error: `This is not a ${FORMAT} file. Choose a recipe document.` }),
  formatVersion: z.literal(FORMAT_VERSION, {
    error: `Only version ${FORMAT_VERSION} of the format is known here. Update Kettlebrand, or export the file again.`,
  }),
  body: recipeBodySchema,
  sha256: z
    .string()
    .regex(/^[0-9a-f]{64}$/, { error: 'The hash is not a SHA-256 in hexadecimal.' }),
});
export type RecipeDocument = z.output<typeof recipeDocumentSchema>;

/** The document of a body, hashed. */
export function makeDocument(body: RecipeBody): RecipeDocument {
  return {
    $schema: SCHEMA_PATH,
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

const MOST_CHARACTERS = 200_000;

/**
 * Reads a document back.
 * @throws UserFault for anything that is not one, or whose body does not match its hash.
 */
export function readDocument(source: string): RecipeDocument {
  if (source.length > MOST_CHARACTERS)
    throw userFault(
      'badInput',
      'document',
      'A recipe document is under 200 kB. Choose another file.',
    );
  const document = parse(recipeDocumentSchema, jsonOf(source));
  if (canonicalSha256(document.body) !== document.sha256)
    throw userFault(
      'hashMismatch',
      'document',
      'The recipe does not match its hash: the file was changed after it was published. Ask for it again, or download it from its page.',
    );
  return document;
}

function jsonOf(source: string): unknown {
  try {
    return JSON.parse(source);
  } catch {
    throw userFault('badInput', 'document', 'The file is not JSON. Choose a recipe document.');
  }
}
