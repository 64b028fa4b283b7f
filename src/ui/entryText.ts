/**
 * The state of any form as text: every field of an entity as typed, and what is sent of it. Nothing typed
 * is lost before it is understood. No DOM.
 */
import {
  entriesOf,
  type Field,
  type Fields,
  type Known,
  type FormValues,
  type TypedFigure,
  type Row,
} from '@/core/entity/field';
import { readNumber } from '@/core/readNumber';

type TextOf<F> = F extends { kind: 'flag' }
  ? boolean
  : F extends { kind: 'range' }
    ? readonly [string, string]
    : F extends { kind: 'words' | 'steps' }
      ? F extends { optional: true }
        ? Known<F> | null
        : Known<F>
      : F extends { kind: 'word'; optional: true }
        ? Known<F> | ''
        : F extends { kind: 'word' }
          ? Known<F>
          : string;

/** An entity as its form holds it. */
export type EntryText<F> = { readonly [K in keyof F]: TextOf<F[K]> };

function textOfKnown(field: Field, value: unknown): unknown {
  switch (field.kind) {
    case 'quantity':
      return String(value);
    case 'range':
      return (value as readonly number[]).map(String);
    case 'notes':
      return (value as readonly string[]).join(', ');
    default:
      return value;
  }
}

function textOfUnknown({ kind }: Field): unknown {
  switch (kind) {
    case 'flag':
      return false;
    case 'range':
      return ['', ''];
    case 'words':
    case 'steps':
      return null;
    default:
      return '';
  }
}

/** An entity's values as text; unknown ones are empty. */
export function textOf<F extends Fields>(
  fields: F,
  values: { readonly [K in keyof F]?: Row<F>[K] },
): EntryText<F> {
  return Object.fromEntries(
    entriesOf(fields).map(([name, field]) => {
      const value = values[name] ?? field.default;
      return [name, value === undefined ? textOfUnknown(field) : textOfKnown(field, value)];
    }),
  ) as EntryText<F>;
}

/** What is sent of a form: figures as numbers, unknown facts left out, so that they are missing and not empty. */
export function sentOf<F extends Fields>(fields: F, text: EntryText<F>): FormValues<F> {
  return Object.fromEntries(
    entriesOf(fields).map(([name, field]) => [name, sentOfField(field, text[name])]),
  ) as FormValues<F>;
}

function sentOfField(field: Field, typed: unknown): unknown {
  switch (field.kind) {
    case 'quantity':
      return readNumber(typed as string);
    case 'range':
      return (typed as readonly string[]).map(readNumber) satisfies TypedFigure[];
    case 'notes':
      return (typed as string)
        .split(',')
        .map((note) => note.trim())
        .filter((note) => note !== '');
    case 'text':
      return field.optional && typed === '' ? undefined : typed;
    case 'word':
    case 'day':
      return typed === '' ? undefined : typed;
    default:
      return typed ?? undefined;
  }
}

/** The fields of a form that show their own faults. */
export function shownFields(fields: Fields): string[] {
  return entriesOf(fields).flatMap(([name, { kind }]) =>
    kind === 'range' ? [`${name}.0`, `${name}.1`] : [name],
  );
}

/** What fields are called where two versions of a form are compared. */
export function labelsOf<F extends Fields>(fields: F): Readonly<Record<keyof F & string, string>> {
  return Object.fromEntries(entriesOf(fields).map(([name, { label }]) => [name, label])) as Record<
    keyof F & string,
    string
  >;
}
