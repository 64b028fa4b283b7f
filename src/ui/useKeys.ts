'use client';

import { useEffect } from 'react';

/** Single keys that work anywhere but in a field. */
export function useKeys(keys: Readonly<Record<string, () => void>>): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTaken(event)) return;
      const act = keys[event.key];
      if (!act) return;
      event.preventDefault();
      act();
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  });
}

/** In a field every key is the field's own; on a button or link, Enter is. */
function isTaken({ target, key }: KeyboardEvent): boolean {
  if (!(target instanceof HTMLElement)) return false;
  return (
    target.matches('input, textarea, select') || (key === 'Enter' && target.matches('a, button'))
  );
}
