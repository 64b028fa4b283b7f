/** Small helpers between SQLite's values and ours. */
import { z } from 'zod';
import { clock } from './clock';

/** SQLite keeps booleans as 0 and 1. */
export const bool = z.union([z.literal(0), z.literal(1)]).transform((value) => value === 1);

/** A nullable column as an optional property. */
export function optional<T extends z.ZodType>(schema: T) {
  return z.preprocess((value) => value ?? undefined, schema.optional());
}

/** A JSON column. */
export function json<T extends z.ZodType>(schema: T) {
  return z.string().transform((text, context) => {
    const result = schema.safeParse(JSON.parse(text));
    if (result.success) return result.data as z.output<T>;
    context.addIssue({ code: 'custom', message: `stored JSON: ${result.error.message}` });
    return z.NEVER;
  });
}

/** yyyy-mm-ddThh:mm:ss.sssZ of now: the moment a fact was recorded. */
export function now(): string {
  return clock.now().toISOString();
}
