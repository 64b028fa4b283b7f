/**
 * Reading published values back: by kind, not by today's limits, so that a limit drawn tighter later
 * closes no document. Facts this version does not know are let by.
 */
import { z } from 'zod';
import { entriesOf, isNeeded, type Field, type Fields, type Published } from './field';

/** A published text is never longer than this, whatever today's forms take. */
const MOST_CHARACTERS = 4000;

const published = z.object({});

/** Reads the published part of an entity, as it stands in a document. */
export function publishedSchema<const F extends Fields>(fields: F): z.ZodType<Published<F>> {
  return published.extend(
    Object.fromEntries(
      entriesOf(fields)
        .filter(([, { isPublished }]) => isPublished)
        .map(([name, field]) => [name, isNeeded(field) ? byKind(field) : byKind(field).optional()]),
    ),
  ) as unknown as z.ZodType<Published<F>>;
}

const figure = z.number();
const words = z.string().max(MOST_CHARACTERS);

function byKind(field: Field): z.ZodType {
  switch (field.kind) {
    case 'quantity':
      return figure;
    case 'range':
      return z.tuple([figure, figure]);
    case 'text':
      return words;
    case 'day':
      return z.iso.date();
    case 'flag':
      return z.boolean();
    case 'word':
      return z.enum(field.words);
    case 'words':
      return z.array(z.enum(field.words));
    case 'notes':
      return z.array(words);
    case 'steps':
      return z.array(
        z.object({
          drive: z.enum(['pressure', 'flow']),
          level: figure,
          seconds: figure,
          ramp: z.boolean(),
          limitBar: figure.optional(),
        }),
      );
  }
}
