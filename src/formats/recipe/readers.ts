/** Reads a recipe document of any version of the format, each with its own reader. */
import { z } from 'zod';
import { userFault } from '@/core/errors';
import { parse } from '@/core/schema/fields';
import { canonicalSha256 } from './canonical';
import { FORMAT, recipeBodySchema, type RecipeBody, type RecipeDocument } from './document';
import { bodyV1 } from './v1';

/** The body of each version of the format; format 2 only added to format 1. */
const BODIES: Readonly<Record<number, z.ZodType<RecipeBody>>> = {
  1: bodyV1,
  2: recipeBodySchema,
};
const KNOWN = Object.keys(BODIES).map(Number);

/** What says whether the rest can be read at all. */
const head = z.object({
  format: z.literal(FORMAT, { error: `This is not a ${FORMAT} file. Choose a recipe document.` }),
  formatVersion: z
    .number({ error: 'The format version is missing. Choose a recipe document.' })
    .refine((version) => KNOWN.includes(version), {
      error: `Only versions ${KNOWN.join(' and ')} of the format are known here. Update Kettlebrand, or export the file again.`,
    }),
});

const envelope = z.strictObject({
  ...head.shape,
  $schema: z.string().max(200),
  body: z.record(z.string(), z.unknown(), { error: 'The recipe is missing from the file.' }),
  sha256: z
    .string({ error: 'The hash is missing from the file.' })
    .regex(/^[0-9a-f]{64}$/, { error: 'The hash is not a SHA-256 in hexadecimal.' }),
});

/** What a whole document of each version is, for the schemas that are served. */
export const DOCUMENT_SCHEMAS: Readonly<Record<number, z.ZodType>> = Object.fromEntries(
  Object.entries(BODIES).map(([version, body]) => [
    version,
    envelope.extend({ formatVersion: z.literal(Number(version)), body }),
  ]),
);

const MOST_CHARACTERS = 200_000;

/**
 * Reads a document back. The hash is judged before the body is: a reader that does not know a fact
 * still knows whether it was changed.
 * @throws UserFault for anything that is not one, or whose body does not match its hash.
 */
export function readDocument(source: string): RecipeDocument {
  if (source.length > MOST_CHARACTERS)
    throw userFault(
      'badInput',
      'document',
      'A recipe document is under 200 kB. Choose another file.',
    );
  const raw = jsonOf(source);
  parse(head, raw);
  const { body, ...document } = parse(envelope, raw);
  if (canonicalSha256(body) !== document.sha256)
    throw userFault(
      'hashMismatch',
      'document',
      'The recipe does not match its hash: the file was changed after it was published. Ask for it again, or download it from its page.',
    );
  const { $schema, format, formatVersion, sha256 } = document;
  return { $schema, format, formatVersion, body: parse(BODIES[formatVersion]!, body), sha256 };
}

function jsonOf(source: string): unknown {
  try {
    return JSON.parse(source);
  } catch {
    throw userFault('badInput', 'document', 'The file is not JSON. Choose a recipe document.');
  }
}
