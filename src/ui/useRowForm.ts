'use client';

import { useState } from 'react';
import { useDraft } from './useDraft';
import { bindTo } from './useTextForm';

/** A field both changed, with what each made of it. */
export interface Clash<T> {
  readonly field: keyof T & string;
  readonly mine: T[keyof T];
  readonly theirs: T[keyof T];
}

const isSame = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/**
 * A form on a row that somebody else may change meanwhile. When a newer row arrives, fields this
 * person left alone take its values; fields only this person changed stay; fields both changed are
 * clashes, shown with both values until the person saves or takes theirs. Nothing typed is lost.
 */
export function useRowForm<T extends object>(
  row: { readonly text: T; readonly rowVersion: number },
  faultOf: (field: string) => string | undefined,
  /** Place and row, under which what is typed is kept. */
  name: string,
) {
  const [text, setText] = useState(row.text);
  const [base, setBase] = useState(row);
  const [clashes, setClashes] = useState<readonly Clash<T>[]>([]);
  const [takenOver, setTakenOver] = useState<readonly (keyof T & string)[]>([]);

  // A newer row came in with the last refresh: merge it once, while rendering.
  if (row.rowVersion !== base.rowVersion) {
    const fields = Object.keys(row.text) as (keyof T & string)[];
    const theirsChanged = fields.filter((field) => !isSame(row.text[field], base.text[field]));
    const isTouched = (field: keyof T) => !isSame(text[field], base.text[field]);
    const taken = theirsChanged.filter((field) => !isTouched(field));
    // A clash nobody has settled stays one, also when the next save leaves that field alone.
    const isOpen = (field: keyof T) => clashes.some((clash) => clash.field === field);
    const found = fields
      .filter((field) => theirsChanged.includes(field) || isOpen(field))
      .filter((field) => isTouched(field) && !isSame(text[field], row.text[field]))
      .map((field) => ({ field, mine: text[field], theirs: row.text[field] }));
    setText({ ...text, ...Object.fromEntries(taken.map((field) => [field, row.text[field]])) });
    setClashes(found);
    setTakenOver(taken);
    setBase(row);
  }

  // A draft comes back with the row it was typed over: what others changed since is merged as ever.
  const draft = useDraft(name, {
    value: { text, base },
    initial: { text: base.text, base },
    onRestore: (kept) => {
      setText(kept.text);
      setBase(kept.base);
    },
  });

  const change = (part: Partial<T>) => setText((before) => ({ ...before, ...part }));
  const settle = (field: keyof T & string, value: T[keyof T]) => {
    change({ [field]: value } as unknown as Partial<T>);
    setClashes((all) => all.filter((clash) => clash.field !== field));
  };
  return {
    text,
    change,
    bind: bindTo(text, change, faultOf),
    /** The version this person has seen: what is saved replaces this one. */
    rowVersion: base.rowVersion,
    clashes,
    takenOver,
    settle,
    draft,
    /** Both versions are on the screen: the bare message that there are two need not be. */
    hasMerged: clashes.length > 0 || takenOver.length > 0,
  };
}
