'use client';

import { useSyncExternalStore } from 'react';

/** Whether single letters and digits act: off for who talks to the browser or reads it aloud by letters. */
const NAME = 'single keys';
const watchers = new Set<() => void>();

export function areKeysOn(): boolean {
  try {
    return localStorage.getItem(NAME) !== 'off';
  } catch {
    return true;
  }
}

export function setKeysOn(on: boolean): void {
  try {
    if (on) localStorage.removeItem(NAME);
    else localStorage.setItem(NAME, 'off');
  } catch {
    // A browser that keeps nothing has them on.
  }
  for (const watcher of watchers) watcher();
}

export function useKeysOn(): boolean {
  return useSyncExternalStore(
    (watcher) => {
      watchers.add(watcher);
      return () => watchers.delete(watcher);
    },
    areKeysOn,
    () => true,
  );
}
