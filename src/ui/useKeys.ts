'use client';

import { useEffect } from 'react';

/** What a key does, with the words the key list shows for it. */
export interface KeyAct {
  readonly words: string;
  readonly act: () => void;
}

export type Keys = Readonly<Record<string, KeyAct>>;

/** Keys that work on the screen now, newest last; the key list reads them. */
const active: Keys[] = [];

/** Everything a key does now; where two parts of a screen share one, the newer holds. */
export function activeKeys(): Keys {
  return Object.assign({}, ...active) as Keys;
}

/** Single keys that work anywhere but in a field. */
export function useKeys(keys: Keys): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTaken(event)) return;
      const key = keys[event.key];
      if (!key) return;
      event.preventDefault();
      key.act();
    };
    active.push(keys);
    document.addEventListener('keydown', onKey);
    return () => {
      active.splice(active.indexOf(keys), 1);
      document.removeEventListener('keydown', onKey);
    };
  });
}

/** In a field or dialog every key is its own; on a button or link, Enter and Space are. */
function isTaken({ target, key, defaultPrevented }: KeyboardEvent): boolean {
  if (defaultPrevented) return true;
  if (!(target instanceof HTMLElement)) return false;
  return (
    target.matches('input, textarea, select') ||
    target.closest('[role=dialog], [role=alertdialog]') !== null ||
    ((key === 'Enter' || key === ' ') && target.matches('a, button'))
  );
}
