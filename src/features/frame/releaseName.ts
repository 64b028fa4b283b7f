'use client';

import { useEffect, useSyncExternalStore } from 'react';

/** The name of the release that is open: its frame says it, the bar above shows it. */
let open: string | null = null;
const listeners = new Set<() => void>();

function say(name: string | null): void {
  open = name;
  for (const listener of listeners) listener();
}

function subscribe(listener: () => void) {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Says which release this frame shows, for as long as it does. */
export function useSayRelease(name: string): void {
  useEffect(() => {
    say(name);
    return () => say(null);
  }, [name]);
}

export function useReleaseName(): string | null {
  return useSyncExternalStore(
    subscribe,
    () => open,
    () => null,
  );
}
