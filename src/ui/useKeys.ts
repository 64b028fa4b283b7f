'use client';

import { useEffect, useRef } from 'react';
import { areKeysOn, letterOf } from './singleKeys';

/** What a key does, with the words the key list shows for it. */
export interface KeyAct {
  readonly words: string;
  readonly act: () => void;
}

export type Keys = Readonly<Record<string, KeyAct>>;

/** A part of the screen that listens: what its keys do is looked up when one is pressed. */
interface Listener {
  current: Keys;
}

/** Parts that listen now, the newest last; the key list reads them. */
const listening: Listener[] = [];

/** Everything a key does now; where two parts of a screen share one, the newer holds. */
export function activeKeys(): Keys {
  return Object.assign({}, ...listening.map(({ current }) => current)) as Keys;
}

function onKey(event: KeyboardEvent): void {
  // A key that is held down acts once. Enter, Space and Escape are no letters: they stay.
  if (event.repeat || (event.key.length === 1 && event.key !== ' ' && !areKeysOn())) return;
  if (event.ctrlKey || event.metaKey || event.altKey || isTaken(event)) return;
  const meant = letterOf(event.key);
  const key = meant === null ? undefined : activeKeys()[meant];
  if (!key) return;
  event.preventDefault();
  key.act();
}

/** Single keys that work anywhere but in a field; one subscription for as long as the part is shown. */
export function useKeys(keys: Keys): void {
  const latest = useRef<Listener>({ current: keys });
  useEffect(() => {
    latest.current.current = keys;
  });
  useEffect(() => {
    const listener = latest.current;
    if (listening.length === 0) document.addEventListener('keydown', onKey);
    listening.push(listener);
    return () => {
      listening.splice(listening.indexOf(listener), 1);
      if (listening.length === 0) document.removeEventListener('keydown', onKey);
    };
  }, []);
}

/** In a field or dialog every key is its own; on a button or link, Enter and Space are. */
function isTaken({ target, key, defaultPrevented }: KeyboardEvent): boolean {
  if (defaultPrevented) return true;
  if (!(target instanceof HTMLElement)) return false;
  return (
    target.matches('input:not([type=checkbox]), textarea, select, [role=spinbutton]') ||
    (key === ' ' && target.matches('[type=checkbox]')) ||
    target.closest('[role=dialog], [role=alertdialog]') !== null ||
    ((key === 'Enter' || key === ' ') && target.matches('a, button'))
  );
}
