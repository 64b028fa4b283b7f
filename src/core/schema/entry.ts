/** The schema of what a person enters of an entity, from its fields. */
import { z } from 'zod';
import { programmeSchema } from './programme';
import { day, oneOf, optionalText, quantity, text } from './fields';
import { entriesOf, type Field, type Fields, type Known, type RangeField } from '../entity/field';
import { inIssue } from '../message';

type EntryOf<F> = F extends { optional: true }
  ? z.ZodOptional<z.ZodType<Known<F>, Known<F>>>
  : F extends { default: unknown }
    ? z.ZodDefault<z.ZodType<Known<F>, Known<F>>>
    : z.ZodType<Known<F>, Known<F>>;
type EntryShape<F> = { [K in keyof F]: EntryOf<F[K]> };

/** A schema for each field, to be put into an object. */
export function entryShape<const F extends Fields>(fields: F): EntryShape<F> {
  return Object.fromEntries(
    entriesOf(fields).map(([name, field]) => [name, leftOut(field, knownSchema(field))]),
  ) as EntryShape<F>;
}

function leftOut(field: Field, known: z.ZodType): z.ZodType {
  if (field.optional) return known.optional();
  return field.default === undefined ? known : known.default(field.default as never);
}

function knownSchema(field: Field): z.ZodType {
  switch (field.kind) {
    case 'quantity':
      return field.isWhole ? whole(field.limit, field.label) : quantity(field.limit);
    case 'range':
      return rangeSchema(field);
    case 'text':
      return field.default === undefined
        ? text(field.label, field.limit)
        : optionalText(field.label, field.limit);
    case 'word':
      return oneOf(field.label, field.words);
    case 'words':
      return z.array(oneOf(field.label, field.words)).max(field.words.length);
    case 'notes':
      return z.array(text(field.oneLabel, field.limit)).max(field.most, {
        error: inIssue('entry.tooMany', { label: field.label, most: field.most }),
      });
    case 'flag':
      return z.boolean({ error: inIssue('entry.flag', { label: field.label }) });
    case 'day':
      return day(field.label);
    case 'steps':
      return programmeSchema;
  }
}

function whole(limit: Parameters<typeof quantity>[0], label: string) {
  return quantity(limit).refine(Number.isInteger, {
    error: ({ input }) => inIssue('entry.whole', { label, value: String(input) }),
  });
}

function rangeSchema({ limit, label, isWhole }: RangeField): z.ZodType {
  const end = isWhole ? whole(limit, label) : quantity(limit);
  return z
    .tuple([end, end], { error: inIssue('entry.twoFigures', { label }) })
    .refine(([low, high]) => low <= high, {
      error: inIssue('entry.order', { label }),
    });
}
