import { z } from 'zod';
import { recipeDocumentSchema } from '@/formats/recipeDocument';

/** The JSON Schema that recipe documents name. */
export function GET(): Response {
  return Response.json(
    z.toJSONSchema(recipeDocumentSchema, { io: 'input', unrepresentable: 'any' }),
  );
}
