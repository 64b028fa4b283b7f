'use client';

import { useEffect, useEffectEvent, useRef, useState, useSyncExternalStore } from 'react';
import { usePerson } from './person';

/** What was typed and not sent, kept in this browser until it is sent or let go. */
export interface Draft {
  /** When the draft that was brought back was typed; null where there was none. */
  readonly from: string | null;
  /** This browser keeps nothing: its storage is full or forbidden. */
  readonly isLost: boolean;
  /** It was sent. */
  readonly forget: () => void;
  /** Lets it go, and begins with what stood there before. */
  readonly startAgain: () => void;
}

interface Kept<T> {
  readonly value: T;
  readonly at: string;
}

/**
 * Keeps what is typed into a form by person, place and row, and brings it back the next time the form opens.
 * @param name place and row; the same name is the same form in every page of this browser.
 */
export function useDraft<T>(
  name: string,
  { value, initial, onRestore }: { value: T; initial: T; onRestore: (value: T) => void },
): Draft {
  const { id } = usePerson();
  const key = `draft ${id} ${name}`;
  const [from, setFrom] = useState<string | null>(null);
  const isLost = useSyncExternalStore(watchStorage, isStorageClosed, () => false);
  const isLooked = useRef(false);
  const typed = JSON.stringify(value);
  const isTouched = typed !== JSON.stringify(initial);
  const bringBack = useEffectEvent(() => {
    const kept = read<T>(key);
    if (kept) onRestore(kept.value);
    setFrom(kept?.at ?? null);
    isLooked.current = true;
  });
  // The server does not know what this browser keeps: it is brought back once the form stands.
  useEffect(() => {
    // Another place has another draft: it is not let go before it was looked for.
    isLooked.current = false;
    const timer = setTimeout(bringBack);
    return () => clearTimeout(timer);
  }, [key]);
  const keep = useEffectEvent(() => {
    if (isTouched) write(key, { value, at: new Date().toISOString() });
    else if (isLooked.current) remove(key);
  });
  useEffect(() => keep(), [typed]);
  return {
    from,
    isLost,
    forget: () => {
      remove(key);
      setFrom(null);
    },
    startAgain: () => {
      remove(key);
      setFrom(null);
      onRestore(initial);
    },
  };
}

/** A draft of an older form may have other fields: only one that can be read is brought back. */
function read<T>(key: string): Kept<T> | null {
  try {
    const text = localStorage.getItem(key);
    return text === null ? null : (JSON.parse(text) as Kept<T>);
  } catch {
    return null;
  }
}

function write(key: string, kept: Kept<unknown>): void {
  try {
    localStorage.setItem(key, JSON.stringify(kept));
    setClosed(false);
  } catch {
    setClosed(true);
  }
}

let isClosed = false;
const watchers = new Set<() => void>();
const isStorageClosed = () => isClosed;

function setClosed(next: boolean): void {
  if (next === isClosed) return;
  isClosed = next;
  for (const watcher of watchers) watcher();
}

function watchStorage(watcher: () => void): () => void {
  watchers.add(watcher);
  return () => watchers.delete(watcher);
}

function remove(key: string): void {
  try {
    localStorage.removeItem(key);
  } catch {
    // Nothing was kept there.
  }
}
