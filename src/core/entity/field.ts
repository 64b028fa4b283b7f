/**
 * One fact of an entity, said once: what it is called, what it may be, where it is kept, what a
 * spreadsheet calls it, whether it is published, its default. Entry forms, the
 * schemas of the edge, columns of the database, spreadsheets and the published document follow.
 * Plain data: safe to load in a browser.
 */
import { LIMITS, type LimitName, type TextLimit } from '../limits';
import type { Programme } from '../programme/step';

/** What may be said of any field. `Known` is the value of one that is known. */
interface FieldOptions<Known> {
  /** What a person calls it; of a quantity, its own name when absent. */
  readonly label?: string;
  /** One line under the input. */
  readonly hint?: string;
  /** Headers a spreadsheet may have for it, the first is the one we write; the label when absent. */
  readonly headers?: readonly string[];
  /** Column of the table; the name in snake case when absent. A range has two. */
  readonly column?: string;
  /** Stands on the card, the public page and in the recipe document. Nothing else does. */
  readonly isPublished?: true;
  /** May be unknown. */
  readonly optional?: true;
  /** What stands where nobody said it. */
  readonly default?: Known;
}

interface QuantityOptions extends FieldOptions<number> {
  /** What one press of an arrow key changes. */
  readonly step?: number;
  /** Only whole figures. */
  readonly isWhole?: true;
  /** Words for some of its figures, shown as a list to choose from. */
  readonly named?: readonly { readonly level: number; readonly label: string }[];
}

/** A measured figure within its limits. */
export function quantity<const O extends QuantityOptions>(limit: LimitName, options: O) {
  return { kind: 'quantity' as const, limit, label: LIMITS[limit].label as string, ...options };
}

/** Two figures of one quantity, the lower first; kept in two columns. */
export function range<
  const O extends FieldOptions<readonly [number, number]> & {
    readonly columns: readonly [string, string];
    readonly isWhole?: true;
    readonly step?: number;
  },
>(limit: LimitName, options: O) {
  return { kind: 'range' as const, limit, label: LIMITS[limit].label as string, ...options };
}

interface Labelled {
  readonly label: string;
}

/** Words of a person, trimmed. */
export function text<const O extends FieldOptions<string> & Labelled>(
  limit: TextLimit,
  options: O,
) {
  return { kind: 'text' as const, limit, ...options };
}

/** One word of a list. */
export function word<const W extends string, const O extends FieldOptions<NoInfer<W>> & Labelled>(
  words: readonly W[],
  labels: Readonly<Record<W, string>>,
  options: O,
) {
  return { kind: 'word' as const, words, labels, ...options };
}

/** Several words of a list. */
export function words<
  const W extends string,
  const O extends FieldOptions<readonly NoInfer<W>[]> & Labelled,
>(list: readonly W[], labels: Readonly<Record<W, string>>, options: O) {
  return { kind: 'words' as const, words: list, labels, ...options };
}

/** A list of short texts, typed with commas between them. */
export function notes<
  const O extends FieldOptions<readonly string[]> &
    Labelled & { readonly most: number; readonly oneLabel: string },
>(options: O) {
  return { kind: 'notes' as const, limit: 'note' as const, ...options };
}

export function flag<const O extends FieldOptions<boolean> & Labelled>(options: O) {
  return { kind: 'flag' as const, ...options };
}

/** A calendar day, yyyy-mm-dd. */
export function day<const O extends FieldOptions<string> & Labelled>(options: O) {
  return { kind: 'day' as const, ...options };
}

/** What a machine does, step by step. */
export function steps<const O extends FieldOptions<Programme> & Labelled>(options: O) {
  return { kind: 'steps' as const, ...options };
}

type Any<K, T> = { readonly kind: K } & T;
type Listed = {
  readonly words: readonly string[];
  readonly labels: Readonly<Record<string, string>>;
};

export type QuantityField = Any<
  'quantity',
  QuantityOptions & Labelled & { readonly limit: LimitName }
