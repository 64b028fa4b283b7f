'use client';

import { useState } from 'react';

/** Fields of a form that hold what a person typed, as typed. */
export type TypedField<T> = {
  [K in keyof T]: T[K] extends string ? K : never;
}[keyof T] &
  string;

/** What a field component needs to show and change one typed field. */
export interface Bound {
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly fault: string | undefined;
}

/** Joins a typed field with its change and its fault. */
export function bindTo<T extends object>(
  text: T,
  change: (part: Partial<T>) => void,
  faultOf: (field: string) => string | undefined,
) {
  return (field: TypedField<T>, faultName: string = field): Bound => ({
    value: text[field] as string,
    onChange: (value) => change({ [field]: value } as unknown as Partial<T>),
    fault: faultOf(faultName),
  });
}

/** Fields of a form that hold two ends, each as typed. */
type RangeField<T> = {
  [K in keyof T]: T[K] extends readonly [string, string] ? K : never;
}[keyof T] &
  string;

/** Joins one end of a range with its change and its fault. */
export function bindEndTo<T extends object>(
  text: T,
  change: (part: Partial<T>) => void,
  faultOf: (field: string) => string | undefined,
) {
  return (field: RangeField<T>, end: 0 | 1): Bound => {
    const ends = text[field] as readonly [string, string];
    return {
      value: ends[end],
      onChange: (value) =>
        change({
          [field]: end === 0 ? [value, ends[1]] : [ends[0], value],
        } as unknown as Partial<T>),
      fault: faultOf(`${field}.${end}`),
    };
  };
}

/** The state of a form as text, so that nothing typed is lost before it is understood. */
export function useTextForm<T extends object>(
  initial: T,
  faultOf: (field: string) => string | undefined,
) {
  const [text, setText] = useState(initial);
  const change = (part: Partial<T>) => setText((before) => ({ ...before, ...part }));
  return {
    text,
    change,
    reset: () => setText(initial),
    bind: bindTo(text, change, faultOf),
    bindEnd: bindEndTo(text, change, faultOf),
  };
}
