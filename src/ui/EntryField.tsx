'use client';

import type { ReactNode } from 'react';
import type { Field, Fields, WordField } from '@/core/entity/field';
import { Choice } from './choices';
import { DayInput } from './DayInput';
import type { EntryText } from './entryText';
import { QuantityInput, SelectInput, TextAreaInput, TextInput } from './fields';

/** What joins the fields of a form to its text. */
export interface Form<F extends Fields> {
  readonly fields: F;
  readonly text: EntryText<F>;
  readonly change: (part: Partial<EntryText<F>>) => void;
  readonly faultOf: (field: string) => string | undefined;
}

/** What a form may say otherwise than the field itself. */
export interface Otherwise {
  readonly label?: string;
  readonly hint?: ReactNode;
  /** Name the fault comes under, where two forms on one page share it. */
  readonly faultName?: string;
  readonly autoFocus?: boolean;
}

const UNKNOWN = { value: '', label: 'Not known' };

const YES_NO = [
  { value: 'yes', label: 'yes' },
  { value: 'no', label: 'no' },
] as const;

const LONG_LIMITS = ['words', 'story'];

/** The input of one field of an entity, as its kind asks for. */
export function EntryField<F extends Fields>({
  form: { fields, text, change, faultOf },
  name,
  ...otherwise
}: Otherwise & { readonly form: Form<F>; readonly name: keyof F & string }) {
  const field = fields[name]!;
  const set = (value: unknown) => change({ [name]: value } as Partial<EntryText<F>>);
  const common = {
    label: otherwise.label ?? field.label,
    hint: otherwise.hint ?? field.hint,
    fault: faultOf(otherwise.faultName ?? name),
    ...(otherwise.autoFocus && { autoFocus: true }),
  };
  const typed = text[name];
  switch (field.kind) {
    case 'quantity':
      return field.named ? (
        <SelectInput
          {...common}
          value={String(typed)}
          onChange={set}
          options={optionsOf(field, field.named)}
        />
      ) : (
        <QuantityInput
          {...common}
          quantity={field.limit}
          step={field.step ?? 1}
          value={String(typed)}
          onChange={set}
        />
      );
    case 'word':
      return (
        <SelectInput {...common} value={String(typed)} onChange={set} options={wordsOf(field)} />
      );
    case 'flag':
      return (
        <Choice
          label={common.label}
          value={typed ? 'yes' : 'no'}
          onChange={(answer) => set(answer === 'yes')}
          options={YES_NO}
        />
      );
    case 'day':
      return <DayInput {...common} value={String(typed)} onChange={set} />;
    case 'text':
      return LONG_LIMITS.includes(field.limit) ? (
        <TextAreaInput {...common} value={String(typed)} onChange={set} />
      ) : (
        <TextInput {...common} value={String(typed)} onChange={set} />
      );
    case 'notes':
      return <TextInput {...common} value={String(typed)} onChange={set} />;
    default:
      return null;
  }
}

function optionsOf(
  { optional }: Field,
  named: readonly { readonly level: number; readonly label: string }[],
) {
  const options = named.map(({ level, label }) => ({ value: String(level), label }));
  return optional ? [UNKNOWN, ...options] : options;
}

function wordsOf({ optional, words, labels }: WordField) {
  const options = words.map((value) => ({ value, label: labels[value]! }));
  return optional ? [UNKNOWN, ...options] : options;
}

/** Several fields in the order of a form. */
export function EntryFields<F extends Fields>({
  form,
  names,
}: {
  readonly form: Form<F>;
  readonly names: readonly (keyof F & string)[];
}) {
  return names.map((name) => <EntryField key={name} form={form} name={name} />);
}