>;
export type RangeField = Any<
  'range',
  FieldOptions<readonly [number, number]> &
    Labelled & {
      readonly limit: LimitName;
      readonly columns: readonly [string, string];
      readonly isWhole?: true;
      readonly step?: number;
    }
>;
export type TextField = Any<
  'text',
  FieldOptions<string> & Labelled & { readonly limit: TextLimit }
>;
export type WordField = Any<'word', FieldOptions<string> & Labelled & Listed>;
export type WordsField = Any<'words', FieldOptions<readonly string[]> & Labelled & Listed>;
export type NotesField = Any<
  'notes',
  FieldOptions<readonly string[]> &
    Labelled & { readonly limit: TextLimit; readonly most: number; readonly oneLabel: string }
>;
export type Field =
  | QuantityField
  | RangeField
  | TextField
  | WordField
  | WordsField
  | NotesField
  | Any<'flag', FieldOptions<boolean> & Labelled>
  | Any<'day', FieldOptions<string> & Labelled>
  | Any<'steps', FieldOptions<Programme> & Labelled>;

export type Fields = Readonly<Record<string, Field>>;

interface KnownByKind {
  quantity: number;
  range: [number, number];
  text: string;
  notes: string[];
  flag: boolean;
  day: string;
  steps: Programme;
}

/** The value of a field that is known. */
export type Known<F> = F extends { kind: 'word'; words: readonly (infer W)[] }
  ? W
  : F extends { kind: 'words'; words: readonly (infer W)[] }
    ? W[]
    : F extends { kind: infer K extends keyof KnownByKind }
      ? KnownByKind[K]
      : never;

/** Values as they are kept: what may be unknown is there as undefined. */
export type Row<F> = {
  readonly [K in keyof F]: F[K] extends { optional: true } ? Known<F[K]> | undefined : Known<F[K]>;
};

type CanBeLeftOut<F> = {
  [K in keyof F]: F[K] extends { optional: true } | { default: unknown } ? K : never;
}[keyof F];

/** Values as they come in: what may be unknown, or has a default, may be left out. */
export type Input<F> = { readonly [K in Exclude<keyof F, CanBeLeftOut<F>>]: Known<F[K]> } & {
  readonly [K in CanBeLeftOut<F>]?: Known<F[K]> | undefined;
};

/** Names and fields of an entity, typed by their names. */
export function entriesOf<F extends Fields>(fields: F): [keyof F & string, Field][] {
  return Object.entries(fields) as [keyof F & string, Field][];
}

/** `doseG` → `dose_g`. */
export function snakeCase(name: string): string {
  return name.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
}

/** Must somebody say it? */
export function isNeeded(field: Field): boolean {
  return !field.optional && field.default === undefined;
}

/** The published part of an entity's values: a list of what is public, never of what is not. */
export function publishedOf<F extends Fields>(fields: F, values: Row<F>): Published<F> {
  return Object.fromEntries(
    entriesOf(fields)
      .filter(([name, { isPublished }]) => isPublished && values[name] !== undefined)
      .map(([name]) => [name, values[name]]),
  ) as Published<F>;
}

type PublicNames<F> = {
  [K in keyof F]: F[K] extends { isPublished: true } ? K : never;
}[keyof F];
type PublicNeededNames<F> = Exclude<PublicNames<F>, CanBeLeftOut<F>>;

/** Published values: what is not known, or was not yet asked for when it was published, is not there. */
export type Published<F> = { readonly [K in PublicNeededNames<F>]: Known<F[K]> } & {
  readonly [K in Exclude<PublicNames<F>, PublicNeededNames<F>>]?: Known<F[K]> | undefined;
};

/** A figure as a form sends it: what is no number goes on as the text it is, for the edge to name. */
export type TypedFigure = number | string | undefined;

type FormValueOf<F> = F extends { kind: 'quantity' }
  ? TypedFigure
  : F extends { kind: 'range' }
    ? readonly TypedFigure[]
    : F extends { kind: 'word' | 'day' }
      ? string | undefined
      : Known<F> | undefined;

/** Values as a form sends them, before anything was checked. */
export type FormValues<F> = { readonly [K in keyof F]: FormValueOf<F[K]> };
