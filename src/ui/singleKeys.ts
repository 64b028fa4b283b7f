'use client';

import { useSyncExternalStore } from 'react';

/**
 * Single letters that act, as this browser has them: off for who talks to it or has it read aloud, or on other
 * letters. Digits are the stages' and stay.
 */
export const LETTERS = {
  h: 'Today',
  f: 'Find',
  r: 'a new release',
  n: 'to the figures of the next shot',
  p: 'purged',
  u: 'delete the last shot',
  c: 'change the releases ticked',
  z: 'undo',
} as const;
export type Letter = keyof typeof LETTERS;

const ON = 'single keys';
const OWN = 'own keys';
const watchers = new Set<() => void>();

function stored(name: string): string | null {
  try {
    return localStorage.getItem(name);
  } catch {
    return null;
  }
}

function store(name: string, value: string | null): void {
  try {
    if (value === null) localStorage.removeItem(name);
    else localStorage.setItem(name, value);
  } catch {
    // A browser that keeps nothing has the usual ones.
  }
  for (const watcher of watchers) watcher();
}

export const areKeysOn = (): boolean => stored(ON) !== 'off';
export const setKeysOn = (on: boolean): void => store(ON, on ? null : 'off');

/** Letters that were put elsewhere. */
function ownKeys(): Partial<Record<Letter, string>> {
  try {
    return Object(JSON.parse(stored(OWN) ?? '{}')) as Partial<Record<Letter, string>>;
  } catch {
    return {};
  }
}

const keyOf = (letter: Letter): string => ownKeys()[letter] ?? letter;
const ALL = Object.keys(LETTERS) as Letter[];

/** What a pressed key stands for: the letter whose place it took; none where its own act moved away. */
export function letterOf(pressed: string): string | null {
  const meant = ALL.find((letter) => keyOf(letter) === pressed);
  if (meant) return meant;
  return (ALL as string[]).includes(pressed) ? null : pressed;
}

/** Puts an act on another letter; answers what is against it. */
export function moveKey(letter: Letter, to: string): string | null {
  if (!/^[a-z]$/.test(to)) return 'Choose one letter, A to Z.';
  const other = ALL.find((one) => one !== letter && keyOf(one) === to);
  if (other)
    return `${to.toUpperCase()} is taken: ${LETTERS[other]}. Choose another letter, or move that one first.`;
  const { [letter]: _before, ...rest } = ownKeys();
  const all = to === letter ? rest : { ...rest, [letter]: to };
  store(OWN, Object.keys(all).length === 0 ? null : JSON.stringify(all));
  return null;
}

/** As a key is written on the screen, wherever it was put. */
export const keyShown = (key: string): string =>
  ((ALL as string[]).includes(key) ? keyOf(key as Letter) : key).toUpperCase();

function watch(watcher: () => void): () => void {
  watchers.add(watcher);
  return () => watchers.delete(watcher);
}

export const useKeysOn = (): boolean => useSyncExternalStore(watch, areKeysOn, () => true);

/** The key an act is on, as it is shown. */
export function useKeyOf(letter: Letter): string {
  return useSyncExternalStore(
    watch,
    () => keyShown(letter),
    () => letter.toUpperCase(),
  );
}
